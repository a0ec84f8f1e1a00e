import type { Page } from '@playwright/test';
import { seededUniform } from '../core/src/base/numeric/random.ts';
import { field } from './bench.ts';

/** What is typed in a trial: where, which text, how many of its characters before the blow falls, and how long after the last of them, ms. */
export interface Plan {
  label: string;
  text: string;
  characters: number;
  pauseMs: number;
}

const FIELDS = [
  'Thermometer',
  'Ohms, sensor',
  'Volts unplugged',
  'Volts plugged in',
  'Title of this check',
  'Displayed',
  'Return voltage drop',
] as const;

/** A seeded plan: a figure of four to eight characters, cut off anywhere. */
export function planOf(seed: number): Plan {
  const uniform = seededUniform(seed * 6007 + 11);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)];
  const digits = Array.from({ length: 2 + Math.floor(uniform() * 5) }, () => Math.floor(10 * uniform())).join('');
  const text = `${1 + Math.floor(9 * uniform())}.${digits}`;
  return {
    label: pick(FIELDS),
    text,
    characters: 1 + Math.floor(uniform() * text.length),
    pauseMs: pick([0, 0, 1, 4, 12, 40, 120]),
  };
}

/** A figure for every field, in a seeded order: all but the last typed to their end, the last cut off. */
export function plansOf(seed: number): Plan[] {
  const last = planOf(seed);
  const others = FIELDS.filter((label) => label !== last.label);
  return [
    ...others.map((label, k): Plan => {
      const { text } = planOf(seed * 7 + k + 1_000_000);
      return { label, text, characters: text.length, pauseMs: 0 };
    }),
    last,
  ];
}

/** The field of a plan on the page. */
export const fieldOf = (page: Page, { label }: Plan) =>
  label === 'Title of this check' ? page.getByLabel(label) : field(page, label);

/** Types a plan up to its blow. Every character that this returns after was seen by the page. */
export async function typePlan(page: Page, plan: Plan): Promise<string> {
  const target = fieldOf(page, plan);
  await target.focus();
  await page.keyboard.press('Control+A');
  for (const character of plan.text.slice(0, plan.characters)) await page.keyboard.press(character);
  if (plan.pauseMs > 0) await page.waitForTimeout(plan.pauseMs);
  return plan.text.slice(0, plan.characters);
}

/** What stands in the field of a plan, without the unit that leaving a field may add. */
export async function standsIn(page: Page, plan: Plan): Promise<string> {
  return (await fieldOf(page, plan).inputValue()).replace(/ °[CF]$/, '');
}
