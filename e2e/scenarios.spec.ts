import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { choose, kept, verdict } from './bench.ts';
import { Hand } from './hand.ts';

/** Cases of the trade with figures of our own invention, driven through the real interface: the verdict, the next test, the strokes. */
interface Scenario {
  name: string;
  circuit: string;
  air: string;
  /** [test, figure, conditions]; a string is an action before the next reading. */
  readings: [test: string, text: string, conditions?: Parameters<Hand['read']>[2]][];
  before?: (hand: Hand) => Promise<void>;
  verdict: RegExp;
  next?: RegExp;
  after?: (hand: Hand) => Promise<void>;
}

const finding =
  (words: string) =>
  async (hand: Hand): Promise<void> => {
    await hand.station('look');
    await hand.check(words);
  };

const SCENARIOS: readonly Scenario[] = [
  {
    name: 'open sensor',
    circuit: '2.49 kΩ · NTC 2.8 kΩ',
    air: '18',
    readings: [
      ['displayed', '-40'],
      ['displayed-bridged', '180'],
      ['sensor-ohms', 'OL'],
    ],
    verdict: /Sensor open/,
    next: /Enough measured/,
  },
  {
    name: 'shorted sensor',
    circuit: '2.49 kΩ · NTC 2.8 kΩ',
    air: '18',
    readings: [
      ['displayed', '180'],
      ['displayed-unplugged', '-40'],
      ['sensor-ohms', '4'],
    ],
    verdict: /Sensor shorted/,
    next: /Enough measured/,
  },
  {
    name: 'sensor drifted high at room temperature',
    circuit: 'Room or duct air',
    air: '22',
    readings: [
      ['displayed', '14'],
      ['sensor-ohms', '17k2'],
      ['bench-ohms', '4k3', { water: '60' }],
    ],
    verdict: /Sensor drifted high/,
  },
  {
    name: 'sensor of the wrong type',
    circuit: 'Evaporator or coil',
    air: '20',
    readings: [
      // Twice as much as it should have at 20 °C, more when hot and less when cold: the flat 10 kΩ type.
      ['displayed', '6'],
      ['sensor-ohms', '12,3k'],
      ['bench-ohms', '2760', { water: '60' }],
      ['bench-ohms', '29k5', { water: '0' }],
    ],
    verdict: /Sensor of another type fitted|Sensor, kind not settled/,
  },
  {
    name: 'reference fine but series resistance in the signal wire',
    circuit: 'Engine intake air',
    air: '15',
    readings: [
      ['displayed', '-8'],
      ['open-voltage', '5.00'],
      ['sensor-ohms', '3080'],
      ['displayed-substituted', '-4', { ohm: '2k2' }],
      ['return-drop', '0.003'],
    ],
    verdict: /Wiring: resistance in the signal wire/,
  },
  {
    name: 'return open',
    circuit: '2.49 kΩ · NTC 2 kΩ',
    air: '10',
    readings: [
      ['displayed', '-40'],
      ['open-voltage', '4.99'],
      ['open-voltage-return', '0.00'],
      ['supply-to-return', '0.00'],
    ],
    verdict: /Wiring: return wire open/,
  },
  {
    name: 'signal leaking to ground: in-between volts that a grounded return does not change',
    circuit: 'Engine oil · 5 V · 1 kΩ',
    air: '20',
    readings: [
      ['displayed', '51'],
      ['open-voltage', '2.80'],
      ['open-voltage-return-bridged', '2.80'],
      ['neighbour-reference', '5.00'],
    ],
    verdict: /Wiring: signal leaks to ground/,
  },
  {
    name: 'wet connector',
    circuit: 'Evaporator or coil',
    air: '8',
    before: finding('Water, coolant or condensate'),
    readings: [
      ['displayed', '27'],
      ['sensor-ohms', '10.9k'],
      ['open-voltage', '2.35'],
      ['isolation-return', '7.2k'],
    ],
    verdict: /signal leaks to the return \(wet connector\)/,
  },
  {
    name: 'reference dragged down by a neighbour, several codes',
    circuit: '2.49 kΩ · NTC 2 kΩ',
    air: '14',
    before: async (hand) => {
      await hand.station('complaint');
      await hand.fill('Add a code', 'P0117, P0197, P0642');
      await hand.press('Add code');
      await expect(hand.page.locator('[data-test="code"]')).toHaveCount(3);
      await expect(hand.page.locator('[data-test="code"]').first()).toContainText('in this circuit that reads hot');
    },
    readings: [
      ['open-voltage', '2.90'],
      ['neighbour-reference', '2.90'],
      ['sensor-ohms', '3200'],
    ],
    verdict: /Reference supply: reference low/,
  },
  {
    name: 'module shows a default',
    circuit: '2.49 kΩ · NTC 2.8 kΩ',
    air: '16',
    before: async (hand) => {
      await hand.press('More…');
      await hand.fill('Default shown at a fault', '60');
      await hand.press('Close');
      await expect(hand.page.getByRole('dialog')).toBeHidden();
    },
    readings: [
      ['displayed', '60'],
      ['displayed-unplugged', '60'],
      ['open-voltage', '0.00'],
      ['sensor-ohms', '4.2k'],
    ],
    verdict: /Wiring: signal wire open/,
  },
  {
    name: 'boiler flow sensor drifted by moisture',
    circuit: 'Boiler flow',
    air: '45',
    before: finding('Water, coolant or condensate'),
    readings: [
      ['displayed', '33'],
      ['sensor-ohms', '8750'],
      ['open-voltage', '4.98'],
      ['bench-ohms', '5k13', { water: '60' }],
    ],
    verdict: /Sensor drifted high/,
  },
  {
    name: 'outdoor sensor in the sun with a long cable, measured from the panel',
    circuit: 'Outdoor coil',
    air: '9',
    before: async (hand) => {
      await hand.press('More…');
      await hand.fill('Long cable, one way', '40');
      await hand.press('Close');
      await expect(hand.page.getByRole('dialog')).toBeHidden();
      await finding('Sensor loose, in sun')(hand);
    },
    readings: [
      ['displayed', '24'],
      ['panel-ohms', '10k5'],
      ['loop-ohms', '2.4'],
      ['bench-ohms', '32k6', { water: '0' }],
    ],
    verdict: /Installation: sensor sits at another temperature/,
  },
  {
    name: 'code from the past with nothing wrong now',
    circuit: 'Engine oil · 5 V · 1 kΩ',
    air: '16',
    before: async (hand) => {
      await hand.station('complaint');
      await hand.fill('Add a code', 'P0198');
      await hand.press('Add code');
      await hand.choose('State of P0198', 'from the past');
    },
    readings: [
      ['displayed', '16'],
      ['loaded-voltage', '4.05'],
      ['sensor-ohms', '4k25'],
      ['return-drop', '0.004'],
    ],
    verdict: /Nothing wrong with this circuit now/,
  },
  {
    name: 'new sensor already fitted and fault still there',
    circuit: '2.49 kΩ · NTC 2 kΩ',
    air: '11',
    before: async (hand) => {
      await hand.station('complaint');
      await hand.check('Sensor');
    },
    readings: [
      ['displayed', '-25'],
      ['sensor-ohms', '3.7k'],
      ['loaded-voltage', '4.42'],
      ['return-drop', '3.4'],
    ],
    verdict: /Wiring: resistance in the return/,
  },
];

