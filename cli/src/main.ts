import { EXIT } from './command.ts';
import { run } from './run.ts';

process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  // `… | head` closes the pipe: that is no error of ours.
  if (error.code === 'EPIPE') process.exit(EXIT.ok);
  throw error;
});

process.exitCode = run(process.argv.slice(2));
