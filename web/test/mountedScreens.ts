import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { newMoments } from '@mellow-probe/core/check/job/moments';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import type { Job, JobReading } from '@mellow-probe/core/check/job/jobSchema';
import { openJob } from '@mellow-probe/core/check/job/openJob';
import { DOMWrapper, flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { readdirSync, readFileSync } from 'node:fs';
import { afterEach, beforeEach, expect, vi } from 'vitest';
import type { Component } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { emptyBrowser, until } from './browserWindow.ts';
import type { Advice, Part } from '../src/workers/engineAnswer.ts';
import type * as EngineClient from '../src/workers/engineClient.ts';

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
      ...[
        '/logbook/place/:code',
        '/logbook/label/:code',
        '/live/:id?',
        '/logbook/:part',
        '/settings/:part',
        '/logs/:rec?',
        '/shelf/:tool',
        '/:rest(.*)*',
      ],
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

/** What a screen reader would say of a control: label by id, label around it, aria-label, title or its own text. */
export function nameOf(control: DOMWrapper<Element>): string {
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

/** Holds for everything on screen: each control has a name, each choice its words, and no figure leaks that the computation did not have. */
export function expectSound(wrapper: VueWrapper): void {
  for (const list of ['PickList', 'ChoiceRow'].flatMap((name) => wrapper.findAllComponents({ name }))) {
    const { label, options = [], groups = [] } = list.props() as Partial<ReturnType<typeof listOf>> & { label: string };
    const all = [...options, ...groups.flatMap((g) => g.options)];
    expect([all.length > 0, all.filter((o) => o.value === undefined || !o.label)], label).toEqual([true, []]);
    expect(new Set(all.map((o) => o.value)).size, label).toBe(all.length);
  }
  for (const control of wrapper.findAll('input:not([type="file"]), textarea, button'))
    expect(nameOf(control), control.html()).not.toBe('');
  expect(wrapper.text()).not.toMatch(/\bNaN\b|\bundefined\b|\bInfinity\b|\[object|\bnull\b/);
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

/** The page without what moves by itself: styles of animations. */
export const pageOf = (): string => document.body.innerHTML.replace(/ (style|ant-click-animating[\w-]*)="[^"]*"/g, '');

/** Where something is looked for: a mounted screen, or the page with the sheets that lie over it. */
type Place = Pick<DOMWrapper<Element>, 'findAll'>;
export const thePage = (): DOMWrapper<Element> => new DOMWrapper<Element>(document.body);

/** The buttons that can be pressed and are not what is open or chosen already. */
export const pressable = (place: VueWrapper): DOMWrapper<Element>[] =>
  place
    .findAll('button:not([disabled])')
    .filter(
      (b) =>
        b.attributes('aria-current') === undefined &&
        ['aria-pressed', 'aria-selected'].every((is) => b.attributes(is) !== 'true'),
    );

/** The fields that can be typed into, with their labels without sign and what was read, which change with what is typed. */
export function typedFields(place: Place): { name: string; field: DOMWrapper<HTMLInputElement> }[] {
  return place
    .findAll<HTMLInputElement>('input:not([type]), input[type="text"], textarea')
    .filter((f) => f.attributes('role') !== 'combobox' && !f.element.readOnly && !f.element.disabled)
    .map((field) => ({ name: nameOf(field).replace(/^[○●◆✕]|=.*$/g, ''), field }));
}

/** The first button with these words. */
function buttonOf(place: Place, words: string): DOMWrapper<Element> {
  const button = place.findAll('button').find((b) => b.text().includes(words));
  if (!button) throw new Error(`no button “${words}”`);
  return button;
}
export const isOff = (place: Place, words: string): boolean =>
  buttonOf(place, words).attributes('disabled') !== undefined;
export async function press(place: Place, words: string): Promise<void> {
  await buttonOf(place, words).trigger('click');
  await flushPromises();
}

/** Presses the button of this name, where it shows a sign only. */
export async function pressNamed(place: Place, name: string): Promise<void> {
  const button = place.findAll('button').find((b) => nameOf(b) === name);
  if (!button) throw new Error(`no button named “${name}”`);
  await button.trigger('click');
  await flushPromises();
}
/** Types into the search field of a list. */
export async function searchFor(place: VueWrapper, words: string): Promise<void> {
  await place.get('[role="search"] input').setValue(words);
  await flushPromises();
}
/** Waits until a screen has gone to a check, and reads that from the store. */
export async function checkOpened(place: VueWrapper): Promise<Job> {
  const address = (): string => place.vm.$route.path;
  await untilShown(() => address().startsWith('/check/'), 'the check');
  return (await jobDoor(address().split('/')[2]).read())!.value;
}

/** The check box with these words. */
export function boxOf(place: Place, words: string): DOMWrapper<HTMLInputElement> {
  const label = place
    .findAll('label')
    .find((l) => l.find('input[type="checkbox"]').exists() && l.text().includes(words));
  if (!label) throw new Error(`no check box “${words}”`);
  return label.find<HTMLInputElement>('input[type="checkbox"]');
}
export async function tick(place: Place, words: string, on = true): Promise<void> {
  await boxOf(place, words).setValue(on);
  await flushPromises();
}

interface Choice {
  value: string;
  label: string;
}
function listNamed(place: VueWrapper, label: string): VueWrapper {
  const list = place.findAllComponents({ name: 'PickList' }).find((l) => l.vm.$props.label === label);
  if (!list) throw new Error(`no list “${label}”`);
  return list as VueWrapper;
}
/** What a list offers, and what is chosen: its menu has its own tests. */
export const listOf = (place: VueWrapper, label: string) =>
  listNamed(place, label).props() as {
    modelValue: string;
    options?: Choice[];
    groups?: { label: string; options: Choice[] }[];
  };
/** Picks from the list of this label, as its menu does. */
export async function pickFrom(place: VueWrapper, label: string, value: string | number): Promise<void> {
  listNamed(place, label).vm.$emit('update:modelValue', value);
  await flushPromises();
}
/** Hands files to the first file button of a screen. */
export async function bring(place: VueWrapper, ...files: [name: string, text: string][]): Promise<void> {
  place.findComponent({ name: 'FilePick' }).vm.$emit(
    'files',
    files.map(([name, text]) => new File([text], name)),
  );
  await flushPromises();
}
/** Waits until a screen shows what is looked for, with all that follows from it. */
export const untilShown = (holds: () => boolean, what: string): Promise<void> =>
  until(async () => {
    await flushPromises();
    return holds();
  }, what);
/** Text with plain spaces, whatever holds it together on the screen. */
export const plain = (text: string): string => text.replaceAll(/[\u00a0\u2060]/g, ' ');
/** The cells of a table by its name, as text with plain spaces. */
export const rowsOf = (place: Place, name: string): string[][] =>
  place
    .findAll(`[aria-label="${name}"] tbody tr:not([aria-hidden])`)
    .map((row) => row.findAll('td').map((c) => plain(c.text())));

/** Types into the field of this name, and leaves it. */
export async function type(place: Place, name: string, text: string): Promise<void> {
  const found = typedFields(place).find((f) => f.name.trim() === name);
  if (!found) throw new Error(`no field “${name}”`);
  await found.field.setValue(text);
  await found.field.trigger('blur');
  await flushPromises();
}
/** What the chart of a screen draws, by the name of each line. */
export function drawn(place: VueWrapper): Record<string, { x: number[]; y: number[] }> {
  const { data } = place.getComponent({ name: 'LazyPlot' }).vm.$props.figure as {
    data: { name: string; x: number[]; y: number[] }[];
  };
  return Object.fromEntries(data.map(({ name, x, y }) => [name, { x, y }]));
}
/** What a button “use on a check” changes there. */
export function usedOnCheck(place: VueWrapper, what: string): Job {
  const button = place.findAllComponents({ name: 'UseOnJob' }).find((b) => b.vm.$props.what === what)!;
  const job = newJob('used', NOW);
  (button.vm.$props.change as (job: Job) => void)(job);
  return job;
}
