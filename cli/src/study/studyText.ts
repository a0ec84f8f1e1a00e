import type { OrderResult } from './orders.ts';
import { calibration, type Judged, logLoss, STAGES, type StageStudy } from './stages.ts';

/** A share as it is told in the report. */
export const percent = (x: number): string => `${(100 * x).toFixed(1)} %`;

/** The study as Markdown, as it stands in docs/accuracy.md. */
export function studyText(
  study: StageStudy,
  orders: readonly OrderResult[],
  run: { cases: number; orders: number; seed: number },
): string {
  const parts = [stageTable(study), calibrationTable(study.stages[study.stages.length - 2])];
  if (orders.length > 0) parts.push(orderTable(orders, run.orders));
  parts.push(wrongCases(study));
  return `${parts.join('\n\n')}\n`;
}

function stageTable({ stages, rules, cases }: StageStudy): string {
  const rows = stages.map((judged, s) => {
    const right = judged.filter((j) => j.right).length / judged.length;
    return `| ${STAGES[s].name} | ${percent(right)} | ${logLoss(judged).toFixed(3)} |`;
  });
  const ruleRows = rules.map((r) => `| ${r.name} | ${percent(r.right / cases)} | |`);
  return [
    `Right fault group, ${cases} simulated cases:`,
    '',
    '| readings so far | right group | log loss (nat) |',
    '|---|---|---|',
    ...rows,
    '| **hand rules on the same cases** | | |',
    ...ruleRows,
  ].join('\n');
}

function calibrationTable(judged: readonly Judged[]): string {
  const rows = calibration(judged).map(
    (b) => `| ${percent(b.from)} … ${percent(b.to)} | ${b.cases} | ${percent(b.said)} | ${percent(b.right)} |`,
  );
  return [
    'Calibration after loaded volts and sensor ohms:',
    '',
    '| leading group was given | cases | mean said | was right |',
    '|---|---|---|---|',
    ...rows,
  ].join('\n');
}

function orderTable(orders: readonly OrderResult[], count: number): string {
  const rows = orders.map(
    (o) =>
      `| ${o.name} | ${o.tests.toFixed(1)} | ${o.minutes.toFixed(1)} | ${percent(o.reached)} | ${percent(o.right)} |`,
  );
  return [
    `Until 95 % is on one group, ${count} cases:`,
    '',
    '| order of tests | tests | minutes | reached 95 % | right group |',
    '|---|---|---|---|---|',
    ...rows,
  ].join('\n');
}

function wrongCases({ stages }: StageStudy): string {
  const last = stages[stages.length - 1].filter((j) => !j.right);
  const before = stages[stages.length - 2].filter((j) => !j.right);
  const rows = last.map(
    (j) => `| ${j.seed} | ${j.truth} | ${j.leader} | ${percent(j.leading)} | ${percent(j.onTruth)} | ${reasonOf(j)} |`,
  );
  const pairs = new Map<string, number>();
  for (const j of before)
    pairs.set(`${j.truth} taken for ${j.leader}`, (pairs.get(`${j.truth} taken for ${j.leader}`) ?? 0) + 1);
  const common = [...pairs].sort((a, b) => b[1] - a[1]).slice(0, 12);
  return [
    `Wrong after all stages: ${last.length}.`,
    '',
    '| case | truth | verdict | given to it | given to the truth | reason |',
    '|---|---|---|---|---|---|',
    ...rows,
    '',
    `Wrong after loaded volts and sensor ohms: ${before.length}. The commonest confusions:`,
    '',
    ...common.map(([pair, n]) => `- ${pair}: ${n}`),
  ].join('\n');
}

/** Why a wrong verdict is wrong, as far as the figures tell. */
function reasonOf(j: Judged): string {
  const blunders = j.blunders.length > 0 ? `read wrong: ${j.blunders.join(', ')}` : '';
  if (blunders) return blunders;
  const size = Number.isNaN(j.size) ? '' : `size ${Number(j.size.toPrecision(2))}: `;
  if (j.leading < 0.7) return `${size}left open, said to be undecided`;
  if (j.leader === 'healthy') return `${size}too small to stand out`;
  return `${size}tolerances and noise made the readings speak for the other`;
}
