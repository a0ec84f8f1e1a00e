// @vitest-environment happy-dom
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { placeCode, placeKey } from '@mellow-probe/core/history/register/placeKey';
import { STRENGTHS } from '@mellow-probe/core/history/experience/strengths';
import { FAULT_GROUPS } from '@mellow-probe/core/base/units/vocabulary';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { namelessText } from '@mellow-probe/core/wording/noticeText';
import {
  duePartWords as due,
  experiencePartWords as experience,
  logbookScreenWords as screen,
  placeScreenWords as place,
  placesPartWords as places,
} from '@mellow-probe/core/wording/screens/logbook';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import dayjs from 'dayjs';
import { describe, expect, test } from 'vitest';
import {
  checkOpened,
  expectSound,
  jobDoor,
  listOf,
  NOW,
  ownCheck,
  pickFrom,
  press,
  pressNamed,
  reading,
  rowsOf,
  searchFor,
  session,
  show,
  tick,
  unmountAll,
  untilShown,
} from '../../../test/mountedScreens.ts';
import { lastSaved, saved } from '../../../test/savedFiles.ts';
import { putPhoto } from '../../data/storage/photoStorage.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useExperience } from '../bench/useExperience.ts';
import LogbookScreen from './LogbookScreen.vue';
import PlaceScreen from './PlaceScreen.vue';

const [CIRCUIT, OTHER] = CATALOGUE_CIRCUITS;
let count = 0;
/** Puts a check of a machine in the store. */
async function check(machine: string, change: (job: Job) => void = () => undefined, circuit = CIRCUIT): Promise<Job> {
  const id = `l${count++}`;
  const job = { ...newJob(id, NOW, circuit), machine, title: `check ${id}` };
  change(job);
  await jobDoor(id).write(job, null);
  return job;
}
const decided =
  (group: 'sensor' | 'wiring', toolGroup: 'sensor' | 'wiring' = group) =>
  (job: Job) => {
    job.decision = { group, toolGroup, toolProbability: 0.8, reason: '', decidedAt: NOW };
    job.repair.doneAt = NOW;
    job.closed = { at: NOW, how: 'proved', reason: '' };
  };
async function part(name: string): Promise<VueWrapper> {
  const wrapper = await show(LogbookScreen, { path: `/logbook/${name}` });
  await untilShown(() => useJobs().loaded, 'the checks');
  return wrapper;
}
const machines = (w: VueWrapper): string[] => w.findAll('[data-test="machine"] h2').map((h) => h.text());
const codeOf = (job: Job): string => placeCode(placeKey(job.machine, job.circuit.name));

describe('the parts', () => {
  test('each by its address, the machines where there is none', async () => {
    await check('Pump');
    for (const [name, label] of [
      ['due', due.due],
      ['experience', experience.experience],
      ['', screen.machines],
      ['nowhere', screen.machines],
    ]) {
      const wrapper = await part(name);
      expectSound(wrapper);
      expect(wrapper.find(`section[aria-label="${label}"]`).exists(), label).toBe(true);
    }
  });
});

describe('the machines', () => {
  test('none yet: how one comes here', async () => {
    await check('');
    expect((await part('places')).text()).toContain(places.noMachinesYet);
  });
  test('found by words in any order, or by the code of a label; what has no machine is counted', async () => {
    const pump = await check('Pump 3 north');
    await check('Pump 3 north', undefined, OTHER);
    await check('Crane');
    await check(' ');
    const wrapper = await part('places');
    expect(machines(wrapper).sort()).toEqual(['Crane', 'Pump 3 north']);
    expect(wrapper.findAll('[data-test="machine"] a')).toHaveLength(3);
    expect(wrapper.text()).toContain(namelessText(1));
    for (const [words, found] of [
      ['NORTH pump', ['Pump 3 north']],
      ['north crane', []],
      [codeOf(pump).replace('-', '').toLowerCase(), ['Pump 3 north']],
    ] as const) {
      await searchFor(wrapper, words);
      expect(machines(wrapper), words).toEqual(found);
    }
    expect(wrapper.findAll('[data-test="machine"] a')).toHaveLength(1);
    await searchFor(wrapper, 'nothing like it');
    expect(wrapper.text()).toContain(places.noMatch);
  });
  test('a label that is scanned leads to its place; another one is reported until it is closed', async () => {
    const pump = await check('Pump 3');
    const wrapper = await part('places');
    const scan = async (text: string): Promise<void> => {
      await press(wrapper, places.scanALabel);
      await untilShown(() => wrapper.findComponent({ name: 'ScanSheet' }).exists(), 'the camera');
      wrapper.findComponent({ name: 'ScanSheet' }).vm.$emit('found', text);
      await untilShown(() => !wrapper.findComponent({ name: 'ScanSheet' }).exists(), 'what was scanned');
    };
    await scan('https://elsewhere.example/x');
    expect(wrapper.text()).toContain(places.foreignLabel);
    const foreign = codeOf({ ...pump, machine: 'Elsewhere' } as Job);
    await scan(`https://here.example/logbook/place/${foreign}`);
    expect(wrapper.text()).toContain(places.unknownCode(foreign));
    await press(wrapper, places.close);
    expect(wrapper.text()).not.toContain(places.unknownCode(foreign));
    await scan(`https://here.example/logbook/place/${codeOf(pump)}`);
    await untilShown(() => wrapper.vm.$route.path === `/logbook/place/${codeOf(pump)}`, 'the place');
  });
  test('a fault that three machines share is named, and forty machines come at first', async () => {
    for (let i = 0; i < 41; i++) await check(`M${i}`, i < 3 ? decided('wiring') : undefined);
    const wrapper = await part('places');
    expect(wrapper.findAll('[data-test="shared-fault"]')).toHaveLength(1);
    expect(machines(wrapper)).toHaveLength(40);
    await press(wrapper, places.showAllMachines(41));
    expect(machines(wrapper)).toHaveLength(41);
    expect(wrapper.findAll('button').some((b) => b.text() === places.showAllMachines(41))).toBe(false);
  });
});

