import { posteriorOf } from '@mellow-probe/core/inference/posterior/posterior';
import { outlookOf } from '@mellow-probe/core/check/job/outlookOf';
import { formatMinutes, formatProbability } from '@mellow-probe/core/base/units/format';
import {
  lookLines,
  lookText,
  placeName,
  placeOutcomeLines,
  searchText,
  wayTestName,
  whereText,
} from '@mellow-probe/core/wording/placeText';
import { type Command, parse, readProblem, toJson, UsageError } from '../command.ts';

export const whereCommand: Command = {
  name: 'where',
  usage: 'where FILE.json [--json]',
  summary: 'Where on the way from module to sensor it lies, and at which connector to look next.',
  run(args) {
    const { values, positionals } = parse({ args, options: { json: { type: 'boolean' } }, allowPositionals: true });
    if (positionals.length !== 1) throw new UsageError('where takes one job file (or - for standard input)');
    const { job, problem } = readProblem(positionals[0]);
    const { loom } = job;
    const { where: advice } = outlookOf(job, posteriorOf(problem));
    if (values.json) return toJson(advice);
    const says = whereText(advice, loom);
    if (says === '')
      return loom.stops.length === 0
        ? 'This job names no connectors on the way.\n'
        : 'The readings do not point at a wire: where is not the question yet.\n';
    const places = advice.shares[advice.strand].map(
      (share, element) => `  ${formatProbability(share).padStart(5)}  ${placeName(loom, element)}`,
    );
    const { first, next } = advice;
    const before = first
      ? [
          '',
          `First: ${lookText(first, loom)}, ${formatMinutes(first.minutes)}`,
          ...lookLines(first, loom).map((o) => `  ${o.chance.padStart(5)}  ${o.says}: ${o.leaves}`),
        ]
      : [];
    const then = next
      ? [
          '',
          `Next: ${wayTestName(next, loom)}, ${formatMinutes(next.minutes)}`,
          ...placeOutcomeLines(next, loom, 'C').map((o) => `  ${o.chance.padStart(5)}  ${o.range}: ${o.leaves}`),
          searchText(next),
        ]
      : [];
    return `${[says, '', ...places, ...before, ...then].join('\n')}\n`;
  },
};
