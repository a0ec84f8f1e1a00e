import { posteriorOf } from '@mellow-probe/core/inference/posterior/posterior';
import { outlookOf } from '@mellow-probe/core/check/job/outlookOf';
import { planOf } from '@mellow-probe/core/advice/plan/planOf';
import { hasPrices } from '@mellow-probe/core/advice/plan/worthSchema';
import { breakEvenText, costText, optionName, planSentence, riskText } from '@mellow-probe/core/wording/planText';
import { type Command, parse, readProblem, toJson, UsageError } from '../command.ts';

export const planCommand: Command = {
  name: 'plan',
  usage: 'plan FILE.json [--json]',
  summary: 'Whether looking further is worth it: to act, test on or stop, with what each is expected to cost.',
  run(args) {
    const { values, positionals } = parse({ args, options: { json: { type: 'boolean' } }, allowPositionals: true });
    if (positionals.length !== 1) throw new UsageError('plan takes one job file (or - for standard input)');
    const { job, problem } = readProblem(positionals[0]);
    const posterior = posteriorOf(problem);
    const { access, costs } = outlookOf(job, posterior);
    const plan = planOf(posterior, access, costs);
    if (values.json) return toJson(plan);
    const priced = hasPrices(job.worth);
    const line = (cost: string, text: string): string => `  ${cost.padStart(16)}  ${text}`;
    return [
      [planSentence(plan, 'C', priced, job.loom), breakEvenText(plan, priced, job.worth.assembly)]
        .filter(Boolean)
        .join(' '),
      '',
      ...plan.options.map((o) => {
        const risk = riskText(o);
        return line(costText(o, priced), `${optionName(o, 'C', job.loom)}${risk ? `; ${risk}` : ''}`);
      }),
      '',
      'Fixed ways of working:',
      ...plan.rules.map((r) => line(costText(r, priced), r.name)),
      '',
    ].join('\n');
  },
};
