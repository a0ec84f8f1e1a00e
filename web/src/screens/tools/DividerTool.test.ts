// @vitest-environment happy-dom
import { pullUpOfPairText } from '@mellow-probe/core/wording/noticeText';
import { formatOhm } from '@mellow-probe/core/base/units/format';
import { wireOhm } from '@mellow-probe/core/circuit/network/wireOhm';
import { jointOhm, leakOhm } from '@mellow-probe/core/tools/divider/deskSliders';
import { deskSlidersWords as sliders, dividerToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { emptyBrowser } from '../../../test/browserWindow.ts';

vi.mock('../../components/LazyPlot.ts', async () => {
  const { defineComponent, h } = await import('vue');
  return {
    default: defineComponent({
      name: 'LazyPlot',
      props: { figure: Object, label: String, overlay: Object },
      setup: (p) => () => h('div', { role: 'img', 'aria-label': p.label }),
    }),
  };
});
const { usePreferences } = await import('../../data/stores/preferences.ts');
const { default: DividerTool } = await import('./DividerTool.vue');
const { default: DeskSliders } = await import('./DeskSliders.vue');
const { default: EntryField } = await import('../../components/EntryField.vue');
const { default: UseOnJob } = await import('../../components/UseOnJob.vue');
const FactTable = { name: 'FactTable' };

beforeEach(async () => {
  await emptyBrowser();
  setActivePinia(createPinia());
});

async function desk(): Promise<VueWrapper> {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { template: '<i />' } }],
  });
  const wrapper = mount(DividerTool, { global: { plugins: [router] } });
  await flushPromises();
  return wrapper as unknown as VueWrapper;
}
async function type(wrapper: VueWrapper, label: string, text: string): Promise<void> {
  const input = wrapper
    .findAllComponents(EntryField)
    .find((f) => f.props('label') === label)!
    .find('input');
  input.element.value = text;
  await input.trigger('input');
  await flushPromises();
}
async function slide(wrapper: VueWrapper, change: Record<string, number | boolean>): Promise<void> {
  for (const [name, value] of Object.entries(change))
    wrapper.findComponent(DeskSliders).vm.$emit(`update:${name}`, value);
  await flushPromises();
}
interface Plot {
  data?: { x: number[]; y: number[] }[];
  layout: { xaxis: { range: number[] }; yaxis: { range: number[] } };
}
const charts = (wrapper: VueWrapper) => wrapper.findAllComponents({ name: 'LazyPlot' });
const line = (wrapper: VueWrapper, chart: number): number[] =>
  (charts(wrapper)[chart].props('figure') as Plot).data![0].y;
const asSet = (wrapper: VueWrapper, chart: number): number[] =>
  (charts(wrapper)[chart].props('overlay') as { y: number[] }).y;
/** A fact of the table at one temperature, as it is written. */
const fact = (wrapper: VueWrapper, name: string): string =>
  (wrapper.findComponent(FactTable).props('rows') as { name: string; value: string }[]).find((r) => r.name === name)!
    .value;
const volts = (wrapper: VueWrapper): number[] =>
  fact(wrapper, say.volts)
    .split('→')
    .map((part) => Number.parseFloat(part));

