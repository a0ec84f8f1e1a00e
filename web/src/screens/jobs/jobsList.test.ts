// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { NEWEST_VERSION } from '@mellow-probe/core/check/job/migrations/list';
import { saveJob } from '@mellow-probe/core/check/job/openJob';
import { JOB_STATES } from '@mellow-probe/core/base/units/vocabulary';
import { FAULT_GROUPS } from '@mellow-probe/core/base/units/vocabulary';
import {
  chosenBarWords as bar,
  importFilesWords as importing,
  jobFiltersWords as filters,
  jobsScreenWords as say,
  noJobsWords as none,
} from '@mellow-probe/core/wording/screens/jobs';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { beforeEach, describe, expect, test } from 'vitest';
import { browser, until } from '../../../test/browserWindow.ts';
import {
  jobDoor,
  listOf,
  NOW,
  pickFrom,
  press,
  show,
  thePage,
  tick,
  type,
  untilShown,
} from '../../../test/mountedScreens.ts';
import { saved } from '../../../test/savedFiles.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import ImportFiles from './ImportFiles.vue';
import JobsScreen from './JobsScreen.vue';

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
      await wrapper.get('[role="search"] input').setValue(words);
      await flushPromises();
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

describe('what is done with checks', () => {
  test('several at once: exported they stay chosen; tagged, archived and deleted they do not', async () => {
    const wrapper = await ledger(['Pump'], ['Crane']);
    await chooseAll(wrapper);
    await press(wrapper, bar.export);
    await until(() => saved.length === 1, 'the file');
    expect(saved.map((f) => f.name)).toEqual(['checks-2.zip']);
    await press(wrapper, bar.tag);
    await type(thePage(), bar.tagsLabel, 'harbour');
    await thePage().get('form').trigger('submit');
    await until(() => useJobs().lines.every((l) => l.tags.includes('harbour')), 'the tags');
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
    await until(() => wrapper.vm.$route.path.startsWith('/check/'), 'a new check like it');
    const like = (await jobDoor(wrapper.vm.$route.path.split('/')[2]).read())!.value;
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
    const told = async (name: string, text: string): Promise<string> => {
      const sheet = await show(ImportFiles, { props: { open: true } });
      await untilShown(() => sheet.findComponent({ name: 'FilePick' }).exists(), 'the file button');
      sheet.findComponent({ name: 'FilePick' }).vm.$emit('files', [new File([text], name)]);
      await untilShown(() => sheet.emitted('told') !== undefined, 'what became of it');
      return String((sheet.emitted('told')![0] as unknown[])[0]);
    };
    await useJobs().load();
    const said = new Set<string>();
    for (const [name, text] of [
      ['photo.json', '\u0089PNG\r\n'],
      ['empty.json', ''],
      ['other.json', '{"a": 1}'],
      ['newer.json', `{"format":"mellow-probe/job","formatVersion":${NEWEST_VERSION + 1}}`],
      ['field.json', '{"format":"mellow-probe/job","formatVersion":1,"id":"<img src=x onerror=alert(1)>"}'],
      ['big.json', `{"x":"${'y'.repeat(50_000_000)}"}`],
    ]) {
      const line = await told(name, text);
      expect(line).toContain(importing.notOpened(name, ''));
      said.add(line.replace(name, ''));
      expect(useJobs().lines, name).toEqual([]);
    }
    // Each has a reason of its own.
    expect(said.size).toBe(6);
    const job = newJob('from-file', NOW);
    expect(await told('own.json', saveJob(job))).toBe(importing.added('own.json'));
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
