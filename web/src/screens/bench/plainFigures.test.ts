// @vitest-environment happy-dom
import { newMoments } from '@mellow-probe/core/check/job/moments';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { figureFieldWords as field } from '@mellow-probe/core/wording/screens/components';
import { circuitChoiceWords as choice, quickCardWords as quick } from '@mellow-probe/core/wording/screens/bench';
import { verdictPanelWords as panel } from '@mellow-probe/core/wording/screens/benchVerdict';
import { flushPromises, type DOMWrapper, type VueWrapper } from '@vue/test-utils';
import { describe, expect, test } from 'vitest';
import {
  atDesk,
  judged,
  listOf,
  ownCheck,
  pickFrom,
  plain,
  press,
  reading,
  session,
  show,
  tick,
  typedFields,
  untilShown,
} from '../../../test/mountedScreens.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import BenchTable from './BenchTable.vue';
import QuickCard from './QuickCard.vue';
import VerdictPanel from './VerdictPanel.vue';

/** Figures as a mechanic gives them, on the quick check of a new check: 5 V by 2.49 kΩ to a sensor of 2 kΩ at 25 °C, B 3600. */
const check = (change: (job: Job) => void = () => undefined, judging = true): Promise<Job> =>
  ownCheck(
    (j) => {
      j.moments = newMoments();
      change(j);
    },
    { judging, circuit: 'engine-coolant-2k' },
  );
/** The field whose label begins like this. What was read is shown beside it. */
const fieldOf = (w: VueWrapper, label: string): DOMWrapper<HTMLInputElement> => {
  const found = typedFields(w).find((f) => f.name.startsWith(label));
  if (!found) throw new Error(`no field “${label}”`);
  return found.field;
};
/** Types a figure, leaves the field, and waits for what is said of it. */
async function enter(w: VueWrapper, label: string, text: string): Promise<void> {
  await fieldOf(w, label).setValue(text);
  await fieldOf(w, label).trigger('change');
  await fieldOf(w, label).trigger('blur');
  await judged();
  await flushPromises();
}
const alerts = (w: VueWrapper): string[] => w.findAll('[role="alert"]').map((a) => a.text());
const under = (w: VueWrapper, id: string): string => w.get(`[data-measurement="${id}"] .under`).text();

