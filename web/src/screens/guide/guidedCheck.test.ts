// @vitest-environment happy-dom
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { NOTICED } from '@mellow-probe/core/base/units/toldTemperature';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import {
  guideWords as say,
  resultStepWords as result,
  temperatureStepWords as temperature,
  testStepWords as tests,
  troubleStepWords as trouble,
  whatStepWords as what,
} from '@mellow-probe/core/wording/screens/guide';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { describe, expect, test } from 'vitest';
import { until } from '../../../test/browserWindow.ts';
import {
  broken,
  jobDoor,
  judged,
  NOW,
  onBench,
  plain,
  press,
  reading,
  session,
  show,
  type,
  untilShown,
} from '../../../test/mountedScreens.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import GuidedCheck from './GuidedCheck.vue';

let count = 0;
/** A guided check at one of its steps. Without `judging` no verdict is computed: it costs more than all the rest. */
async function at(
  step: string,
  judging = false,
  change: (job: Job) => void = () => undefined,
): Promise<{ job: Job; guide: VueWrapper }> {
  broken.message = judging ? '' : 'not needed here';
  const job = newJob(`guide-${count++}`, NOW);
  change(job);
  await onBench(job);
  const guide = await show(GuidedCheck, { path: `/check/${job.id}/guide?step=${step}` });
  return { job: session().job, guide };
}
const stepOf = (w: VueWrapper): unknown => w.vm.$route.query.step ?? null;
const pressed = (w: VueWrapper): string[] => w.findAll('[aria-pressed="true"]').map((b) => b.text());
const tile = (w: VueWrapper, words: string) => w.findAll('.tile').find((t) => t.text().includes(words))!;
const known = (job: Job): void => {
  job.moments[0].temperatureC = { text: '20 °C', value: 20 };
};

describe('the questions in their order', () => {
  test('each says where it is; on, back, and off to the quick form or to the order of work', async () => {
    const { guide, job } = await at('what');
    expect(guide.get('.head').text()).toContain(say.stepOf(1, 5));
    expect(guide.get('h2').text()).toBe(say.questions.what);
    for (const step of ['trouble', 'temperature']) {
      await press(guide, `${say.next} ›`);
      expect(stepOf(guide)).toBe(step);
    }
    expect(guide.get('.head').text()).toContain(say.stepOf(3, 5));
    await press(guide, `‹ ${say.back}`);
    expect(stepOf(guide)).toBe('trouble');
    await press(guide, `‹ ${say.back}`);
    expect(guide.findAll('button').some((b) => b.text().includes(`‹ ${say.back}`))).toBe(false);
    await guide.get('[data-test="quick"]').trigger('click');
    await flushPromises();
    expect([guide.vm.$route.fullPath, usePreferences().opens]).toEqual([`/check/${job.id}`, 'quick']);
  });
  test('what follows the result has no number; the last one leads to the report', async () => {
    const { guide, job } = await at('proof');
    expect(guide.get('.head').text()).not.toMatch(/\d/);
    await press(guide, `${say.next} ›`);
    await until(() => guide.vm.$route.path === `/check/${job.id}/report`, 'the report');
  });
});

