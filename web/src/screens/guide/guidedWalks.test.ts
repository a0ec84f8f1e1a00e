// @vitest-environment happy-dom
import type { ThermometerKind } from '@mellow-probe/core/base/units/vocabulary';
import { resultStepWords as result, testStepWords as tests } from '@mellow-probe/core/wording/screens/guide';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { expect, test } from 'vitest';
import { judged, ownCheck, press, session, show, untilShown } from '../../../test/mountedScreens.ts';
import GuidedCheck from './GuidedCheck.vue';

/** What a meter shows at one machine, by test. What is not here cannot be done there. */
type Machine = Readonly<Record<string, string>>;
/** An engine coolant sensor of 2 kΩ at 25 °C, B 3600, on 5 V by 2.49 kΩ, at 20 °C: 2.46 kΩ and 2.48 V. By hand. */
const SOUND: Machine = {
  ...{ displayed: '20', 'open-voltage': '5.01', 'open-voltage-return': '5.01', 'supply-to-return': '12.5' },
  ...{ 'loaded-voltage': '2.48', 'loaded-voltage-return': '2.48', 'return-drop': '0.003', 'sensor-ohms': '2.46k' },
  ...{ 'displayed-unplugged': '-40', 'displayed-bridged': '150' },
};
async function begun(symptom: string, air: number, thermometer: ThermometerKind | null = null): Promise<VueWrapper> {
  const { id } = await ownCheck(
    (j) => {
      Object.assign(j.moments[0], { temperatureC: { text: `${air} °C`, value: air }, thermometer });
      j.complaint.symptoms = [symptom];
    },
    { judging: true, circuit: 'engine-coolant-2k' },
  );
  return show(GuidedCheck, { path: `/check/${id}/guide?step=test` });
}
/** Does every suggested test at this machine until the result is there; returns how many cards that took, those that cannot be done among them. */
async function measured(guide: VueWrapper, machine: Machine): Promise<number> {
  const ended = (): boolean => guide.find('[data-test="result"]').exists();
  const card = (): string | null =>
    guide.find('[data-card]').exists() ? guide.get('[data-card]').attributes('data-card')! : null;
  for (let i = 0; i < 14; i++) {
    await untilShown(() => ended() || card() !== null, 'a card or the result');
    if (ended()) return i;
    const id = card()!;
    if (machine[id] === undefined) await press(guide, tests.cannot);
    else {
      await guide.get('[data-card] .large input').setValue(machine[id]);
      await judged();
      await untilShown(() => guide.find('[data-test="moved"]').exists(), 'what the figure says');
      await guide.get('[data-test="on"]').trigger('click');
    }
    await judged();
    await untilShown(() => ended() || (card() !== null && card() !== id), 'the next card');
  }
  throw new Error('no result after fourteen cards');
}
const first = () => session().verdict.result!.assessment.groups[0].group;

test.each<[what: string, symptom: string, shows: Machine, group: string, title: RegExp]>([
  [
    'a signal wire that is open',
    'end-cold',
    {
      ...{ displayed: '-40', 'open-voltage': '0', 'open-voltage-return': '0', 'loaded-voltage': '0' },
      ...{ 'loaded-voltage-return': '0', 'displayed-bridged': '-40', 'loop-ohms': 'OL', 'signal-wire-ohms': 'OL' },
      'return-wire-ohms': '0.4',
    },
    'wiring',
    /[Ss]ignal wire|Wiring/,
  ],
  [
    // 1 kΩ to ground beside the sensor: 710 Ω and 1.11 V; without the sensor 1.43 V.
    'a leak from the signal wire to ground',
    'reads-hot',
    {
      ...{ displayed: '58', 'open-voltage': '1.43', 'open-voltage-return': '1.43', 'loaded-voltage': '1.11' },
      ...{ 'loaded-voltage-return': '1.11', 'displayed-unplugged': '46', 'isolation-ground': '1.0k' },
      'isolation-return': 'OL',
    },
    'wiring',
    /[Ll]eak|[Ss]hort|Wiring/,
  ],
  [
    // 3.2 V in place of 5: the display divides by 5 V and shows 41 °C.
    'a reference that a neighbour pulls down',
    'reads-hot',
    {
      ...{ displayed: '41', 'open-voltage': '3.2', 'open-voltage-return': '3.2', 'loaded-voltage': '1.59' },
      ...{ 'loaded-voltage-return': '1.59', 'neighbour-reference': '3.2', 'reference-alone': '5.0' },
    },
    'reference',
    /[Rr]eference|supply/,
  ],
])('guided to %s', async (_, symptom, shows, group, title) => {
  const guide = await begun(symptom, 20);
  const cards = await measured(guide, { ...SOUND, ...shows });
  expect(cards).toBeGreaterThan(0);
  // Ten taps on a phone: five before the first card, one on each.
  expect(cards).toBeLessThanOrEqual(5);
  expect(first()).toBe(group);
  expect(guide.get('[data-test="result"] h3').text()).toMatch(title);
});

test('a poor thermometer is questioned before anything is condemned; with a good one nothing is wrong', async () => {
  // The engine is at 80 °C: 305 Ω and 0.55 V. An infra-red thermometer on bare metal shows the reflected room.
  const hot = {
    ...SOUND,
    displayed: '80',
    'loaded-voltage': '0.55',
    'loaded-voltage-return': '0.55',
    'sensor-ohms': '305',
  };
  const guide = await begun('reads-hot', 55, 'infra-red-shiny');
  await measured(guide, hot);
  const said = guide.get('[data-test="result"]').text();
  expect(said).toContain('Read the temperature again by a better method');
  expect(said).not.toContain(result.whatToDo);
  await guide.get('[data-test="again"]').trigger('click');
  await flushPromises();
  expect(guide.vm.$route.query.step).toBe('temperature');
  Object.assign(session().job.moments[0], { temperatureC: { text: '79 °C', value: 79 }, thermometer: 'glass' });
  await judged();
  await guide.vm.$router.push({ path: guide.vm.$route.path, query: { step: 'test' } });
  await flushPromises();
  await measured(guide, hot);
  expect(first()).toBe('healthy');
  expect(guide.get('[data-test="result"] h3').text()).toMatch(/Nothing wrong/);
});