/** Strokes as the docs tell them. */
const told = new Map(
  [
    ...readFileSync(path.resolve(import.meta.dirname, '../docs/strokes.md'), 'utf8').matchAll(
      /^\| (.+?) +\| (\d+) +\|$/gm,
    ),
  ].map(([, name, n]) => [name, Number(n)]),
);
function counted(name: string, hand: Hand): void {
  expect(hand.strokes, `docs/strokes.md: | ${name} | ${hand.strokes} |`).toBe(told.get(name));
}

for (const s of SCENARIOS) {
  test(s.name, async ({ page }) => {
    const hand = new Hand(page);
    await hand.start(s.circuit, s.name.slice(0, 24));
    await hand.fill('Thermometer', s.air);
    await s.before?.(hand);
    for (const [id, text, conditions] of s.readings) await hand.read(id, text, conditions);
    await expect(verdict(page)).toContainText(s.verdict);
    if (s.next) await expect(page.locator('[data-test="next"]')).toContainText(s.next);
    else await expect(page.locator('[data-test="next"]')).toBeVisible();
    counted(s.name, hand);
  });
}

test('gauge sender measured instead of the controller’s sensor', async ({ page }) => {
  const hand = new Hand(page);
  await hand.start('2.49 kΩ · NTC 2 kΩ', 'two senders');
  await hand.fill('Thermometer', '20');
  await hand.read('displayed', '-12');
  await hand.read('sensor-ohms', '690');
  await hand.station('right-sensor');
  for (const [button, field, name] of [
    ['Add a value', 'Name of a displayed value', 'controller'],
    ['Add a plug', 'Name of a plug', 'one pin'],
    ['Add a plug', 'Name of a plug', 'two pins'],
  ] as const) {
    await hand.press(button);
    await page.getByLabel(field).last().fill(name);
    hand.strokes += name.length;
  }
  await page.getByLabel('complained of').check();
  await page.getByLabel('measured here').first().check();
  hand.strokes += 2;
  await page.getByRole('button', { name: 'nothing with one pin' }).click();
  await page.getByRole('button', { name: 'controller with two pins' }).click();
  hand.strokes += 2;
  await expect(page.locator('[data-test="plug-told"]').first()).toContainText('wrong plug');
  await expect(page.locator('[data-station="right-sensor"]')).toContainText('wrong plug');
  await hand.station('readings');
  await page.getByRole('button', { name: 'Void…' }).nth(1).click();
  await hand.fill('Why it is voided', 'gauge sender');
  await page.getByRole('button', { name: 'Void', exact: true }).click();
  hand.strokes += 2;
  await hand.station('right-sensor');
  await page.getByLabel('measured here').nth(1).check();
  hand.strokes += 1;
  await expect(page.locator('[data-test="plug-told"]').last()).toContainText('right plug');
  await hand.read('sensor-ohms', '2.48k');
  await hand.read('loaded-voltage', '0.91');
  await hand.read('return-drop', '0.004');
  await expect(verdict(page)).toContainText('Wiring: resistance in the signal wire');
  counted('gauge sender measured instead of the controller’s sensor', hand);
});

