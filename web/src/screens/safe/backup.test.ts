// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { KIND_NAMES, STANDING_NAMES } from '@mellow-probe/core/wording/safeText';
import { backupPartWords as out, restorePartWords as back } from '@mellow-probe/core/wording/screens/safe';
import { emptyBrowser } from '../../../test/browserWindow.ts';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import {
  boxOf,
  isOff,
  jobDoor,
  NOW,
  press,
  rowsOf,
  show,
  tick,
  type,
  unmountAll,
  untilShown,
} from '../../../test/mountedScreens.ts';
import { saved } from '../../../test/savedFiles.ts';
import { lastBackup } from '../../data/storage/lastBackup.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { STANDINGS } from './restoreRows.ts';

/** A disk with one folder; where it is not allowed, nothing is written to it. */
const disk = vi.hoisted(() => ({ files: [] as string[], asked: 0, allowed: true }));
vi.mock('../../data/backup/folder.ts', () => ({
  knowsFolders: () => true,
  chosenFolder: () => Promise.resolve(null),
  chooseFolder: () => (disk.asked++, Promise.resolve({ name: 'Backups' })),
  fileIn: (_: unknown, name: string) =>
    disk.allowed
      ? (disk.files.push(name), Promise.resolve(new WritableStream()))
      : Promise.reject(new Error('The folder was not allowed.')),
}));
const { default: BackupPart } = await import('./BackupPart.vue');
const { default: RestorePart } = await import('./RestorePart.vue');

beforeEach(() => {
  saved.splice(0);
  Object.assign(disk, { files: [], asked: 0, allowed: true });
});
const write = async (id: string, title: string): Promise<void> => {
  const there = await jobDoor(id).read();
  await jobDoor(id).write({ ...newJob(id, NOW), title }, there);
};
async function backup(phrase = ''): Promise<{ name: string; blob: Blob; sheet: VueWrapper }> {
  const sheet = await show(BackupPart);
  await untilShown(() => boxOf(sheet, KIND_NAMES.job).element.closest('label')!.textContent.includes('2'), 'how many');
  if (phrase !== '') await type(sheet, out.passphrase, phrase);
  await press(sheet, out.writeTheBackup);
  await untilShown(() => saved.length > 0 && sheet.find('[data-test="written"]').exists(), 'the file');
  return { ...saved.pop()!, sheet };
}
async function opened(file: { name: string; blob: Blob }): Promise<VueWrapper> {
  unmountAll();
  const sheet = await show(RestorePart);
  sheet.findComponent({ name: 'FilePick' }).vm.$emit('files', [new File([file.blob], file.name)]);
  await flushPromises();
  return sheet;
}

describe('a backup', () => {
  test('of everything, with how much it is; what is left out is not in it', async () => {
    await write('a', 'one');
    await write('b', 'two');
    expect(lastBackup()).toBe('');
    const { name, sheet } = await backup();
    expect(name).toMatch(/^mellow-probe-\d{4}-\d{2}-\d{2}-\d{4}\.zip$/);
    const said = sheet.get('[data-test="written"]').text();
    expect(said).toContain(name);
    expect(lastBackup()).not.toBe('');
    const all = parseInt(said);
    await tick(sheet, KIND_NAMES.job, false);
    await press(sheet, out.writeTheBackup);
    await untilShown(() => sheet.get('[data-test="written"]').text() !== said, 'the smaller file');
    expect(parseInt(sheet.get('[data-test="written"]').text())).toBe(all - 2);
  });
  test('a passphrase is of eight characters or more; with nothing chosen there is nothing to write', async () => {
    const sheet = await show(BackupPart);
    const said = async (phrase: string): Promise<boolean[]> => {
      await type(sheet, out.passphrase, phrase);
      return [
        sheet.text().includes(out.passphraseRule(8)),
        sheet.text().includes(out.passphraseWarning),
        isOff(sheet, out.writeTheBackup),
      ];
    };
    expect([await said(''), await said('1234567'), await said('12345678')]).toEqual([
      [false, false, false],
      [true, false, true],
      [false, true, false],
    ]);
    for (const label of sheet.findAll('[role="group"] label')) await tick(sheet, label.text(), false);
    expect(isOff(sheet, out.writeTheBackup)).toBe(true);
  });
});

