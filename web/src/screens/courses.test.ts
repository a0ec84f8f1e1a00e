// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { openJob, openJobData, saveJob } from '@mellow-probe/core/check/job/openJob';
import { seededUniform } from '@mellow-probe/core/base/numeric/random';
import { type DOMWrapper, flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import dayjs from 'dayjs';
import { createPinia, setActivePinia } from 'pinia';
import { expect, test, vi } from 'vitest';
import type { Component } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import type { PickOption } from '../components/base/pickOption.ts';
import { emptyBrowser } from '../../test/browserWindow.ts';

vi.mock('../workers/engineClient.ts', () => ({
  engineLine: () => ({
    judge: () => Promise.resolve(),
    withoutEach: () => Promise.resolve([]),
    course: () => Promise.resolve([]),
  }),
  EngineError: class extends Error {},
}));
vi.mock('../components/LazyPlot.ts', () => ({ default: { template: '<div />' } }));

const { useBench } = await import('../session/bench.ts');
const { SESSION } = await import('../session/jobSession.ts');
const { jobDoor } = await import('../data/storage/jobStorage.ts');
const { FORMS } = await import('./bench/forms/list.ts');
const { default: TestCard } = await import('./bench/TestCard.vue');
const { default: QuickCard } = await import('./bench/QuickCard.vue');

/** What a list offers. */
interface Offered {
  options?: PickOption<string>[];
  groups?: { options: PickOption<string>[] }[];
}

/** Whatever hands do to the sheets of a check, as far as the controls let them, is kept and opens again. */
test.each([1, 4])(
  'property: course of use %i, some two hundred handles: every record the page wrote can be opened',
  async (seed) => {
    await emptyBrowser();
    setActivePinia(createPinia());
    const uniform = seededUniform(seed * 101 + 9);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)];
    const id = `course-${seed}`;
    await jobDoor(id).write(newJob(id, '2026-01-02T03:04:05.000Z'), null);
    const bench = useBench();
    await bench.open(id);
    if (bench.state.kind !== 'open') throw new Error(bench.state.kind);
    const { session } = bench.state;
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/:rest(.*)*', component: { template: '<i />' } }],
    });
    for (let step = 0; step < 50; step++) {
      const sheet = pick([...(Object.keys(FORMS) as (keyof typeof FORMS)[]), 'card' as const, 'quick' as const]);
      if (sheet === 'card') session.work.goTest(pick(session.work.stations.flatMap((s) => s.tests)));
      const component: Component = sheet === 'card' ? TestCard : sheet === 'quick' ? QuickCard : FORMS[sheet];
      const wrapper = mount(component, {
        attachTo: document.body,
        global: { plugins: [router], provide: { [SESSION as symbol]: session } },
      });
      for (let k = 0; k < 4; k++) {
        const lists = wrapper.findAllComponents({ name: 'PickList' }).filter((l) => l.attributes('disabled') !== '');
        const days = wrapper.findAllComponents({ name: 'ADatePicker' });
        const controls = wrapper.findAll(
          'button:not([disabled]), input:not([type="file"]):not([role="combobox"]):not([readonly]), textarea',
        );
        const at = Math.floor(uniform() * (lists.length + days.length + controls.length));
        if (at < lists.length) {
          const list = lists[at] as unknown as VueWrapper;
          const { options = [], groups = [] } = list.props() as Offered;
          list.vm.$emit('update:modelValue', pick([...options, ...groups.flatMap((g) => g.options)]).value);
        } else if (at < lists.length + days.length) {
          const day = pick(['9999-12-31', '2026-02-28', '2199-12-31', '2000-01-01']);
          (days[at - lists.length] as unknown as VueWrapper).vm.$emit('change', dayjs(day));
        } else if (controls.length > 0) await handle(controls[at - lists.length - days.length], uniform);
        await flushPromises();
      }
      if (uniform() < 0.15) session.history[pick(['undo', 'redo'] as const)]();
      wrapper.unmount();
    }
    await session.record.settled();
    expect(session.keeping.value, `course ${seed}`).toEqual({ kind: 'kept' });
    const kept = (await jobDoor(id).read())!.value;
    expect(openJobData(JSON.parse(JSON.stringify(kept))), `course ${seed}`).toMatchObject({ ok: true });
    expect(openJob(saveJob(kept)), `course ${seed}`).toEqual({ ok: true, job: kept });
    await session.close();
  },
);

/** One thing that a hand can do with a control: no text longer than the field takes, no day outside its calendar. */
async function handle(control: DOMWrapper<Element>, uniform: () => number): Promise<void> {
  const element = control.element as HTMLInputElement;
  const texts = ['4.8', '3k6', 'OL', '-40', 'warm', '', '1e9', '11,883', '\u{1F525}', 'P0118, P0117; SPN 110 FMI 3'];
  if (element.tagName === 'BUTTON') await control.trigger('click');
  else if (element.type === 'checkbox' || element.type === 'radio') {
    element.checked = element.type === 'radio' || !element.checked;
    await control.trigger('change');
  } else {
    const most = element.maxLength > 0 ? element.maxLength : 1000;
    const text = uniform() < 0.25 ? 'm'.repeat(most) : texts[Math.floor(uniform() * texts.length)];
    element.value = text.slice(0, most);
    await control.trigger('input');
    if (uniform() < 0.7) await control.trigger('change');
    if (uniform() < 0.3) await control.trigger('keydown', { key: 'Enter' });
  }
  await flushPromises();
}
