// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import { jobLine } from '@mellow-probe/core/check/job/jobLine';
import { type JobFilter, narrowed, NO_FILTER } from '@mellow-probe/core/check/job/jobList';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { NEWEST_VERSION } from '@mellow-probe/core/check/job/migrations/list';
import { saveJob } from '@mellow-probe/core/check/job/openJob';
import { JOB_STATES } from '@mellow-probe/core/base/units/vocabulary';
import { FAULT_GROUPS } from '@mellow-probe/core/base/units/vocabulary';
import {
  chosenBarWords as bar,
  importFilesWords as importing,
  jobCardsWords as cards,
  jobFiltersWords as filters,
  jobTableWords as table,
  jobsScreenWords as say,
  noJobsWords as none,
} from '@mellow-probe/core/wording/screens/jobs';
import { backupDueText } from '@mellow-probe/core/wording/safeText';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { beforeEach, describe, expect, test } from 'vitest';
import { browser, until } from '../../../test/browserWindow.ts';
import {
  atDesk,
  atPhone,
  checkOpened,
  DEMO,
  jobDoor,
  listOf,
  notices,
  NOW,
  pickFrom,
  press,
  searchFor,
  show,
  thePage,
  tick,
  type,
  untilShown,
} from '../../../test/mountedScreens.ts';
import { saved } from '../../../test/savedFiles.ts';
import { noteBackup } from '../../data/storage/lastBackup.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import ImportFiles from './ImportFiles.vue';
import { JOBS_A_PAGE } from './jobFacts.ts';
import JobsScreen from './JobsScreen.vue';
import { loadDemo } from './loadDemo.ts';

beforeEach(() => void saved.splice(0));

async function ledger(...jobs: [title: string, change?: (job: Job) => void][]): Promise<VueWrapper> {
  for (const [i, [title, change]] of jobs.entries()) {
    const job = { ...newJob(`j${i}`, NOW), title };
    change?.(job);
    await jobDoor(job.id).write(job, null);
  }
  const wrapper = await show(JobsScreen);
  await until(() => useJobs().loaded && (jobs.length === 0 || shown(wrapper).length > 0), 'the list');
  await flushPromises();
  return wrapper;
}
const shown = (w: VueWrapper) => w.findAll('[data-test="job"]');
const titles = (w: VueWrapper): string[] =>
  useJobs()
    .lines.map((l) => l.title)
    .filter((t) => w.text().includes(t))
    .sort();
/** Chooses every check that is shown, as the boxes of the list do. */
async function chooseAll(w: VueWrapper): Promise<void> {
  const list = ['JobTable', 'JobCards'].map((name) => w.findComponent({ name })).find((l) => l.exists())!;
  list.vm.$emit(
    'update:chosen',
    useJobs().lines.flatMap((l) => (w.text().includes(l.title) ? [l.id] : [])),
  );
  await untilShown(() => w.text().includes(bar.none), 'what can be done with them');
}

