import { type Command, parse, toJson, wholeNumber } from '../command.ts';
import { studyOrders } from '../study/orders.ts';
import { studyText } from '../study/studyText.ts';
import { studyStages } from '../study/stages.ts';

export const studyCommand: Command = {
  name: 'study',
  usage: 'study [--cases N] [--orders N] [--seed N] [--json]',
  summary:
    'How often the verdict is right: N simulated cases by stage, against hand rules, and tests and minutes of each order of work.',
  run(args) {
    const options = {
      json: { type: 'boolean' },
      cases: { type: 'string' },
      orders: { type: 'string' },
      seed: { type: 'string' },
    } as const;
    const { values } = parse({ args, options });
    const cases = wholeNumber(values.cases, 'cases', 2000, 1, 1_000_000);
    const orders = wholeNumber(values.orders, 'orders', 200, 0, 1_000_000);
    const seed = wholeNumber(values.seed, 'seed', 1, 0, 1e9);
    const say = (text: string): void => void process.stderr.write(`${text}\n`);
    const stages = studyStages(cases, seed, (n) => say(`cases ${n} of ${cases}`));
    const results = orders === 0 ? [] : studyOrders(orders, seed, (n) => say(`order ${n} done`));
    return values.json ? toJson({ stages, orders: results }) : studyText(stages, results, { cases, orders, seed });
  },
};
