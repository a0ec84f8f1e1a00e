import { checkJob } from '@mellow-probe/core/check/job/checkJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { openJob } from '@mellow-probe/core/check/job/openJob';
import type { Problem } from '@mellow-probe/core/inference/model/problem';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { issueText, openFaultText } from '@mellow-probe/core/wording/issueText';
import { readFileSync } from 'node:fs';
import { parseArgs, type ParseArgsConfig } from 'node:util';

/** One command of the terminal door: text out, errors thrown. */
export interface Command {
  name: string;
  usage: string;
  summary: string;
  run(args: string[]): string;
}

export const EXIT = { ok: 0, world: 1, usage: 2 } as const;

/** The call itself is wrong: exit code 2. */
export class UsageError extends Error {}
/** The call is right, but the file or figure cannot be used: exit code 1. */
export class WorldError extends Error {}

/** Arguments by node's own parser; what it refuses is a usage error. */
export function parse<T extends ParseArgsConfig>(config: T): ReturnType<typeof parseArgs<T>> {
  try {
    return parseArgs(config);
  } catch (error) {
    throw new UsageError(error instanceof Error ? error.message : String(error));
  }
}

/** The text of a file, or of standard input for "-". */
export function readText(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    throw new WorldError(
      `${file}: ${(error as NodeJS.ErrnoException).code === 'ENOENT' ? 'no such file' : String(error)}`,
    );
  }
}

/** A job file as a problem to compute with. Fields that cannot be used are listed on standard error; without a circuit it is an error. */
export function readProblem(file: string): { job: Job; problem: Problem } {
  const opened = openJob(readText(file));
  if (!opened.ok) throw new WorldError(`${file}: ${openFaultText(opened)}`);
  const { job } = opened;
  const { problem, issues } = checkJob(job);
  for (const { path, issue } of issues) {
    const reading = job.readings.find((r) => path.startsWith(`readings.${r.id}`));
    const quantity = reading
      ? measurementById(reading.measurement).quantity
      : /C$/.test(path)
        ? 'celsius'
        : /V$/.test(path)
          ? 'volts'
          : 'ohms';
    process.stderr.write(`mellow-probe: ${file}: ${path}: ${issueText(issue, quantity, 'C')}\n`);
  }
  if (!problem) throw new WorldError(`${file}: the circuit is not complete`);
  return { job, problem };
}

/** JSON with OL for Infinity, which JSON lacks. */
export function toJson(data: unknown): string {
  return `${JSON.stringify(data, (_, value: unknown) => (value === Infinity ? 'OL' : value), 2)}\n`;
}

/** A whole number of an option, within bounds. */
export function wholeNumber(
  text: string | undefined,
  name: string,
  fallback: number,
  low: number,
  high: number,
): number {
  if (text === undefined) return fallback;
  const value = Number(text);
  if (!Number.isInteger(value) || value < low || value > high)
    throw new UsageError(`--${name} takes a whole number from ${low} to ${high}`);
  return value;
}