describe('the list of checks', () => {
  test('weeks without a backup are named, until later or a backup', async () => {
    const wrapper = await ledger(['Pump']);
    const due = backupDueText(useJobs().lines, '', new Date().toISOString());
    expect(due).not.toBe('');
    expect(notices(wrapper).join()).toContain(due);
    await press(wrapper, say.later);
    expect(notices(wrapper).join()).not.toContain(due);
    wrapper.unmount();
    noteBackup();
    const after = await ledger();
    await until(() => after.text().includes('Pump'), 'the list');
    expect(notices(after).join()).not.toContain(due);
  });
  test('on a phone each check is a card: 25 at first, then as many as are asked for', async () => {
    atPhone();
    const wrapper = await ledger(
      ['Ferry'],
      ...Array.from({ length: JOBS_A_PAGE + 2 }, (_, i): [string] => [`Check ${i}`]),
    );
    expect([shown(wrapper).length, shown(wrapper).every((card) => card.element.tagName === 'ARTICLE')]).toEqual([
      JOBS_A_PAGE,
      true,
    ]);
    await tick(shown(wrapper)[0] as never, cards.choose);
    await untilShown(() => wrapper.findComponent({ name: 'ChosenBar' }).exists(), 'what is chosen');
    await press(wrapper, cards.more(3));
    expect(shown(wrapper)).toHaveLength(JOBS_A_PAGE + 3);
    await searchFor(wrapper, 'Ferry');
    await untilShown(() => shown(wrapper).length === 1, 'the one that is looked for');
    await searchFor(wrapper, '');
    // A new list begins with its first page.
    await untilShown(() => shown(wrapper).length === JOBS_A_PAGE, 'the first page');
  });
  test('at a desk the headings put the checks in order: figures within names count as figures', async () => {
    atDesk();
    const made: [string, number][] = [
      ['Pump 10', 2],
      ['Pump 9', 0],
      ['Crane', 1],
    ];
    const wrapper = await ledger(
      ...made.map(([title, readings], i): [string, (job: Job) => void] => [
        title,
        (job) => {
          job.readings = Array.from({ length: readings }, (_, k) =>
            newReading(`r${k}`, 'sensor-ohms', { text: '2k', value: 2000 }),
          );
          job.updatedAt = `2026-01-0${i + 3}T03:04:05.000Z`;
        },
      ]),
    );
    const order = (): string[] => shown(wrapper).map((row) => made.find(([title]) => row.text().includes(title))![0]);
    const by = async (heading: string): Promise<string[]> => {
      await wrapper
        .findAll('th')
        .find((h) => h.text() === heading)!
        .trigger('click');
      await flushPromises();
      return order();
    };
    expect(await by(table.machineAndSensor)).toEqual(['Crane', 'Pump 9', 'Pump 10']);
    expect(await by(table.machineAndSensor)).toEqual(['Pump 10', 'Pump 9', 'Crane']);
    expect(await by(table.readings)).toEqual(['Pump 9', 'Crane', 'Pump 10']);
    expect(await by(table.changed)).toEqual(['Pump 10', 'Pump 9', 'Crane']);
  });
  test('the demo workshop is filled once, while it is empty', async () => {
    const jobs = useJobs();
    await jobs.load();
    await loadDemo(jobs);
    expect(jobs.lines.map((l) => l.title).sort()).toEqual(DEMO.map((j) => j.title).sort());
    await jobs.remove([jobs.lines[0].id]);
    await loadDemo(jobs);
    expect(jobs.lines).toHaveLength(DEMO.length - 1);
  });
  test('none yet: how a first one begins, as the device or the preferences say', async () => {
    const wrapper = await ledger();
    expect(wrapper.text()).toContain(none.title);
    expect(wrapper.findAll('[role="search"]')).toHaveLength(0);
    usePreferences().opens = 'guided';
    await press(wrapper, none.startFirst);
    await until(() => /^\/check\/.+\/guide$/.test(wrapper.vm.$route.fullPath), 'the guided check');
    usePreferences().opens = 'quick';
    await press(wrapper, say.newCheck);
    await until(() => /^\/check\/[^/]+$/.test(wrapper.vm.$route.fullPath), 'the quick check');
  });
  test('the tour begins on the bench, whatever is preferred', async () => {
    const wrapper = await ledger();
    usePreferences().opens = 'guided';
    await press(wrapper, none.startWithTour);
    await until(() => /^\/check\/[^/]+\?tour=?$/.test(wrapper.vm.$route.fullPath), 'the tour');
  });
  test('every list of filters has words for each choice; what none matches is shown again', async () => {
    const wrapper = await ledger(
      ['Pump', (j) => (j.field = 'engine')],
      ['Boiler 2', (j) => (j.field = 'boiler')],
      ['Crane', (j) => (j.tags = ['harbour'])],
    );
    if (!wrapper.text().includes(filters.due)) await press(wrapper, filters.narrow);
    const options = (label: string) => listOf(wrapper, label).options!;
    expect(options(filters.field).map((o) => o.value)).toEqual(['', 'engine', 'climate', 'boiler']);
    expect(options(filters.state).map((o) => o.value)).toEqual(['', ...JOB_STATES]);
    expect(options(filters.decided).map((o) => o.value)).toEqual(['', 'undecided', ...FAULT_GROUPS]);
    expect(options(filters.tag).map((o) => o.value)).toEqual(['', 'harbour']);
    for (const label of [filters.field, filters.state, filters.decided, filters.tag])
      for (const o of options(label)) expect(o.label, `${label} ${o.value}`).toBeTruthy();
    await pickFrom(wrapper, filters.field, 'boiler');
    expect(titles(wrapper)).toEqual(['Boiler 2']);
    await pickFrom(wrapper, filters.tag, 'harbour');
    expect(wrapper.text()).toContain(none.noMatch);
    await press(wrapper, none.showAll);
    expect(shown(wrapper)).toHaveLength(3);
  });
  test('found by words, a code or nothing; those that are due alone', async () => {
    const wrapper = await ledger(
      ['Pump', (j) => j.complaint.codes.push({ id: 'c', code: 'P0118', state: 'present' })],
      ['Crane', (j) => j.followUps.push({ id: 'f', text: 'again', dueOn: '2026-01-02', doneAt: null })],
    );
    const search = async (words: string): Promise<string[]> => {
      await searchFor(wrapper, words);
      return titles(wrapper);
    };
    expect([await search('p0118'), await search('CRANE'), await search('')]).toEqual([
      ['Pump'],
      ['Crane'],
      ['Crane', 'Pump'],
    ]);
    expect([await search('nothing like it'), wrapper.text().includes(none.noMatch)]).toEqual([[], true]);
    await search('');
    if (!wrapper.text().includes(filters.due)) await press(wrapper, filters.narrow);
    await tick(wrapper, filters.due);
    expect(titles(wrapper)).toEqual(['Crane']);
  });
  test('archived checks are shown apart, and come out again', async () => {
    const wrapper = await ledger(['Pump'], ['Old', (j) => (j.archivedAt = NOW)]);
    expect(titles(wrapper)).toEqual(['Pump']);
    if (!wrapper.text().includes(filters.due)) await press(wrapper, filters.narrow);
    const box = wrapper.findAll('label').find((l) => l.text() === filters.archive)!;
    await box.get('input').setValue(true);
    await flushPromises();
    expect(titles(wrapper)).toEqual(['Old']);
    await chooseAll(wrapper);
    await press(wrapper, bar.unarchive);
    await until(() => useJobs().lines.every((l) => !l.archived), 'out of the archive');
  });
});