describe('what is checked', () => {
  test('the sensors of one kind of machine with known pull-ups; a tap chooses one and goes on', async () => {
    const { guide, job } = await at('what');
    const names = (): string[] => guide.findAll('.tile .what').map((t) => plain(t.text()));
    const ofField = (field: string): string[] =>
      CATALOGUE_CIRCUITS.filter((c) => c.field === field && c.pullUpOhm !== null).map((c) => c.name.split(' · ')[0]);
    expect(names()).toEqual([...ofField(job.field), what.notListed]);
    expect(pressed(guide)).toHaveLength(1);
    guide.findComponent({ name: 'ChoiceRow' }).vm.$emit('update:modelValue', 'boiler');
    await flushPromises();
    expect([job.field, names()]).toEqual(['boiler', [...ofField('boiler'), what.notListed]]);
    const [, second] = guide.findAll('.tile');
    await second.trigger('click');
    await flushPromises();
    expect([job.circuit.name, stepOf(guide)]).toEqual([
      CATALOGUE_CIRCUITS.filter((c) => c.field === 'boiler' && c.pullUpOhm !== null)[1].name,
      'trouble',
    ]);
  });
  test('not listed: nothing of the circuit is claimed but its kind', async () => {
    const { guide, job } = await at('what');
    await tile(guide, what.notListed).trigger('click');
    await flushPromises();
    expect(job.circuit).toMatchObject({
      name: what.notListed,
      pullUpOhm: { value: null },
      curve: { source: 'unknown' },
    });
    expect(stepOf(guide)).toBe('trouble');
  });
  test('those that were used here before come first', async () => {
    const last = CATALOGUE_CIRCUITS.filter((c) => c.field === 'engine' && c.pullUpOhm !== null).at(-1)!;
    await jobDoor('before').write(newJob('before', NOW, last), null);
    const { guide } = await at('what');
    await until(() => guide.text().includes(what.usedBefore), 'what was used');
    expect(guide.findAll('.tile .what')[0].text()).toContain(last.name.split(' · ')[0]);
    expect(guide.findAll('.tile .what').filter((t) => t.text().includes(what.usedBefore))).toHaveLength(1);
  });
});

test('what is wrong: a tap puts a symptom on the check, another takes it off; the page names two that contradict each other', async () => {
  const { guide, job } = await at('trouble');
  const chips = guide.findAll('.chip');
  expect(chips.length).toBeGreaterThan(4);
  await chips[0].trigger('click');
  await chips[1].trigger('click');
  expect([job.complaint.symptoms.length, pressed(guide).length]).toEqual([2, 2]);
  await chips[0].trigger('click');
  expect(job.complaint.symptoms).toHaveLength(1);
  expect(guide.text()).not.toContain(trouble.readsBoth);
  job.complaint.symptoms = ['reads-cold', 'reads-hot'];
  await flushPromises();
  expect(guide.text()).toContain(trouble.readsBoth);
});

test('how warm it is: typed, measured with, or noticed', async () => {
  const { guide, job } = await at('temperature');
  await type(guide, temperature.thermometer, '18');
  expect(job.moments[0].temperatureC.value).toBe(18);
  const kinds = guide.findAll(`[aria-label="${temperature.measuredWith}"] .tile`);
  const own = kinds.findIndex((k) => k.attributes('aria-pressed') === 'true');
  const other = (own + 1) % kinds.length;
  await kinds[other].trigger('click');
  expect(job.moments[0].thermometer).not.toBeNull();
  expect(kinds.findIndex((k) => k.attributes('aria-pressed') === 'true')).toBe(other);
  await kinds[own].trigger('click');
  expect(job.moments[0].thermometer).toBeNull();
  await guide
    .findAll('[aria-expanded]')
    .find((b) => b.text().includes(temperature.noThermometer))!
    .trigger('click');
  await tile(guide, NOTICED[0].text).trigger('click');
  expect(job.moments[0].temperatureC.text).toBe(NOTICED[0].text);
  await press(guide, `${say.next} ›`);
  expect(stepOf(guide)).toBe('test');
});

