// @vitest-environment happy-dom
import { newMoments } from '@mellow-probe/core/check/job/moments';
import { newHarness, newStop } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { MEASUREMENTS } from '@mellow-probe/core/circuit/measurements/list';
import { stationsFor } from '@mellow-probe/core/advice/workOrder/stations';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { describe, expect, test, vi } from 'vitest';
import type { Component } from 'vue';
import { until } from '../../test/browserWindow.ts';
import {
  broken,
  DEMO,
  EMPTY,
  expectSound,
  jobDoor,
  JOBS,
  judged,
  mounted,
  nameOf,
  NOW,
  onBench,
  session,
  show,
} from '../../test/mountedScreens.ts';

const { withStore } = await import('../data/storage/stores.ts');
const { FORMS } = await import('./bench/forms/list.ts');
const { default: TestCard } = await import('./bench/TestCard.vue');
const { default: VerdictPanel } = await import('./bench/VerdictPanel.vue');
const { default: WorkOrder } = await import('./bench/WorkOrder.vue');
const { default: QuickCard } = await import('./bench/QuickCard.vue');
const { default: CardDrawing } = await import('./bench/CardDrawing.vue');
const { default: BenchTable } = await import('./bench/BenchTable.vue');
const { default: JobsScreen } = await import('./jobs/JobsScreen.vue');
const { default: ReportScreen } = await import('./report/ReportScreen.vue');
const TOOLS: Record<string, Component> = {};
for (const [path, load] of Object.entries(import.meta.glob<{ default: Component }>('./tools/*Tool.vue')))
  TOOLS[path.replace(/.*\/|Tool\.vue/g, '')] = (await load()).default;

