import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { newMoments } from '@mellow-probe/core/check/job/moments';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import type { Job, JobReading } from '@mellow-probe/core/check/job/jobSchema';
import { openJob } from '@mellow-probe/core/check/job/openJob';
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { readdirSync, readFileSync } from 'node:fs';
import { afterEach, beforeEach, vi } from 'vitest';
import type { Component } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { emptyBrowser, until } from './browserWindow.ts';
import { untilShown } from './onPage.ts';
import type { Advice, Part } from '../src/workers/engineAnswer.ts';
import type * as EngineClient from '../src/workers/engineClient.ts';

export * from './onPage.ts';

/** Screens mounted for tests: the real engine without its worker, the real stores on fake-indexeddb, and a chart that draws nothing. All else is what ships. */
const broken = vi.hoisted(() => ({ message: '', why: 'silent' as 'silent' | 'stopped' | 'threw' }));
/** Set `message` for an engine that fails, and `why` for how. */
export { broken };
vi.mock('../src/workers/engineClient.ts', async (original) => {
  const { engine } = await import('../src/workers/engine.ts');
  const { remembered } = await import('./rememberedEngine.ts');
  const judge = remembered(engine.judge);
  const real = await original<typeof EngineClient>();
  return {
    ...real,
    engineLine: () => ({
      judge: (job: Job, chart: boolean, tell: (part: Part) => boolean) =>
        broken.message === ''
          ? judge(job, chart, tell)
          : Promise.reject(new real.EngineError({ why: broken.why, message: broken.message })),
      withoutEach: (job: Job) => Promise.resolve(engine.withoutEach(job)),
      course: (job: Job) => Promise.resolve(engine.course(job)),
      plan: (job: Job) => Promise.resolve(engine.plan(job)),
    }),
  };
});
vi.mock('../src/components/LazyPlot.ts', async () => {
  const { defineComponent, h } = await import('vue');
  return {
    default: defineComponent({
      name: 'LazyPlot',
      props: { figure: Object, label: String, overlay: Object },
      setup: (p) => () => h('div', { role: 'img', 'aria-label': p.label }),
    }),
  };
});

const { useBench } = await import('../src/session/bench.ts');
const { BENCH_PARTS } = await import('../src/screens/bench/laterParts.ts');
const { SESSION } = await import('../src/session/jobSession.ts');
export const { jobDoor } = await import('../src/data/storage/jobStorage.ts');
export const NOW = '2026-01-02T03:04:05.000Z';
export const DEMO = readdirSync('examples/demo').map((name): Job => {
  const opened = openJob(readFileSync(`examples/demo/${name}`, 'utf8'));
  if (!opened.ok) throw new Error(name);
  return opened.job;
});
export const EMPTY = newJob('empty', NOW);
/** Those that every sheet is opened with: one in each state, one with pairs to compare. */
const OPENED = ['Pilot boat', 'Cold store', 'Swimming bath', 'Harbour crane', 'Bakery'];
export const JOBS = [EMPTY, ...DEMO.filter((j) => OPENED.some((name) => j.title.startsWith(name)))].map(
  (job) => [job.title || 'an empty check', job] as const,
);

export async function onBench(job: Job): Promise<void> {
  if (!(await jobDoor(job.id).read())) await jobDoor(job.id).write(job, null);
  await useBench().open(job.id);
  await judged();
}
export function session() {
  const { state } = useBench();
  if (state.kind !== 'open') throw new Error(state.kind);
  return state.session;
}
/** A reading as it is typed on its card; `id` where there are several of one test. */
export const reading = (measurement: string, text: string, value: number | 'OL', id = measurement): JobReading =>
  newReading(id, measurement, { text, value });
let count = 0;
/**
 * A check of its own on the bench, 20 °C beside the sensor. A verdict is only computed where one is looked at (`judging`): it costs more than all
 * the rest.
 */
export async function ownCheck(
  change: (job: Job) => void = () => undefined,
  { judging = false, circuit = 'engine-coolant-2k8' } = {},
): Promise<Job> {
  broken.message = judging ? '' : 'not needed here';
  const made = newJob(
    `own-${count++}`,
    NOW,
    CATALOGUE_CIRCUITS.find((c) => c.id === circuit),
  );
  made.moments = [{ ...newMoments()[0], temperatureC: { text: '20 °C', value: 20 } }, newMoments()[1]];
  change(made);
  await onBench(made);
  return session().job;
}
export const judged = (): Promise<void> =>
  until(() => {
    const { state } = session().verdict;
    return state.kind === 'failed' || (state.kind === 'ready' && state.now.complete);
  }, 'the verdict');

/** Waits for the advice that belongs to the figures on the screen. */
export async function advised(): Promise<Advice> {
  await until(() => session().verdict.advice !== null && !session().verdict.adviceEarlier, 'the advice');
  await flushPromises();
  return session().verdict.advice!;
}

/** The window of the tests is a tablet's held upright; from here on it is a desk's, until the test ends. */
export function atDesk(): void {
  setViewport(1280, 800);
}
/** From here on the window is a phone's held upright, with a finger as its pointer, until the test ends. */
export function atPhone(): void {
  setViewport(390, 844);
  finger = vi.spyOn(navigator, 'maxTouchPoints', 'get').mockReturnValue(5);
}
let finger: { mockRestore: () => void } | null = null;
function setViewport(width: number, height: number): void {
  (window as unknown as { happyDOM: { setViewport(to: object): void } }).happyDOM.setViewport({ width, height });
}

export const mounted: VueWrapper[] = [];
export async function show(component: Component, options: { props?: object; path?: string } = {}): Promise<VueWrapper> {
  const nothing = { template: '<div />' };
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      ...['/check/:id/report', '/train/play/:id', '/train/course/:step', '/train/:part'],
      ...['/logbook/place/:code', '/logbook/label/:code', '/logbook/:part', '/settings/:part'],
      ...['/logs/:rec?', '/shelf/:tool', '/:rest(.*)*'],
    ].map((path) => ({ path, component: nothing })),
  });
  await router.push(options.path ?? '/');
  // What is fetched later is at hand, as it is once a page has rested.
  await Promise.all(BENCH_PARTS.map((part) => part.fetch()));
  const wrapper = mount(component, {
    attachTo: document.body,
    global: {
      plugins: [router],
      provide: useBench().state.kind === 'open' ? { [SESSION as symbol]: session() } : {},
    },
    ...(options.props ? { props: options.props } : {}),
  }) as VueWrapper;
  mounted.push(wrapper);
  await flushPromises();
  return wrapper;
}

beforeEach(async () => {
  await emptyBrowser();
  Object.assign(broken, { message: '', why: 'silent' });
  setActivePinia(createPinia());
});
afterEach(async () => {
  setViewport(1024, 768);
  finger?.mockRestore();
  unmountAll();
  if (useBench().state.kind === 'open') await session().close();
});

export function unmountAll(): void {
  while (mounted.length > 0) mounted.pop()!.unmount();
}

/** Waits until a screen has gone to a check, and reads that from the store. */
export async function checkOpened(place: VueWrapper): Promise<Job> {
  const address = (): string => place.vm.$route.path;
  await untilShown(() => address().startsWith('/check/'), 'the check');
  return (await jobDoor(address().split('/')[2]).read())!.value;
}

/** What a button “use on a check” changes there. */
export function usedOnCheck(place: VueWrapper, what: string): Job {
  const button = place.findAllComponents({ name: 'UseOnJob' }).find((b) => b.vm.$props.what === what)!;
  const job = newJob('used', NOW);
  (button.vm.$props.change as (job: Job) => void)(job);
  return job;
}