describe('a folder', () => {
  test('is chosen once, and written to from then on; one that is not allowed says so', async () => {
    await write('a', 'one');
    const sheet = await show(BackupPart);
    await press(sheet, out.toAFolder);
    await flushPromises();
    await untilShown(() => sheet.find('[data-test="written"]').exists(), 'the file');
    expect(disk.files).toEqual([expect.stringMatching(/^mellow-probe-.*\.zip$/)]);
    expect(sheet.get('[data-test="written"]').text()).toContain(`Backups/${disk.files[0]}`);
    disk.allowed = false;
    await press(sheet, out.toTheFolder('Backups'));
    await untilShown(() => sheet.text().includes('not allowed'), 'the refusal');
    expect(disk.asked).toBe(1);
  });
});

describe('restored', () => {
  const table = (w: VueWrapper): string[][] => rowsOf(w, back.changesTitle);
  test('it says first what it would change; newer data here stays', async () => {
    await write('a', 'one');
    await write('b', 'two');
    const file = await backup();
    const same = await opened(file);
    await untilShown(() => same.find('table').exists(), 'what it would change');
    expect([same.text().includes(back.nothingNew), isOff(same, back.takeIn('0 records'))]).toEqual([true, true]);
    await press(same, back.leaveIt);
    expect(same.find('table').exists()).toBe(false);

    await write('b', 'two, changed here');
    const wrapper = await opened(file);
    await untilShown(() => wrapper.find('table').exists(), 'what it would change');
    // What was changed here since is newer than the backup: it stays.
    expect([table(wrapper)[0][0], wrapper.text().includes(back.nothingNew)]).toEqual([KIND_NAMES.job, true]);
    expect(table(wrapper)[0][1 + STANDINGS.indexOf('newer-here')]).toBe('1');
  });
  test('in another browser everything is new; a kind that is left out does not come', async () => {
    await write('a', 'one');
    await write('b', 'two');
    const file = await backup();
    await emptyBrowser();
    const wrapper = await opened(file);
    await untilShown(() => wrapper.find('table').exists(), 'what it would change');
    const [row] = table(wrapper);
    expect([row[0], row.includes('2')]).toEqual([KIND_NAMES.job, true]);
    const offered = (): number => parseInt(wrapper.get('button.main').text().replace(/\D+/, ''));
    const all = offered();
    await tick(wrapper, KIND_NAMES.job, false);
    expect(offered()).toBe(all - 2);
    await tick(wrapper, KIND_NAMES.job);
    await press(wrapper, back.takeIn('').trim());
    await untilShown(() => wrapper.find('[data-test="taken"]').exists(), 'what was restored');
    expect(wrapper.get('[data-test="taken"]').text()).toContain(STANDING_NAMES.new);
    await untilShown(() => useJobs().lines.length === 2, 'the list');
    expect(
      useJobs()
        .lines.map((l) => l.title)
        .sort(),
    ).toEqual(['one', 'two']);
    expect(wrapper.find('table').exists()).toBe(false);
  });
  test('an encrypted one asks for its passphrase until it is the right one', async () => {
    await write('a', 'one');
    await write('b', 'two');
    const file = await backup('correct horse');
    expect(file.name).toMatch(/\.sealed$/);
    expect(await file.blob.slice(0, 8).text()).toBe('MPSEALED');
    const wrapper = await opened(file);
    await untilShown(() => wrapper.find('form').exists(), 'the question');
    expect(isOff(wrapper, back.openIt)).toBe(true);
    for (const [phrase, holds] of [
      ['wrong horse', () => wrapper.text().includes(back.wrongPassphrase)],
      ['correct horse', () => wrapper.find('table').exists()],
    ] as const) {
      await type(wrapper, back.itsPassphrase, phrase);
      await wrapper.get('form').trigger('submit');
      await untilShown(holds, phrase);
    }
    expect([wrapper.find('form').exists(), wrapper.text().includes(back.wrongPassphrase)]).toEqual([false, false]);
  });
  test('a file that is no backup is reported', async () => {
    const wrapper = await opened({ name: 'x.zip', blob: new Blob(['no zip']) });
    await untilShown(() => wrapper.find('[role="status"]').exists(), 'the reason');
    expect(wrapper.get('[role="status"]').text()).toContain('This is not a backup');
    expect(wrapper.find('table').exists()).toBe(false);
  });
});