describe('a figure as it is typed', () => {
  test('asked where it can be read two ways, refused with a reason where it is none; it stays either way', async () => {
    const job = await check();
    const card = await show(QuickCard);
    const ohms = () => [job.readings[0].text, job.readings[0].value];
    await enter(card, quick.sensorOhms, '11,883');
    expect([ohms(), alerts(card)]).toEqual([['11,883', null], [expect.stringContaining('Two ways to read this')]]);
    await press(card, '11883');
    await judged();
    await flushPromises();
    expect([ohms(), alerts(card)]).toEqual([['11883', 11_883], []]);
    for (const [text, why] of [
      ['5 V', 'takes ohms'],
      ['-20', 'cannot be negative'],
    ]) {
      await enter(card, quick.sensorOhms, text);
      expect([ohms(), alerts(card)]).toEqual([[text, null], [expect.stringContaining(why)]]);
    }
  });
  test('a k that was missed is offered, and one tap puts it in', async () => {
    const job = await check();
    const card = await show(QuickCard);
    await enter(card, quick.thermometer, '12');
    await enter(card, quick.sensorOhms, '3.5');
    await press(card, field.meant('3.50 kΩ').replace('?', ''));
    expect([job.readings[0].text, job.readings[0].value]).toEqual(['3.50 kΩ', 3500]);
  });
  test('a part of the circuit that is missing leaves no verdict; an unknown pull-up is learned from a good pair', async () => {
    const job = await check();
    const [card, verdict] = [await show(QuickCard), await show(VerdictPanel)];
    await enter(card, quick.pullUp, '0');
    expect(alerts(card)).toEqual([expect.stringContaining('Must be more than zero.')]);
    expect(verdict.get('[data-test="incomplete"]').text()).toContain(panel.incompleteTitle);
    await enter(card, quick.thermometer, '-300');
    expect(alerts(card)).toContainEqual(expect.stringContaining('Below absolute zero'));
    expect([job.circuit.pullUpOhm.text, job.moments[0].temperatureC]).toEqual(['0', { text: '-300 °C', value: null }]);
    await enter(card, quick.pullUp, 'unknown');
    await enter(card, quick.thermometer, '53,6 F');
    expect(job.moments[0].temperatureC.value).toBeCloseTo(12, 6);
    await enter(card, quick.voltsPluggedIn, '2.9');
    expect([alerts(card), verdict.get('.learned').text()]).toEqual([[], expect.stringContaining('Pull-up learned')]);
  });
  test('a thermometer takes ranges and bounds; a text without a figure says why it is none', async () => {
    const job = await check(undefined, false);
    const card = await show(QuickCard);
    for (const [text, why] of [
      ['hot', 'No figure found'],
      ['24-18', 'smaller figure first'],
      ['18…', 'No figure found'],
    ]) {
      await enter(card, quick.thermometer, text);
      expect([alerts(card), job.moments[0].temperatureC.value]).toEqual([[expect.stringContaining(why)], null]);
    }
    const says = (): string =>
      fieldOf(card, quick.thermometer).element.closest('.figure')!.querySelector('.under')!.textContent;
    for (const [text, read] of [
      ['18-24', 'read as 18 … 24 °C'],
      ['~20', 'read as 14 … 26 °C'],
      ['<50', 'read as −10 … 50 °C'],
      ['20±3', 'read as 17 … 23 °C'],
    ]) {
      await enter(card, quick.thermometer, text);
      expect([alerts(card), plain(says())], text).toEqual([[], expect.stringContaining(read)]);
    }
  });
  test('the unit it was typed in wins: a later switch changes no figure', async () => {
    const job = await check();
    const card = await show(QuickCard);
    await enter(card, quick.thermometer, '12');
    expect(fieldOf(card, quick.thermometer).element.value).toBe('12 °C');
    usePreferences().temperatureUnit = 'F';
    await judged();
    await flushPromises();
    expect(under(card, 'displayed')).toContain('°F');
    await enter(card, quick.displayed, '54');
    expect([job.moments[0].temperatureC.value, Math.round(job.readings[0].value as number)]).toEqual([12, 12]);
    expect(card.get('[data-measurement="displayed"] .sign').text()).toBe('●');
  });
});

describe('a curve as a mechanic has it', () => {
  /** The choice of the list of curves whose words begin like this. */
  const curve = async (card: VueWrapper, words: string): Promise<void> => {
    const options = listOf(card, choice.sensorCurve).groups!.flatMap((g) => g.options);
    await pickFrom(card, choice.sensorCurve, options.find((o) => o.label.startsWith(words))!.value);
  };
  test('by its figures, by points, or a platinum one by its resistance at 0 °C: the healthy range follows', async () => {
    const job = await check();
    const card = await show(QuickCard);
    await enter(card, quick.thermometer, '12');
    const entry = (value: number) => ({ text: String(value), value });
    await curve(card, 'NTC by R25');
    await enter(card, 'R25', '2k');
    await enter(card, 'B (K)', '3600');
    const healthy = (): string => plain(under(card, 'sensor-ohms'));
    // 2 kΩ · e^(3600 · (1/285.15 − 1/298.15)) is 3.47 kΩ, by hand.
    expect(healthy()).toMatch(/healthy 2\.\d+ … 4\.\d+ kΩ/);
    await curve(card, choice.curvePoints);
    const points = [
      [17, 3650],
      [21, 3040],
      [48, 1000],
    ].map(([t, r]) => ({ temperatureC: entry(t), resistanceOhm: entry(r) }));
    Object.assign(job.circuit.curve, { points });
    await enter(card, quick.thermometer, '21');
    expect(healthy()).toMatch(/healthy 2\.\d+ … 3\.\d+ kΩ/);
    await curve(card, 'Platinum by R at 0');
    await enter(card, 'R at 0 °C', '200');
    expect(healthy()).toMatch(/healthy 2[01]\d … 22\d Ω/);
  });
  test('not known: the curves that stay possible are named, and an open sensor is found all the same', async () => {
    await check();
    const [card, verdict] = [await show(QuickCard), await show(VerdictPanel)];
    await curve(card, choice.curveUnknown);
    await enter(card, quick.pullUp, 'unknown');
    await enter(card, quick.thermometer, '20');
    await enter(card, quick.sensorOhms, '2.5k');
    expect(verdict.get('[data-test="curves"]').text()).toMatch(
      /Curve not known\. Still possible: .*2\.5\skΩ at 20\s°C/,
    );
    await enter(card, quick.sensorOhms, 'OL');
    expect(verdict.get('[data-test="verdict"]').text()).toContain('Sensor open');
  });
});