describe('what is due', () => {
  const day = (days: number): string => dayjs().add(days, 'day').format('YYYY-MM-DD');
  test('temporary replacements first, then follow-ups by their day; late ones are marked; done, they are gone', async () => {
    const late = await check('Pump', (j) => {
      j.followUps = [
        { id: 'later', text: 'look again', dueOn: day(2), doneAt: null },
        { id: 'today', text: 'order it', dueOn: day(0), doneAt: null },
        { id: 'over', text: 'done before', dueOn: day(-9), doneAt: NOW },
      ];
      j.repair.standIn = { what: 'resistor', fittedAt: NOW, removedAt: null };
    });
    await check('Archived', (j) => {
      j.archivedAt = NOW;
      j.followUps = [{ id: 'a', text: 'archived', dueOn: day(0), doneAt: null }];
    });
    const wrapper = await part('due');
    const rows = () => wrapper.findAll('[data-test="due"]').map((d) => [d.get('b').text(), d.text().startsWith('◆')]);
    expect(rows()).toEqual([
      [due.standIn('resistor'), true],
      ['order it', true],
      ['look again', false],
    ]);
    await press(wrapper, due.calendarFileIcs);
    await untilShown(() => saved.length > 0, 'the file');
    const { name, text } = await lastSaved();
    expect(name).toMatch(/\.ics$/);
    expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
    expect(text).toContain(`DTSTART;VALUE=DATE:${day(2).replaceAll('-', '')}`);
    expect(text.replace(/\r\n[ \t]/g, '')).toContain(`SUMMARY:look again: ${late.title}`);
    expect(text.replace(/\r\n /g, '')).toContain(`/check/${late.id}`);
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(3);
    await pressNamed(wrapper, due.doneWith('order it'));
    await untilShown(() => rows().length === 2, 'the rest');
    expect(rows().map(([what]) => what)).toEqual([due.standIn('resistor'), 'look again']);
    const stored = (await jobDoor(late.id).read())!.value.followUps;
    expect(stored.map((f) => [f.id, f.doneAt !== null])).toEqual([
      ['later', false],
      ['today', true],
      ['over', true],
    ]);
  });
  test('nothing is due', async () => {
    await check('Pump');
    expect((await part('due')).text()).toContain(due.nothingIsDue);
  });
});

describe('experience', () => {
  test('a check takes the workshop’s own rates with its first reading, where that is switched on', async () => {
    for (const name of ['A', 'B', 'C']) await check(name, decided('wiring'));
    await useJobs().load();
    const measure = async (on: boolean, measured: Job['readings'] = []): Promise<Job> => {
      usePreferences().experience = on;
      const job = await ownCheck((j) => (j.readings = measured));
      await show({ setup: () => (useExperience(), () => null) });
      job.readings.push(reading('sensor-ohms', '2k', 2000));
      await flushPromises();
      unmountAll();
      await session().close();
      return job;
    };
    expect((await measure(false)).experience).toBeUndefined();
    // One that was measured before keeps the verdict that it had.
    expect((await measure(true, [reading('open-voltage', '5', 5)])).experience).toBeUndefined();
    const { factors } = (await measure(true)).experience!;
    expect([factors.wiring! > 1, factors.sensor! < 1]).toEqual([true, true]);
  });
  test('how often each fault was found and the tool was right, beside the default; out as a table', async () => {
    await check('A', decided('wiring'));
    await check('B', decided('wiring', 'sensor'));
    await check('C', decided('sensor'));
    const wrapper = await part('experience');
    const row = (): string[] => rowsOf(wrapper, experience.baseRates).find((r) => r.at(-1) === '1/2')!;
    expect(row().slice(3)).toEqual(['2', '–', '1/2']);
    expect(rowsOf(wrapper, experience.baseRates).map(([name]) => name)).toEqual(FAULT_GROUPS.map(groupName));
    expect(rowsOf(wrapper, experience.baseRates).filter((r) => r.at(-1) === '–').length).toBeGreaterThan(1);
    const own = (): number => parseInt(row()[2]);
    const before = own();
    expect(before).not.toBe(parseInt(row()[1]));
    const weight = wrapper
      .findAllComponents({ name: 'ChoiceRow' })
      .find((c) => c.vm.$props.label === experience.priorWeight)!;
    expect((weight.vm.$props.options as { value: number }[]).map((o) => o.value)).toEqual([...STRENGTHS]);
    weight.vm.$emit('update:modelValue', STRENGTHS[0]);
    await untilShown(() => own() !== before, 'other shares');
    expect(usePreferences().experienceStrength).toBe(STRENGTHS[0]);
    // No boiler was checked here: its shares are nearer to the default.
    const away = Math.abs(own() - parseInt(row()[1]));
    expect(listOf(wrapper, experience.ratesFor).options!.map((o) => o.label)).toEqual([
      experience.engines,
      experience.climateSystems,
      experience.boilers,
    ]);
    await pickFrom(wrapper, experience.ratesFor, 'boiler');
    expect(Math.abs(own() - parseInt(row()[1]))).toBeLessThanOrEqual(away);
    await tick(wrapper, experience.useOwn, !usePreferences().experience);
    await press(wrapper, experience.exportAsCsv);
    const { name, text } = await lastSaved();
    expect(name).toMatch(/^experience.*\.csv$/);
    expect(text).toMatch(/^field,circuit,group,checks,found,/);
  });
  test('nothing verified yet', async () => {
    await check('A', decided('wiring')).then(async (job) => {
      await jobDoor(job.id).write({ ...job, closed: null }, (await jobDoor(job.id).read())!);
    });
    expect((await part('experience')).text()).toContain(experience.nothingLearnedYet);
  });
});

