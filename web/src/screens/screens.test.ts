// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/job/newJob';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { openJob } from '@mellow-probe/core/job/openJob';
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/circuits';
import { MEASUREMENTS } from '@mellow-probe/core/measurements/list';
import { stationsFor } from '@mellow-probe/core/workOrder/stations';
import { type DOMWrapper, flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { readdirSync, readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { Component } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';

/** The real engine without its worker, the browser's stores in memory, and a chart that draws nothing: everything else is what ships. */
const memory = vi.hoisted(() => ({ jobs: new Map<string, unknown>(), shelf: new Map<string, unknown>() }));

vi.mock('../workers/engineClient.ts', async () => {
  const { engine: client } = await import('../workers/engine.ts');
  return {
    latestOnly: (listener: { verdict(a: unknown): void; advice(a: unknown): void }) => (job: Job) => {
      listener.verdict(client.judge(job));
      listener.advice(client.advise());
    },
    askWithoutEach: (job: Job) => Promise.resolve(client.withoutEach(job)),
  };
});
vi.mock('../components/LazyPlot.ts', async () => {
  const { defineComponent, h } = await import('vue');
  return {
    default: defineComponent({
      props: { figure: Object, label: String, overlay: Object },
      setup: (p) => () => h('div', { role: 'img', 'aria-label': p.label }),
    }),
  };
});
vi.mock('../storage/jobStorage.ts', () => ({
  saveJob: (job: Job) => {
    memory.jobs.set(job.id, structuredClone(job));
    return Promise.resolve({ ok: true, job });
  },
  readJob: (id: string) => Promise.resolve(structuredClone(memory.jobs.get(id) ?? null)),
  readAllJobs: () => Promise.resolve([...memory.jobs].map(([key, data]) => ({ key, data: structuredClone(data) }))),
  removeJob: (id: string) => Promise.resolve(void memory.jobs.delete(id)),
  onJobsChangedElsewhere: () => () => undefined,
  askToKeep: () => Promise.resolve(),
}));
vi.mock('../storage/photoStorage.ts', () => ({
  putPhoto: () => Promise.resolve('kept'),
  getPhoto: () => Promise.resolve(null),
  removePhoto: () => Promise.resolve(),
}));
vi.mock('../storage/shelfStorage.ts', () => ({
  readShelf: (key: string) => Promise.resolve(structuredClone(memory.shelf.get(key) ?? null)),
  writeShelf: (key: string, data: unknown) => {
    memory.shelf.set(key, data);
    return Promise.resolve('kept');
  },
  onShelfChangedElsewhere: () => undefined,
}));

const { useOpenJob } = await import('../stores/openJob.ts');
const { useWorkOrder } = await import('../stores/workOrder.ts');
const { useVerdict } = await import('../stores/verdict.ts');
const { FORMS } = await import('./bench/forms/list.ts');
const { default: TestCard } = await import('./bench/TestCard.vue');
const { default: VerdictPanel } = await import('./bench/VerdictPanel.vue');
const { default: WorkOrder } = await import('./bench/WorkOrder.vue');
const { default: QuickCard } = await import('./bench/QuickCard.vue');
const { default: CircuitDrawing } = await import('./bench/CircuitDrawing.vue');
const { default: JobsScreen } = await import('./jobs/JobsScreen.vue');
const { default: ReportScreen } = await import('./report/ReportScreen.vue');
const TOOLS: Record<string, Component> = {};
for (const [path, load] of Object.entries(import.meta.glob<{ default: Component }>('./shelf/*Tool.vue')))
  TOOLS[path.replace(/.*\/|Tool\.vue/g, '')] = (await load()).default;

const NOW = '2026-01-02T03:04:05.000Z';
const DEMO = readdirSync('examples/demo').map((name): Job => {
  const opened = openJob(readFileSync(`examples/demo/${name}`, 'utf8'));
  if (!opened.ok) throw new Error(name);
  return opened.job;
});
const EMPTY = newJob('empty', NOW);
const JOBS = [EMPTY, ...DEMO].map((job) => [job.title || 'an empty check', job] as const);

async function onBench(job: Job): Promise<void> {
  memory.jobs.set(job.id, structuredClone(job));
  await useOpenJob().open(job.id);
  useVerdict();
  await flushPromises();
}

const mounted: VueWrapper[] = [];
async function show(component: Component, options: { props?: object; path?: string } = {}): Promise<VueWrapper> {
  const nothing = { template: '<div />' };
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/check/:id/report', component: nothing },
      { path: '/:rest(.*)*', component: nothing },
    ],
  });
  await router.push(options.path ?? '/');
  const wrapper = mount(component, {
    attachTo: document.body,
    global: { plugins: [router] },
    ...(options.props ? { props: options.props } : {}),
  }) as VueWrapper;
  mounted.push(wrapper);
  await flushPromises();
  return wrapper;
}

/** What a screen reader would say of a control: label by id, label around it, aria-label, title or its own text. */
function nameOf(control: DOMWrapper<Element>): string {
  const el = control.element;
  const by = el
    .getAttribute('aria-labelledby')
    ?.split(' ')
    .map((id) => document.getElementById(id)?.textContent ?? '')
    .join(' ');
  const forId = el.id ? document.querySelector(`label[for="${el.id}"]`)?.textContent : '';
  return (
    [
      by,
      el.getAttribute('aria-label'),
      forId,
      el.closest('label')?.textContent,
      el.getAttribute('title'),
      el.tagName === 'BUTTON' ? el.textContent : '',
    ]
      .map((t) => t?.trim() ?? '')
      .find((t) => t !== '') ?? ''
  );
}

