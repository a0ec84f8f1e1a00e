import { EVERYTHING_AT_HAND } from '@mellow-probe/core/kit/access';
import { proposeTests } from '@mellow-probe/core/advice/nextTest';
import { posteriorOf } from '@mellow-probe/core/inference/posterior';
import { measurementById } from '@mellow-probe/core/measurements/list';
import type { Tool } from '@mellow-probe/core/units/vocabulary';
import { formatInterval, formatOhm, formatProbability, formatTemperature } from '@mellow-probe/core/units/format';
import { type Command, parse, readProblem, toJson, UsageError, wholeNumber } from '../command.ts';

export const nextCommand: Command = {
  name: 'next',
  usage: 'next FILE.json [--without TOOL,…] [--count N] [--json]',
  summary: `The tests worth most per minute. Tools: ${EVERYTHING_AT_HAND.tools.join(', ')}.`,
  run(args) {
    const options = { json: { type: 'boolean' }, without: { type: 'string' }, count: { type: 'string' } } as const;
    const { values, positionals } = parse({ args, options, allowPositionals: true });
    if (positionals.length !== 1) throw new UsageError('next takes one job file (or - for standard input)');
    const missing = (values.without ?? '').split(',').filter(Boolean);
    for (const tool of missing) {
      if (!EVERYTHING_AT_HAND.tools.includes(tool as Tool))
        throw new UsageError(`no tool "${tool}"; there are ${EVERYTHING_AT_HAND.tools.join(', ')}`);
    }
    const { problem } = readProblem(positionals[0]);
    const access = { ...EVERYTHING_AT_HAND, tools: EVERYTHING_AT_HAND.tools.filter((t) => !missing.includes(t)) };
    const proposals = proposeTests(problem, posteriorOf(problem), access, wholeNumber(values.count, 'count', 3, 1, 30));
    if (values.json) return toJson(proposals);
    return proposals
      .map((p) => {
        const m = measurementById(p.measurement);
        const { substituteOhm, bathC } = p.conditions;
        const extra =
          substituteOhm !== undefined
            ? ` (${formatOhm(substituteOhm)})`
            : bathC !== undefined
              ? ` (${formatTemperature(bathC, 'C')})`
              : '';
        const outcomes = p.predicts.map(
          (x) =>
            `    ${formatProbability(x.probability).padStart(5)}  ${x.name}: ${formatInterval(x.interval, m.quantity, 'C')}`,
        );
        return [
          `${m.title}${extra}: ${p.bits.toFixed(2)} bit in ${p.minutes} min`,
          ...outcomes,
          ...(m.caution ? [`    ! ${m.caution}`] : []),
        ].join('\n');
      })
      .join('\n\n')
      .concat('\n');
  },
};