describe('the suggested test', () => {
  test('its card comes by itself; a figure says what it changes; skipped or not possible, another one comes', async () => {
    const { guide, job } = await at('test', true, known);
    await untilShown(() => guide.find('[data-card]').exists(), 'the card');
    const card = (): string => guide.get('[data-card]').attributes('data-card')!;
    const first = card();
    expect([first, guide.vm.$route.query.test]).toEqual([session().work.test, first]);
    expect(guide.find('[data-test="outcome"]').exists()).toBe(false);
    await guide.get('[data-test="skip"]').trigger('click');
    await flushPromises();
    expect([card() === first, job.leftOut]).toEqual([false, []]);
    const second = card();
    await press(guide, tests.cannot);
    expect(job.leftOut).toEqual([second]);
    await judged();
    await untilShown(() => guide.find('[data-card]').exists(), 'the next card');
    expect(card()).not.toBe(second);
    session().work.goTest('open-voltage');
    await flushPromises();
    await guide.get('.large input').setValue('0.05');
    await judged();
    await untilShown(() => guide.find('[data-test="moved"]').exists(), 'the verdict');
    expect(guide.get('[data-test="outcome"]').text()).not.toBe('');
    expect(guide.find('[data-test="on"]').exists()).toBe(true);
    await press(guide, `‹ ${say.back}`);
    expect(stepOf(guide)).toBe('temperature');
  });
});

describe('which test comes', () => {
  test('where a fixed order of tests is chosen, its next one; passed over, the most informative one', async () => {
    const { guide, job } = await at('test', true, (j) => {
      known(j);
      j.school = 'compare';
    });
    await untilShown(() => guide.find('[data-card]').exists(), 'the card');
    const card = (): string => guide.get('[data-card]').attributes('data-card')!;
    const [best] = session().verdict.advice!.proposals;
    expect([card(), best.measurement === 'sensor-ohms', job.school]).toEqual(['sensor-ohms', false, 'compare']);
    await guide.get('[data-test="skip"]').trigger('click');
    await flushPromises();
    expect(card()).toBe(best.measurement);
  });
  test('a verdict that is firm leads to the result in place of another test', async () => {
    const { guide } = await at('test', true, (j) => {
      known(j);
      j.readings = [
        reading('open-voltage', '5', 5),
        reading('sensor-ohms', 'OL', 'OL'),
        reading('loaded-voltage', '5', 5),
      ];
    });
    await untilShown(() => stepOf(guide) === 'result', 'the result');
    expect(guide.find('[data-card]').exists()).toBe(false);
  });
  test('an address with a test opens that test, and another address another one', async () => {
    const { guide, job } = await at('test&test=open-voltage');
    expect(guide.get('[data-card]').attributes('data-card')).toBe('open-voltage');
    await guide.vm.$router.push(`/check/${job.id}/guide?step=test&test=sensor-ohms`);
    await flushPromises();
    expect(guide.get('[data-card]').attributes('data-card')).toBe('sensor-ohms');
  });
});

describe('the result', () => {
  test('what is wrong, how sure, what to do and what it costs to be wrong; and the ways on', async () => {
    const { guide, job } = await at('result', true, (j) => {
      known(j);
      j.readings = [
        reading('open-voltage', '5', 5),
        reading('sensor-ohms', 'OL', 'OL'),
        reading('loaded-voltage', '5', 5),
      ];
      j.leftOut = ['return-drop'];
    });
    const { suspects, groups } = session().verdict.result!.assessment;
    const text = guide.get('[data-test="result"]').text();
    expect(groups[0].group).toBe('sensor');
    for (const part of [result.howSure, result.whatToDo, suspects[0].repair, result.ifWrong])
      expect(text, part).toContain(part);
    const share = Math.max(1, Math.round(100 * (1 - groups[0].probability)));
    expect(plain(text)).toContain(plain(result.wrongOf(share)));
    await press(guide, result.putBack('').trim());
    expect(job.leftOut).toEqual([]);
    await press(guide, say.questions.repair);
    expect(stepOf(guide)).toBe('repair');
  });
  test('nothing measured: no repair is named, and measuring comes first', async () => {
    const { guide } = await at('result', true, known);
    const text = guide.get('[data-test="result"]').text();
    expect(text).toContain(result.states['nothing-yet']);
    expect([text.includes(result.whatToDo), text.includes(result.ifWrong)]).toEqual([false, false]);
    await guide.get('[data-test="more"]').trigger('click');
    await flushPromises();
    expect([stepOf(guide), guide.vm.$route.query.test]).toEqual(['test', session().work.test]);
  });
});
