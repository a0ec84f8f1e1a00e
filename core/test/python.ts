import { execFileSync } from 'node:child_process';

/** What a program prints as JSON, run by Debian’s python3 (numpy and scipy beside it); throws where it fails. */
export const python = (program: string): unknown =>
  JSON.parse(execFileSync('python3', ['-c', program], { encoding: 'utf8', maxBuffer: 1e8 }));