describe('a place', () => {
  test('its checks with what was done, what is due, and its photos; the next check starts like the last', async () => {
    const first = await check('Pump', (j) => {
      decided('wiring')(j);
      j.createdAt = '2025-01-02T03:04:05.000Z';
      j.repair.done = 'new pin';
      j.repair.standIn = { what: '', fittedAt: NOW, removedAt: null };
    });
    const last = await check('Pump', (j) => {
      j.note = 'wet';
      j.recurrenceOf = { id: first.id, title: first.title };
      j.photos = [
        { id: 'p', caption: 'the plug', takenAt: NOW, image: null },
        { id: 'lost', caption: 'lost', takenAt: NOW, image: null },
      ];
    });
    await putPhoto(last.id, 'p', 'data:image/jpeg;base64,AAAA');
    await check('Elsewhere');
    const code = codeOf(last);
    const wrapper = await show(PlaceScreen, { path: `/logbook/place/${code}` });
    await untilShown(() => wrapper.findAll('figure').length > 0, 'the photos');
    expectSound(wrapper);
    expect([wrapper.get('[data-test="code"]').text(), wrapper.get('h1').text()]).toEqual([
      code,
      expect.stringContaining('Pump'),
    ]);
    const rows = wrapper.findAll('[data-test="place-check"]').map((r) => r.text());
    expect(rows).toHaveLength(2);
    expect(rows[0]).toContain(place.note('wet'));
    expect([rows[0].includes(place.cameBack), rows[1].includes(place.cameBack)]).toEqual([true, false]);
    expect(rows[1]).toContain(place.done('new pin'));
    // Only what was decided can come back.
    expect(rows.map((r) => r.includes(place.itCameBack))).toEqual([false, true]);
    expect(wrapper.text()).toContain(place.temporaryFitted(place.notNamed));
    expect(wrapper.findAll('figcaption').map((f) => f.text())).toEqual(['the plug']);
    await press(wrapper, place.nextCheckHere);
    const begun = await checkOpened(wrapper);
    expect([begun.machine, begun.recurrenceOf, begun.readings.length]).toEqual(['Pump', undefined, 0]);
  });
  test('a check that is changed while the page is open is read again', async () => {
    const job = await check('Pump', (j) => (j.note = 'wet'));
    const wrapper = await show(PlaceScreen, { path: `/logbook/place/${codeOf(job)}` });
    await untilShown(() => wrapper.text().includes(place.note('wet')), 'the check');
    const stored = (await jobDoor(job.id).read())!;
    await jobDoor(job.id).write({ ...stored.value, note: 'dry', updatedAt: '2026-02-03T04:05:06.000Z' }, stored);
    await useJobs().reload();
    await untilShown(() => wrapper.text().includes(place.note('dry')), 'the change');
  });
  test('what came back names the check before it', async () => {
    const job = await check('Pump', decided('wiring'));
    const wrapper = await show(PlaceScreen, { path: `/logbook/place/${codeOf(job)}` });
    await untilShown(() => wrapper.text().includes(place.itCameBack), 'the check');
    await press(wrapper, place.itCameBack);
    expect((await checkOpened(wrapper)).recurrenceOf).toEqual({
      id: job.id,
      title: job.title,
    });
  });
  test('a code that is of no machine here', async () => {
    await check('Pump');
    const wrapper = await show(PlaceScreen, { path: '/logbook/place/222-2222' });
    await untilShown(() => wrapper.find('section h2').exists(), 'an answer');
    expect(wrapper.text()).toContain(place.unknownCode('222-2222'));
  });
});