test('two things that are wrong are said as two', async () => {
  await check((j) => {
    j.moments[0].temperatureC = { text: '20', value: 20 };
    j.readings = [
      reading('sensor-ohms', '2458', 2458),
      reading('open-voltage', '3.93', 3.93),
      reading('return-wire-ohms', '1200', 1200),
      reading('isolation-return', '8000', 8000),
      reading('signal-wire-ohms', '0.6', 0.6),
      reading('isolation-ground', 'OL', 'OL'),
    ];
  });
  const verdict = await show(VerdictPanel);
  await untilShown(() => session().verdict.two !== null, 'the pairs');
  const said = verdict.get('[data-test="verdict"] h2').text();
  expect(said).toContain('Two things are wrong');
  expect(said).toContain('resistance in the return');
  expect(said).toContain('wet connector');
});

/** What a technician noted on the job card, and where each part of it goes by the words on the screen: pressed, or a field with its figure. */
const NOTES: readonly [note: string, by: readonly (string | readonly [field: string, figure: string])[]][] = [
  [
    'gauge pegged cold, 5 V at the plug, sensor reads 2.2k',
    [
      'Complaint',
      'Stuck at the cold end, about −40',
      'Quick check',
      ['Volts unplugged', '5 V'],
      ['Ohms, sensor', '2.2k'],
    ],
  ],
  [
    'code P0118; 4.98 with the plug off, 4.2 plugged in, 0.9 V on the return',
    [
      ...(['Complaint', ['Add a code', 'P0118'], 'Add code', 'Quick check'] as const),
      ...([
        ['Volts unplugged', '4.98'],
        ['Volts plugged in', '4.2'],
        ['Return voltage drop', '0.9 V'],
      ] as const),
    ],
  ],
  [
    'gauge says 33, hose is 60 by the thermometer, 8.7k across the sensor',
    [
      ['Displayed', '33'],
      ['Thermometer', '60'],
      ['Ohms, sensor', '8.7k'],
    ],
  ],
  [
    'unplugged it: gauge drops to −40; jumpered: 150. Sensor open',
    [
      ...(['Bypass test', ['Displayed value, unplugged', '-40'], 'Displayed value, jumpered'] as const),
      ...([['Displayed value, jumpered', '150'], 'Sensor resistance', ['Sensor resistance', 'OL']] as const),
    ],
  ],
  [
    'fine cold, only acts up hot; green pins, wet plug',
    [
      ...['Complaint', 'Only when hot', 'Inspect', 'Corrosion or bent pins at the plug'],
      'Water, coolant or condensate on the plug',
    ],
  ],
  [
    'new sensor already in, still reads too hot, 0 V at the plug',
    ['Complaint', 'Reads too hot', 'Sensor', 'Quick check', ['Volts unplugged', '0 V']],
  ],
];
test.each(NOTES)('a plain note is entered by the words on the screen alone: %s', async (_, parts) => {
  atDesk();
  const job = await check(undefined, false);
  const bench = await show(BenchTable);
  await untilShown(() => bench.findComponent({ name: 'VerdictPanel' }).exists(), 'the bench');
  const main = bench.get('main') as unknown as VueWrapper;
  let ticked = 0;
  for (const part of parts) {
    if (typeof part !== 'string') await enter(main, part[0], part[1]);
    else if (main.findAll('label').some((l) => l.find('input[type="checkbox"]').exists() && l.text() === part)) {
      await tick(main, part);
      ticked++;
    } else {
      const words = [...main.element.querySelectorAll('button, button *')].find((e) => e.textContent.trim() === part);
      if (!words) throw new Error(`no words “${part}”`);
      await (words.closest('form') ? main.get('form').trigger('submit') : press(main, part));
    }
    await flushPromises();
  }
  const figures = parts.filter((p) => typeof p !== 'string' && !/code|Thermometer/.test(p[0]));
  expect(job.readings.filter((r) => r.value !== null)).toHaveLength(figures.length);
  const { symptoms, replaced } = job.complaint;
  expect(symptoms.length + replaced.length + job.findings.length).toBe(ticked);
});