describe.each(JOBS)('on the bench: %s', (_, job) => {
  test.each(Object.keys(FORMS) as (keyof typeof FORMS)[])(
    'the sheet “%s”: every control has a name, every figure is one',
    async (id) => {
      await onBench(job);
      session().work.goStation(id);
      expectSound(await show(FORMS[id]));
    },
  );
  test('verdict, order of work and drawing', async () => {
    await onBench(job);
    for (const component of [VerdictPanel, WorkOrder, CardDrawing, QuickCard]) expectSound(await show(component));
    const panel = mounted[0];
    const { assessment } = session().verdict.result!;
    // The window of the tests is a tablet's held upright: the readings come with the sheet that is pulled up.
    const evidence = (): number => panel.findAll('[data-test="evidence"] tbody tr').length;
    expect(evidence()).toBe(0);
    await panel.get('.pull').trigger('click');
    expect(evidence()).toBe(assessment.readings.length);
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
  const testsOf = (layout: Job['circuit']['layout']): string[] =>
    stationsFor('proposal', layout, 2).flatMap((s) => s.tests);
  /** A figure is typed on each card once, in the first layout that has its test: a verdict for each is what costs here. */
  const firstIn = (id: string): string | undefined => layouts.find((c) => testsOf(c.layout).includes(id))?.layout;
  test.each(layouts.map((c) => [c.layout, c] as const))(
    'layout %s: steps, caution and one large field; a figure typed there is in the job',
    async (_, circuit) => {
      await onBench({
        ...newJob('x', NOW, circuit),
        loom: { ...newHarness(), stops: [newStop('a', 'connector'), newStop('b', 'connector')] },
        moments: [{ ...newMoments()[0], temperatureC: { text: '12', value: 12 } }, newMoments()[1]],
      });
      const { work } = session();
      for (const id of testsOf(circuit.layout)) {
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
        const field = card.get('.large input');
        if (firstIn(id) !== circuit.layout) {
          card.unmount();
          mounted.pop();
          continue;
        }
        await field.setValue(typed);
        await judged();
        await flushPromises();
        expect(
          card.findAll('[role="alert"]').some((a) => a.text().includes('Needed')),
          id,
        ).toBe(about.needs.some((n) => n === 'substituteOhm' || n === 'bathC' || n === 'airC'));
        for (const need of card
          .findAll('.row input')
          .filter((i) => /resistor|water|^air|^temperature there/.test(nameOf(i))))
          await need.setValue('60');
        await judged();
        await flushPromises();
        expect(
          session().job.readings.find((r) => r.measurement === id),
          id,
        ).toMatchObject({
          text: expect.stringMatching(new RegExp(`^${typed}( °C)?$`)) as string,
          value: { volts: 4.4, ohms: 3600, celsius: 14 }[about.quantity],
        });
        expect(card.get('[data-test="outcome"]').text(), id).not.toBe('');
        card.unmount();
        mounted.pop();
        // The next card is judged by its own figure alone: forty readings at once would take a hundred times as long.
        session().job.readings.splice(0);
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
    await ohms(first).setValue('5k');
    await flushPromises();
    expect(first.findAll('[data-test="judged"]').at(-1)!.text()).toContain('too cold');
    await ohms(first).setValue('4200');
    await flushPromises();
    expect(first.text()).toContain('Fails.');
    await until(
      async () => JSON.stringify(await withStore('shelf', (s) => s.getItem('draft.judge'))).includes('4200'),
      'kept',
    );
    first.unmount();
    mounted.pop();
    const again = await show(TOOLS.Judge);
    await until(() => (ohms(again).element as HTMLInputElement).value !== '', 'loaded');
    expect((ohms(again).element as HTMLInputElement).value).toBe('4200');
    expect(again.text()).toContain('Fails.');
  });
});

describe('the ledger', () => {
  test('lists every check; words narrow it; nothing found is said', async () => {
    for (const job of DEMO) await jobDoor(job.id).write(job, null);
    const wrapper = await show(JobsScreen);
    await until(() => wrapper.findAll('[data-test="job"]').length > 0, 'the list');
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

describe('nothing shown that is not so', () => {
  const figures = newJob('v', NOW);
  figures.moments[0].temperatureC = { text: '12', value: 12 };
  test('the engine fails after a verdict: it is marked as of earlier figures at once, with the reason; computed again it is current', async () => {
    await onBench(figures);
    const panel = await show(VerdictPanel);
    expect(panel.get('[data-test="verdict"]').attributes('data-earlier')).toBe('false');
    broken.message = 'no answer within 20 s';
    session().job.moments[0].temperatureC = { text: '13', value: 13 };
    await judged();
    await flushPromises();
    const said = panel.get('[data-test="verdict-failed"]').text();
    expect(said).toContain('No verdict for these figures.');
    expect(said).toContain('no answer within 20 s');
    expect(said).toContain('earlier figures');
    expect(panel.get('[data-test="verdict"]').attributes('data-earlier')).toBe('true');
    expect(panel.text()).toContain('Verdict for earlier figures');
    expect(panel.find('[data-test="next"]').exists()).toBe(false);
    broken.message = '';
    await panel.get('[data-test="verdict-failed"] button').trigger('click');
    await judged();
    await flushPromises();
    expect(panel.find('[data-test="verdict-failed"]').exists()).toBe(false);
    expect(panel.get('[data-test="verdict"]').attributes('data-earlier')).toBe('false');
  });
  test('without any verdict the failure alone is shown', async () => {
    broken.message = 'x';
    await onBench(figures);
    const panel = await show(VerdictPanel);
    expect(panel.find('[data-test="verdict"]').exists()).toBe(false);
    expect(panel.text()).toContain('What you entered is saved.');
    expect(panel.text()).not.toContain('earlier');
    const report = await show(ReportScreen, { path: '/check/v/report' });
    expect(report.text()).toContain('The report has none');
  });
  test('a report in between leaves the technician where he was', async () => {
    await onBench(figures);
    session().work.goTest('open-voltage');
    const report = await show(ReportScreen, { path: '/check/v/report' });
    expectSound(report);
    expect(session().work.test).toBe('open-voltage');
  });
  test('taking back is said with its figure, by button and by key; unsent words have their own way back', async () => {
    await onBench(figures);
    const bench = await show(BenchTable);
    session().job.moments[0].temperatureC = { text: '14', value: 14 };
    await flushPromises();
    const [undo, redo] = bench.findAll('.undo button');
    await vi.waitFor(() => expect(undo.text()).toBe('Undo: thermometer 12 → 14'));
    await undo.trigger('click');
    expect(session().job.moments[0].temperatureC.text).toBe('12');
    expect(bench.get('[data-test="undo-told"]').text()).toBe('Undone: thermometer 12 → 14.');
    await vi.waitFor(() => expect(redo.text()).toBe('Redo: thermometer 12 → 14'));
    const press = (key: string, target: EventTarget = window, shiftKey = false): boolean =>
      target.dispatchEvent(
        new KeyboardEvent('keydown', { key, ctrlKey: true, shiftKey, bubbles: true, cancelable: true }),
      );
    expect(press('y')).toBe(false);
    expect(session().job.moments[0].temperatureC.text).toBe('14');
    press('z');
    expect(session().job.moments[0].temperatureC.text).toBe('12');
    press('Z', window, true);
    expect(session().job.moments[0].temperatureC.text).toBe('14');
    const words = document.createElement('input');
    words.setAttribute('data-unsent', '');
    (bench.element as HTMLElement).append(words);
    expect(press('z', words)).toBe(true);
    expect(session().job.moments[0].temperatureC.text).toBe('14');
  });
  test('words typed before they are sent outlive a look at another sheet; more codes than fit stay in the field', async () => {
    await onBench({
      ...figures,
      complaint: {
        ...figures.complaint,
        codes: Array.from({ length: 48 }, (_, i) => ({ id: `c${i}`, code: `P${1000 + i}`, state: 'present' as const })),
      },
    });
    const first = await show(FORMS.complaint);
    const field = (w: VueWrapper) => w.get<HTMLInputElement>('input[data-unsent]');
    await field(first).setValue('p0118, p0117, p0119, p0125');
    first.unmount();
    mounted.pop();
    const again = await show(FORMS.complaint);
    expect(field(again).element.value).toBe('p0118, p0117, p0119, p0125');
    await again.get('form').trigger('submit');
    expect(
      session()
        .job.complaint.codes.slice(-2)
        .map((c) => c.code),
    ).toEqual(['P0118', 'P0117']);
    expect(field(again).element.value).toBe('p0119, p0125');
    expect(again.text()).toContain('50 codes: the list is full.');
  });
});