test('the checks of the demo, filtered', () => {
  const lines = DEMO.map(jobLine);
  const found = (change: Partial<JobFilter>) => narrowed(lines, { ...NO_FILTER, ...change }, '2026-11-30');
  const names = (change: Partial<JobFilter>) => found(change).map((l) => l.title.split(' · ')[0]);
  expect([found({}), found({ field: 'boiler' }), found({ group: 'undecided' })].map((l) => l.length)).toEqual([
    21, 4, 10,
  ]);
  expect([found({ state: 'closed' }).length, names({ state: 'closed' })]).toEqual([
    7,
    expect.arrayContaining(['Swimming bath']),
  ]);
  expect(names({ dueOnly: true }).sort()).toEqual(['Cold store 2', 'Dye works', 'Ferry Plover', 'Quarry pump 3']);
});

describe('what is done with checks', () => {
  test('several at once: exported they stay chosen; tagged, archived and deleted they do not', async () => {
    const wrapper = await ledger(['Pump', (j) => (j.tags = ['fleet'])], ['Crane']);
    await chooseAll(wrapper);
    await press(wrapper, bar.export);
    await until(() => saved.length === 1, 'the file');
    expect(saved.map((f) => f.name)).toEqual(['checks-2.zip']);
    await press(wrapper, bar.tag);
    await type(thePage(), bar.tagsLabel, 'harbour, -fleet');
    await thePage().get('form').trigger('submit');
    await until(() => useJobs().lines.every((l) => l.tags.join() === 'harbour'), 'the tags');
    await untilShown(() => !wrapper.text().includes(bar.export), 'none chosen');
    await chooseAll(wrapper);
    await press(wrapper, bar.delete);
    await untilShown(() => useJobs().lines.length === 0, 'both deleted');
    await press(wrapper, say.undo);
    await until(() => useJobs().lines.length === 2, 'both back');
  });
  test('one: copied, exported and archived from its own menu', async () => {
    const wrapper = await ledger(['Pump']);
    const list = wrapper.findComponent({ name: 'JobActs' });
    const act = async (what: string): Promise<void> => {
      list.vm.$emit('act', what);
      await flushPromises();
    };
    await act('export');
    await until(() => saved.length === 1, 'the file');
    expect(saved.map((f) => f.name)).toEqual(['Pump.json']);
    await act('copy');
    await until(() => useJobs().lines.length === 2, 'the copy');
    await act('like');
    const like = await checkOpened(wrapper);
    expect([like.title, like.archivedAt, like.readings]).toEqual(['Pump', null, []]);
    await act('archive');
    await until(() => useJobs().lines.some((l) => l.archived), 'the archive');
  });
  test('the menu goes to backup and to receiving, and chooses all', async () => {
    const wrapper = await ledger(['Pump'], ['Crane']);
    const entries = () => {
      const menu = wrapper.findAllComponents({ name: 'MenuButton' }).find((m) => m.vm.$props.name === say.moreMenu)!;
      return menu.vm.$props.entries as { name: string; act: () => void }[];
    };
    await until(() => wrapper.findAllComponents({ name: 'MenuButton' }).length > 0, 'the menu');
    const act = async (name: string): Promise<void> => {
      entries()
        .find((e) => e.name === name)!
        .act();
      await flushPromises();
    };
    expect(entries().every((e) => e.name !== '')).toBe(true);
    await act(say.chooseAll);
    expect(wrapper.text()).toContain(bar.export);
    await act(say.receive);
    await until(() => wrapper.vm.$route.path === '/take', 'receiving');
    await act(say.safeKeeping);
    await until(() => wrapper.vm.$route.path === '/safe', 'backup');
  });
  test('files come in; one that cannot be opened says why and changes nothing', async () => {
    const answerTo = async (name: string, text: string): Promise<string> => {
      const sheet = await show(ImportFiles, { props: { open: true } });
      await untilShown(() => sheet.findComponent({ name: 'FilePick' }).exists(), 'the file button');
      sheet.findComponent({ name: 'FilePick' }).vm.$emit('files', [new File([text], name)]);
      await untilShown(() => sheet.emitted('told') !== undefined, 'what became of it');
      return String((sheet.emitted('told')![0] as unknown[])[0]);
    };
    await useJobs().load();
    for (const [name, text, why] of [
      ['photo.json', '\u0089PNG\r\n', 'not a JSON file'],
      ['empty.json', '', 'empty'],
      ['other.json', '{"a": 1}', 'not from this program'],
      ['newer.json', `{"format":"mellow-probe/job","formatVersion":${NEWEST_VERSION + 1}}`, 'newer version'],
      [
        'field.json',
        '{"format":"mellow-probe/job","formatVersion":1,"id":"<img src=x onerror=alert(1)>"}',
        'At createdAt',
      ],
      ['big.json', `{"x":"${'y'.repeat(50_000_000)}"}`, '50 MB is too large'],
    ]) {
      const answer = await answerTo(name, text);
      expect(answer).toContain(importing.notOpened(name, ''));
      expect(answer).toContain(why);
      expect(useJobs().lines, name).toEqual([]);
    }
    const job = newJob('from-file', NOW);
    expect(await answerTo('own.json', saveJob(job))).toBe(importing.added('own.json'));
    expect(useJobs().lines).toHaveLength(1);
  });
  test('a full store: the page says what to do, and can try again', async () => {
    const wrapper = await ledger(['Pump']);
    browser.refuse = 'full';
    await useJobs().copy('j0');
    await untilShown(() => wrapper.text().includes(say.makeRoom), 'the reason');
    browser.refuse = null;
    await press(wrapper, say.tryAgain);
    await untilShown(() => !wrapper.text().includes(say.makeRoom), 'no fault');
  });
});