describe('the divider on the desk', () => {
  test('untouched, what is set is what is sound: only a plain wire stands between them', async () => {
    const wrapper = await desk();
    const [sound, set] = volts(wrapper);
    // 3.52 kΩ at 20 °C (handbook table of this curve, from memory) under 2.49 kΩ from 5 V.
    expect(sound).toBeCloseTo((5 * 3520) / (3520 + 2490), 1);
    expect(set).toBeCloseTo(sound, 2);
    expect(line(wrapper, 0)[0]).toBeGreaterThan(line(wrapper, 0)[70]);
  });
  test('all of a leak pulls the volts down to next to nothing; a touch of one changes nothing a meter shows', async () => {
    const wrapper = await desk();
    await slide(wrapper, { leakGround: 0.001 });
    const [sound, touched] = volts(wrapper);
    expect(Math.abs(touched - sound)).toBeLessThan(0.01);
    await slide(wrapper, { leakGround: 1 });
    expect(volts(wrapper)[1]).toBeLessThan(0.05);
    await slide(wrapper, { leakGround: 0, leakAcross: 1 });
    expect(volts(wrapper)[1]).toBeLessThan(0.05);
    // With the leak gone everything is as it was.
    await slide(wrapper, { leakAcross: 0 });
    expect(volts(wrapper)[1]).toBeCloseTo(sound, 2);
  });
  test('a bad joint reads colder, more so when it is warm; the error is drawn around none', async () => {
    const wrapper = await desk();
    await slide(wrapper, { series: 0.5 });
    const errors = asSet(wrapper, 1);
    expect(errors.every((e) => e < 0)).toBe(true);
    expect(Math.abs(errors[60])).toBeGreaterThan(Math.abs(errors[20]));
    expect(line(wrapper, 1)).toEqual([0, 0]);
    // Its axis reaches as far on both sides, in round steps: the next one beyond the largest error.
    const height = (charts(wrapper)[1].props('figure') as Plot).layout.yaxis.range;
    const most = Math.max(...errors.map(Math.abs));
    expect(height[0]).toBe(-height[1]);
    expect([1, 2, 5, 10, 20, 50, 100, 200, 500].find((step) => step >= most)).toBe(height[1]);
    const reset = wrapper.findAll('button').find((b) => b.text() === say.allSoundAgain)!;
    await reset.trigger('click');
    await flushPromises();
    expect(asSet(wrapper, 1).every((e) => Math.abs(e) < 1)).toBe(true);
  });
  test('each slider says its ohms, or that there is none', async () => {
    const wrapper = await desk();
    const texts = (): string[] =>
      wrapper.findAllComponents({ name: 'SlideBar' }).map((bar) => bar.props('text') as string);
    const joints = (): string[] => texts().slice(2);
    expect(joints()).toEqual([say.none, say.none, say.none].map(() => sliders.none));
    await slide(wrapper, { series: 1, leakGround: 1, leakAcross: 0.5 });
    expect(joints()).toEqual([jointOhm(1), leakOhm(1), leakOhm(0.5)].map(formatOhm));
    await slide(wrapper, { wireM: 100 });
    expect(texts()[0]).toBe(`100 m = ${formatOhm(wireOhm(100, 0.75))}`);
  });
  test('in °F the charts run over Fahrenheit; the line of no error goes from end to end', async () => {
    usePreferences().temperatureUnit = 'F';
    const wrapper = await desk();
    const figure = (chart: number) => charts(wrapper)[chart].props('figure') as Plot;
    for (const chart of [0, 1]) {
      const { x } = figure(chart).data![0];
      expect([x[0], x.at(-1)]).toEqual([expect.closeTo(-4, 9), expect.closeTo(248, 9)]);
      expect(figure(chart).layout.xaxis.range).toEqual([x[0], x.at(-1)]);
    }
    const titles = [0, 1].map((chart) => JSON.stringify(figure(chart).layout));
    expect([titles[0].includes(say.voltTitle('F')), titles[1].includes(say.errorTitle('F'))]).toEqual([true, true]);
  });
  test('with next to no error the axis of errors is one kelvin high', async () => {
    const wrapper = await desk();
    expect((charts(wrapper)[1].props('figure') as Plot).layout.yaxis.range).toEqual([-1, 1]);
  });
  test('a pull-up that nobody knows is learned from one good pair; volts beyond the reference are no pair', async () => {
    const wrapper = await desk();
    await type(wrapper, say.pullUp, '');
    expect(wrapper.findAllComponents(FactTable)).toHaveLength(0);
    await type(wrapper, say.goodPairOhms, '2000');
    await type(wrapper, say.andVolts, '2');
    // 2 V over 2 kΩ from 5 V: 3 V over the pull-up, 3 kΩ. A plain meter errs by 0.8 % of the ohms and by 0.5 % and 3 mV of the volts (13 mV), the
    // reference by 1 %: of the ohms 16 Ω · 3 V/2 V, of the volts 13 mV · 2 kΩ · 5 V/(2 V)², of the reference 50 mV · 2 kΩ/2 V.
    expect(wrapper.find('[data-test="learned"]').text()).toBe(pullUpOfPairText(3000, Math.hypot(24, 32.5, 50)));
    expect(volts(wrapper)[0]).toBeCloseTo((5 * 3520) / 6520, 1);
    await type(wrapper, say.andVolts, '5.2');
    expect(wrapper.find('[data-test="learned"]').text()).toBe(say.pairFault);
  });
  test('the range of temperatures is what was typed, within what the curve knows', async () => {
    const wrapper = await desk();
    const ends = (): number[] => {
      const { x } = (charts(wrapper)[0].props('figure') as Plot).data![0];
      return [x[0], x[x.length - 1]];
    };
    expect(ends()).toEqual([-20, 120]);
    await type(wrapper, say.rangeFrom, '0');
    await type(wrapper, say.to, '60');
    expect(ends()).toEqual([0, 60]);
    await type(wrapper, say.to, '-10');
    expect(ends()[1]).toBeGreaterThan(100);
  });
  test('put on a check: its curve, layout, reference and the pull-up in whole ohms', async () => {
    const wrapper = await desk();
    await type(wrapper, say.pullUp, '2200.4');
    const job = newJob('a', '2026-01-02T03:04:05.000Z');
    (wrapper.findComponent(UseOnJob).props('change') as (j: typeof job) => void)(job);
    expect(job.circuit.pullUpOhm.value).toBe(2200);
    expect(job.circuit).toMatchObject({ layout: 'pull-up', referenceV: { value: 5 }, curve: { source: 'given' } });
  });
});
