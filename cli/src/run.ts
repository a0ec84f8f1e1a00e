import { convertCommand } from './commands/convert.ts';
import { fitCommand } from './commands/fit.ts';
import { logCommand } from './commands/log.ts';
import { nextCommand } from './commands/next.ts';
import { planCommand } from './commands/plan.ts';
import { rankCommand } from './commands/rank.ts';
import { recordCommand } from './commands/record.ts';
import { simulateCommand } from './commands/simulate.ts';
import { trainCommand } from './commands/train.ts';
import { studyCommand } from './commands/study.ts';
import { trendCommand } from './commands/trend.ts';
import { whereCommand } from './commands/where.ts';
import { type Command, EXIT, UsageError, WorldError } from './command.ts';

/** Every command of the terminal door. A new one is one file and one line here. */
const COMMANDS: readonly Command[] = [
  rankCommand,
  nextCommand,
  whereCommand,
  planCommand,
  convertCommand,
  fitCommand,
  logCommand,
  recordCommand,
  simulateCommand,
  trainCommand,
  trendCommand,
  studyCommand,
];

function help(): string {
  const lines = COMMANDS.map((c) => `  ${c.usage.padEnd(64)} ${c.summary}`);
  return `mellow-probe: diagnoses temperature sensor circuits.\n\n${lines.join('\n')}\n\nExit codes: 0 done, 1 the input cannot be used, 2 wrong call.\n`;
}

/** Runs one call; text to standard output and error. Returns the exit code. */
export function run([name, ...rest]: readonly string[]): number {
  if (name === undefined || name === '--help' || name === '-h' || name === 'help') {
    process.stdout.write(help());
    return name === undefined ? EXIT.usage : EXIT.ok;
  }
  const command = COMMANDS.find((c) => c.name === name);
  try {
    if (!command) throw new UsageError(`no command "${name}"; --help lists them`);
    if (rest.includes('--help') || rest.includes('-h')) {
      process.stdout.write(`mellow-probe ${command.usage}\n\n${command.summary}\n`);
      return EXIT.ok;
    }
    process.stdout.write(command.run([...rest]));
    return EXIT.ok;
  } catch (error) {
    if (error instanceof UsageError) {
      process.stderr.write(`mellow-probe: ${error.message}\n`);
      return EXIT.usage;
    }
    if (error instanceof WorldError) {
      process.stderr.write(`mellow-probe: ${error.message}\n`);
      return EXIT.world;
    }
    throw error;
  }
}
