// @vitest-environment happy-dom
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { Component } from 'vue';
import { until } from '../../test/browserWindow.ts';
import {
  broken,
  DEMO,
  mounted,
  nameOf,
  onBench,
  pageOf,
  pressable,
  session,
  show,
  typedFields,
  unmountAll,
} from '../../test/mountedScreens.ts';

const { FORMS } = await import('./bench/forms/list.ts');
const { default: BenchTable } = await import('./bench/BenchTable.vue');
const { default: CircuitDetails } = await import('./bench/CircuitDetails.vue');
const { default: CurveCharts } = await import('./bench/CurveCharts.vue');
const { default: QuickCard } = await import('./bench/QuickCard.vue');
const { default: QuickPhone } = await import('./bench/QuickPhone.vue');
const { default: TestCard } = await import('./bench/TestCard.vue');
const { default: VerdictPanel } = await import('./bench/VerdictPanel.vue');
const { default: WorkOrder } = await import('./bench/WorkOrder.vue');
const { default: GuidedCheck } = await import('./guide/GuidedCheck.vue');

const RICH = DEMO.find((j) => j.title.startsWith('Pilot boat'))!;
const PLACES: [string, Component, object?][] = [
  ...Object.entries(FORMS).map(([id, form]): [string, Component] => [id, form as Component]),
  ['the whole table', BenchTable],
  ['details', CircuitDetails, { open: true }],
  ['quick form', QuickCard],
  ['quick form of a phone', QuickPhone],
  ['card of a test', TestCard],
  ['verdict', VerdictPanel],
  ['order of work', WorkOrder],
  ['guided', GuidedCheck],
];

let count = 0;
async function opened(name: string, place: Component, props?: object): Promise<VueWrapper> {
  await onBench({ ...structuredClone(RICH), id: `every-${count++}` });
  if (name in FORMS) session().work.goStation(name);
  if (name === 'card of a test') session().work.goTest('sensor-ohms');
  return shown(place, props);
}
/** A place with all of it: the table of a check comes up in several tasks, the verdict last. */
async function shown(place: Component, props?: object): Promise<VueWrapper> {
  const wrapper = await show(place, props && { props });
  if (place === BenchTable) await until(() => wrapper.findComponent(VerdictPanel).exists(), 'the whole table');
  return wrapper;
}
async function closed(): Promise<void> {
  unmountAll();
  await session().close();
}
const job = (): string => JSON.stringify(session().job);

// No figure is judged here: what the engine says would cost more than all the rest.
beforeEach(() => void (broken.message = 'not needed here'));

/** Everything that can be seen of a place: the check, where the technician is, what was said to the parent, the address and the page. */
function seen(wrapper: VueWrapper): string {
  const { work } = session();
  const said = Object.entries(wrapper.emitted()).filter(([event]) => !/^(click|focus|key|mouse|pointer)/.test(event));
  return JSON.stringify([job(), work.station, work.test, work.readingId, said, wrapper.vm.$route.fullPath]) + pageOf();
}
/** What opens the file dialog, or runs the failing engine again, shows nothing new here. */
const buttonsOf = (w: VueWrapper) => pressable(w).filter((b) => !/photo…|^Compute again/.test(nameOf(b)));

describe.each(PLACES)('%s', (name, place, props) => {
  test('what is typed into a field is there again after a look at something else', async () => {
    const first = await opened(name, place, props);
    const names = typedFields(first).map((f) => f.name);
    for (let i = 0; i < names.length; i++) {
      const { field } = typedFields(first)[i];
      await field.setValue('17');
      await field.trigger('blur');
      await flushPromises();
    }
    mounted.pop()!.unmount();
    const again = typedFields(await shown(place, props));
    expect(again.map((f) => [f.name, f.field.element.value.replace(/ °C$/, '')])).toEqual(names.map((n) => [n, '17']));
    await closed();
  });
  test('every button does something', async () => {
    const first = await opened(name, place, props);
    const names = buttonsOf(first).map(nameOf);
    await closed();
    const dead: string[] = [];
    for (let i = 0; i < names.length; i++) {
      const wrapper = await opened(name, place, props);
      const before = seen(wrapper);
      await buttonsOf(wrapper)[i].trigger('click');
      await flushPromises();
      if (seen(wrapper) === before) dead.push(names[i]);
      await closed();
    }
    expect(dead).toEqual([]);
  });
});

test('on a phone the charts are folded away until they are opened, and stay as they were left', async () => {
  broken.message = '';
  const wide = await opened('charts', CurveCharts);
  const drawn = (w: VueWrapper): number => w.findAll('[role="img"]').length;
  await until(() => drawn(wide) === 2, 'the charts at a desk');
  expect(wide.findAll('button')).toHaveLength(0);
  mounted.pop()!.unmount();
  const real = window.matchMedia.bind(window);
  const phone = vi.spyOn(window, 'matchMedia').mockImplementation((query) => real(query.replace('38.75em', '999em')));
  const narrow = await show(CurveCharts);
  expect([drawn(narrow), narrow.get('button').attributes('aria-expanded')]).toEqual([0, 'false']);
  await narrow.get('button').trigger('click');
  await until(() => drawn(narrow) === 2, 'the charts that were opened');
  expect(narrow.get('button').attributes('aria-expanded')).toBe('true');
  mounted.pop()!.unmount();
  const again = await show(CurveCharts);
  expect(again.get('button').attributes('aria-expanded')).toBe('true');
  await again.get('button').trigger('click');
  expect(drawn(again)).toBe(0);
  phone.mockRestore();
  await closed();
});
