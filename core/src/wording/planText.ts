import { measurementById } from '../circuit/measurements/list.ts';
import type { Harness } from '../circuit/harness/harnessSchema.ts';
import type { Option, Plan, Ways } from '../advice/plan/planOf.ts';
import type { Remaining } from '../advice/plan/remaining.ts';
import type { Spent } from '../advice/plan/repairs.ts';
import { formatProbability, type TemperatureUnit } from '../base/units/format.ts';
import { groupName } from './groupName.ts';
import type { FaultGroup } from '../base/units/vocabulary.ts';
import { conditionsText } from './conditionsText.ts';
import { fixed } from '../base/units/writing.ts';

const ACTS: Readonly<Record<FaultGroup, string>> = {
  sensor: 'Replace the sensor now',
  wiring: 'Repair the wiring now',
  reference: 'Find what pulls the reference down now',
  module: 'Repair or replace the module now',
  installation: 'Correct the sensor position now',
  healthy: 'Stop: nothing wrong now',
};

/** One way to go on, by name: "Replace the sensor now", "Sensor ohms first". */
export function optionName(
  { kind, group, measurement, conditions }: Option,
  unit: TemperatureUnit,
  loom?: Harness,
): string {
  if (kind === 'act') return ACTS[group!];
  const words = conditionsText(conditions, unit, loom);
  return `${measurementById(measurement!).name}${words ? ` (${words})` : ''} first`;
}

const whole = (value: number): string => String(Math.round(value));

/** What it is expected to cost: "38 min and 24", or minutes alone. */
export function costText({ minutes, money }: Spent, priced: boolean): string {
  return priced ? `${whole(minutes)} min and ${whole(money)}` : `${whole(minutes + money)} min`;
}

/** How often a repair is in vain: "1 in 9 you come back"; empty for a test or where it is next to never. */
export function riskText({ wrong, group }: Option): string {
  if (wrong === null) return '';
  const ending = group === 'healthy' ? 'it shows again' : 'it does not help';
  if (wrong < 0.01) return `less than 1 in 100 ${ending}`;
  return wrong > 0.5 ? `${whole(100 * wrong)} in 100 ${ending}` : `1 in ${whole(1 / wrong)} ${ending}`;
}

/** At which price it turns; empty where nothing turns, or where no prices are known. */
export function breakEvenText({ breakEven }: Plan, priced: boolean, assembly: boolean): string {
  if (breakEven === null || !priced) return '';
  const part = assembly ? 'the assembly' : 'the part';
  return `Testing on pays while ${part} costs more than ${breakEven < 10 ? fixed(breakEven, 1) : whole(breakEven)}.`;
}

/** What is said over the list, in a sentence. */
export function planSentence(
  { options, outOfReach }: Ways,
  unit: TemperatureUnit,
  priced: boolean,
  loom?: Harness,
): string {
  if (options.length === 0) return 'Nothing to choose between: no test is left and no repair is likely.';
  const [best] = options;
  const other = options.find((o) => o.kind !== best.kind);
  const unsure = other?.tooUnsure ? ', less sure than asked' : '';
  const than = other ? ` ${optionName(other, unit, loom)} would be ${costText(other, priced)}${unsure}.` : '';
  const reach = outOfReach ? ' No test that is left makes it as sure as asked: this is what pays.' : '';
  return `${optionName(best, unit, loom)}: ${costText(best, priced)} until it works, on average.${than}${reach}`;
}

/** What each of two groups that are left would cost, and what would separate them; empty where the verdict is decided. */
export function remainingText(remaining: readonly Remaining[], priced: boolean): string {
  if (remaining.length < 2) return '';
  const each = remaining.map(
    (r) =>
      `${groupName(r.group)}, ${formatProbability(r.probability)}: ${r.group === 'healthy' ? 'nothing to repair' : `repair ${costText({ ...r, total: 0 }, priced)}`}.`,
  );
  return `${each.join(' ')} What would separate them: a second thermometer, a spare sensor, a reading when hot, or time.`;
}