test('platinum exhaust sensor among three, found by unplugging', async ({ page }) => {
  const hand = new Hand(page);
  await hand.start('Pt200', 'three exhaust sensors');
  await hand.fill('Thermometer', '20');
  await hand.station('right-sensor');
  for (const name of ['EGT 1', 'EGT 2', 'EGT 3']) {
    await hand.press('Add a value');
    await page.getByLabel('Name of a displayed value').last().fill(name);
    hand.strokes += name.length;
  }
  for (const name of ['front', 'middle', 'rear']) {
    await hand.press('Add a plug');
    await page.getByLabel('Name of a plug').last().fill(name);
    hand.strokes += name.length;
  }
  await page.getByLabel('complained of').nth(1).check();
  await page.getByRole('button', { name: 'EGT 3 with front' }).click();
  await page.getByRole('button', { name: 'EGT 1 with middle' }).click();
  hand.strokes += 3;
  await expect(page.getByText('“rear” is “EGT 2”, as the one left over.')).toBeVisible();
  await page.getByLabel('measured here').nth(2).check();
  hand.strokes += 1;
  await hand.read('displayed', '930');
  await hand.read('displayed-bridged', '-40');
  await hand.read('sensor-ohms', 'OL');
  await expect(verdict(page)).toContainText('Sensor open');
  counted('platinum exhaust sensor among three, found by unplugging', hand);
});

test('evaporator sensor proved by a substitute resistor that must come out again', async ({ page }) => {
  const hand = new Hand(page);
  await hand.start('Evaporator or coil', 'air coil');
  await hand.fill('Thermometer', '10');
  await hand.read('displayed', '24');
  await hand.read('displayed-substituted', '25', { ohm: '5k' });
  await expect(page.getByLabel('The test on the card')).toContainText('Take the resistor out again');
  await hand.read('sensor-ohms', '5.2k');
  await hand.read('bench-ohms', '8.5k', { water: '0' });
  await expect(verdict(page)).toContainText('Sensor drifted low');
  await hand.station('repair');
  await expect(page.getByText('make sure it is out again')).toBeVisible();
  await hand.press('Book a stand-in');
  await hand.fill('What stands in', '5 kΩ NTC from the drawer');
  await kept(page);
  await page.getByRole('link', { name: 'Checks' }).click();
  await expect(page.getByText('temporary stand-in still fitted')).toBeVisible();
  counted('evaporator sensor proved by a substitute resistor that must come out again', hand);
});

test('sensor that fails only after a heat cycle', async ({ page }) => {
  const hand = new Hand(page);
  await hand.start('2.49 kΩ · NTC 2.8 kΩ', 'heat cycle');
  await hand.fill('Thermometer', '29');
  await hand.station('compare');
  const pairs = [
    ['29', '2.33k', 'heating'],
    ['60', '665', 'heating'],
    ['29', '14.5k', 'after'],
    ['30', '14.1k', 'after'],
  ];
  for (const [i, [t, ohm, phase]] of pairs.entries()) {
    await hand.press('Add a pair');
    await hand.fill(`Water at, ${i + 1}`, t);
    await hand.fill(`Ohms, ${i + 1}`, ohm);
    await choose(page.locator('[data-test="pair"]').nth(i).getByLabel('while'), phase);
    hand.strokes += 2;
  }
  await expect(page.locator('[data-test="compare-told"]').filter({ hasText: 'did not come back' })).toBeVisible();
  await expect(verdict(page)).toContainText('Sensor drifted high');
  await expect(verdict(page)).toContainText('only hot');
  for (const [i, [minute, value]] of [
    ['0', '90'],
    ['1', '60'],
    ['2', '45'],
    ['3', '37.5'],
  ].entries()) {
    await hand.press('Add a timed reading');
    const fields = page.locator('[data-test="timed"]').nth(i).locator('input');
    await fields.first().fill(minute);
    await fields.last().fill(value);
    hand.strokes += minute.length + value.length;
  }
  await expect(page.locator('[data-test="settling-told"]')).toContainText('Will settle at about 30');
  counted('sensor that fails only after a heat cycle', hand);
});
