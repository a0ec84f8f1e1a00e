import { twoFaultsOf } from '@mellow-probe/core/advice/nextTest/twoFaults';
import { posteriorOf } from '@mellow-probe/core/inference/posterior/posterior';
import { accessOf } from '@mellow-probe/core/catalogue/kit/access';
import { slipText } from '@mellow-probe/core/wording/slipText';
import { explain } from '@mellow-probe/core/inference/verdict/assessment';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { formatInterval, formatProbability, formatQuantity } from '@mellow-probe/core/base/units/format';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { readingNameById } from '@mellow-probe/core/wording/conditionsText';
import { suspectDetail, verdictText } from '@mellow-probe/core/wording/verdictText';
import { type Command, parse, readProblem, toJson, UsageError } from '../command.ts';

export const rankCommand: Command = {
  name: 'rank',
  usage: 'rank FILE.json [--json]',
  summary: 'The verdict on a job file: the same ranking as the page shows.',
  run(args) {
    const { values, positionals } = parse({ args, options: { json: { type: 'boolean' } }, allowPositionals: true });
    if (positionals.length !== 1) throw new UsageError('rank takes one job file (or - for standard input)');
    const { job, problem } = readProblem(positionals[0]);
    const posterior = posteriorOf(problem);
    const assessment = explain(problem, posterior);
    const two = twoFaultsOf(problem, posterior, assessment, accessOf(job.kit));
    if (values.json) return toJson({ ...assessment, two });
    const name = (id: string): string => readingNameById(job, id);
    const words = verdictText(assessment, name, 'C', two);
    const lines = [`${words.title} (${words.state})`];
    if (words.detail !== '') lines.push(words.detail);
    lines.push(
      '',
      ...assessment.groups.map((g) => `${formatProbability(g.probability).padStart(6)}  ${groupName(g.group)}`),
      '',
    );
    for (const s of assessment.suspects) {
      lines.push(
        `${formatProbability(s.probability).padStart(6)}  ${s.name}${suspectDetail(s) === '' ? '' : `: ${suspectDetail(s)}`}`,
      );
    }
    lines.push('');
    assessment.readings.forEach((view, i) => {
      const reading = problem.readings[i];
      const { quantity, title } = measurementById(reading.measurement);
      const marks = { inside: 'fits', low: 'low ', high: 'high' };
      lines.push(
        `${marks[view.verdict]}  ${title}: ${formatQuantity(reading.value, quantity, 'C')} (healthy ${formatInterval(view.healthy, quantity, 'C')})`,
      );
      if (view.slip) lines.push(`      ${slipText(view.slip, quantity, 'C')}`);
    });
    if (assessment.possibleCurves)
      lines.push(
        '',
        `Curve not known. Still possible: ${assessment.possibleCurves.map((c) => `${c.name} (${formatProbability(c.share)})`).join(', ') || 'none of the shelf'}.`,
      );
    return `${lines.join('\n')}\n`;
  },
};