/** Holds for everything on screen: each control has a name, and no figure leaks that the computation did not have. */
function expectSound(wrapper: VueWrapper): void {
  for (const control of wrapper.findAll('input, select, textarea, button'))
    expect(nameOf(control), control.html()).not.toBe('');
  expect(wrapper.text()).not.toMatch(/\bNaN\b|\bundefined\b|\bInfinity\b|\[object|\bnull\b/);
}

beforeEach(() => {
  memory.jobs.clear();
  memory.shelf.clear();
  setActivePinia(createPinia());
});
afterEach(() => {
  while (mounted.length > 0) mounted.pop()!.unmount();
});

describe.each(JOBS)('on the bench: %s', (_, job) => {
  test.each(Object.keys(FORMS))('the sheet “%s”: every control has a name, every figure is one', async (id) => {
    await onBench(job);
    useWorkOrder().goStation(id);
    expectSound(await show(FORMS[id]));
  });
  test('verdict, order of work and drawing', async () => {
    await onBench(job);
    for (const component of [VerdictPanel, WorkOrder, CircuitDrawing, QuickCard]) expectSound(await show(component));
    const panel = mounted[0];
    const { assessment } = useVerdict().result!;
    expect(panel.findAll('[data-test="evidence"] tbody tr').length).toBe(assessment.readings.length);
    if (job === EMPTY) expect(panel.text()).toContain('No reading yet');
  });
  test('the report says everything that was measured', async () => {
    await onBench(job);
    const wrapper = await show(ReportScreen, { path: `/check/${job.id}/report` });
    expectSound(wrapper);
    for (const r of job.readings)
      expect(wrapper.text()).toContain(MEASUREMENTS.find((m) => m.id === r.measurement)!.title);
  });
});

describe('the card of every test', () => {
  const layouts = ['engine-coolant-2k', 'boiler-10k-mirrored', 'gauge-sender'].map((id) =>
    CATALOGUE_CIRCUITS.find((c) => c.id === id)!,
  );
  test.each(layouts.map((c) => [c.layout, c] as const))(
    'layout %s: steps, caution and one large field; a figure typed there is in the job',
    async (_, circuit) => {
      await onBench({
        ...newJob('x', NOW, circuit),
        circuit: { ...newJob('x', NOW, circuit).circuit, connectors: 2 },
        temperatureC: { text: '12', value: 12 },
      });
      const work = useWorkOrder();
      for (const id of stationsFor('proposal', circuit.layout, 2).flatMap((s) => s.tests)) {
        work.goTest(id);
        const card = await show(TestCard);
        expectSound(card);
        const about = MEASUREMENTS.find((m) => m.id === id)!;
        expect(
          card.findAll('ol li').map((li) => li.text()),
          id,
        ).toEqual([...about.steps]);
        if (about.caution) expect(card.get('.caution').text()).toContain(about.caution);
        const typed = { volts: '4.4', ohms: '3k6', celsius: '14' }[about.quantity];
        await card.get('.large input').setValue(typed);
        await flushPromises();
        expect(
          card.findAll('[role="alert"]').some((a) => a.text().includes('Needed')),
          id,
        ).toBe(about.needs.some((n) => n === 'substituteOhm' || n === 'bathC'));
        for (const need of card.findAll('.row input').filter((i) => /resistor|water/.test(nameOf(i))))
          await need.setValue('60');
        await flushPromises();
        expect(
          useOpenJob().job!.readings.find((r) => r.measurement === id),
          id,
        ).toMatchObject({ text: typed, value: { volts: 4.4, ohms: 3600, celsius: 14 }[about.quantity] });
        expect(card.get('[data-test="outcome"]').text(), id).not.toBe('');
        card.unmount();
        mounted.pop();
      }
    },
  );
});

describe('the shelf', () => {
  test.each(Object.keys(TOOLS))('%s: opens empty, every control named', async (name) => {
    expectSound(await show(TOOLS[name]));
  });
  test('judging one resistance: an ambiguous figure is asked, a plain one judged; what was typed is there after leaving', async () => {
    const ohms = (w: VueWrapper) => w.findAll('input').find((i) => nameOf(i).includes('Ohms'))!;
    const first = await show(TOOLS.Judge);
    await ohms(first).setValue('3,530');
    expect(first.get('[role="alert"]').text()).toContain('Two ways to read this');
    expect(first.text()).not.toContain('Passes.');
    await ohms(first).setValue('3530');
    await flushPromises();
    expect(first.text()).toContain('Passes.');
    await ohms(first).setValue('4200');
    await flushPromises();
    expect(first.text()).toContain('Fails.');
    first.unmount();
    mounted.pop();
    const again = await show(TOOLS.Judge);
    expect((ohms(again).element as HTMLInputElement).value).toBe('4200');
    expect(again.text()).toContain('Fails.');
  });
});

describe('the ledger', () => {
  test('lists every check; words narrow it; nothing found is said', async () => {
    for (const job of DEMO) memory.jobs.set(job.id, structuredClone(job));
    const wrapper = await show(JobsScreen);
    expectSound(wrapper);
    expect(wrapper.findAll('[data-test="job"]')).toHaveLength(DEMO.filter((j) => !j.archivedAt).length);
    const search = wrapper.findAll('input').find((i) => i.attributes('type') === 'search')!;
    await search.setValue('swimming');
    expect(wrapper.findAll('[data-test="job"]')).toHaveLength(1);
    await search.setValue('no such words');
    expect(wrapper.findAll('[data-test="job"]')).toHaveLength(0);
    expect(wrapper.text()).toMatch(/no check|none|nothing/i);
  });
});
