import { EVERYTHING_AT_HAND } from '@mellow-probe/core/catalogue/kit/access';
import { proposeTests } from '@mellow-probe/core/advice/nextTest/nextTest';
import { posteriorOf } from '@mellow-probe/core/inference/posterior/posterior';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import type { Tool } from '@mellow-probe/core/base/units/vocabulary';
import { formatOhm, formatTemperature } from '@mellow-probe/core/base/units/format';
import { informativeText } from '@mellow-probe/core/wording/informativeText';
import { outcomeLines } from '@mellow-probe/core/wording/outcomeLines';
import { stateName } from '@mellow-probe/core/wording/stateText';
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
    if (proposals.length === 0) return 'No available test would tell more.\n';
    return proposals
      .map((p) => {
        const m = measurementById(p.measurement);
        const { substituteOhm, bathC, airC } = p.conditions;
        const at = bathC ?? airC;
        const extra =
          substituteOhm !== undefined
            ? ` (${formatOhm(substituteOhm)})`
            : at !== undefined
              ? ` (${formatTemperature(at, 'C')})`
              : '';
        const outcomes = outcomeLines(p, 'C').map((o) => `    ${o.chance.padStart(5)}  ${o.range}: ${o.leaves}`);
        return [
          `${[m.title + extra, stateName(p.state)].filter(Boolean).join(', ')}: ${informativeText(p.bits)}, ${p.minutes} min`,
          ...outcomes,
          ...(m.caution ? [`    ! ${m.caution}`] : []),
        ].join('\n');
      })
      .join('\n\n')
      .concat('\n');
  },
};
