// @vitest-environment happy-dom
import type { Finding } from '@mellow-probe/core/intake/logs/finding';
import type { LogColumn } from '@mellow-probe/core/intake/logs/logColumns';
import {
  findingListWords as found,
  logColumnsWords as columns,
  logListWords as list,
} from '@mellow-probe/core/wording/screens/logs';
import type { VueWrapper } from '@vue/test-utils';
import { describe, expect, test } from 'vitest';
import {
  expectSound,
  isOff,
  listOf,
  NOW,
  pickFrom,
  press,
  pressNamed,
  show,
  type,
} from '../../../test/mountedScreens.ts';
import type { RecordingHead } from '../../data/storage/recordingStorage.ts';
import type { LogShape } from '../../workers/logs.ts';
import FindingList from './FindingList.vue';
import LogColumns from './LogColumns.vue';
import LogList from './LogList.vue';

describe('what was found', () => {
  const channel = (id: string, name: string) => ({ id, name, quantity: 'celsius', values: 101 });
  const shape = {
    rows: 101,
    lengthS: 200,
    marks: [],
    channels: [channel('a', 'Coolant'), channel('b', 'Air')],
  } as unknown as LogShape;
  const event = (kind: string, fromS: number, toS: number): Finding =>
    ({
      ...{ kind: 'events', event: kind, channel: 'a', atC: null, onlyAboveC: null, under: [] },
      events: [{ kind, fromS, toS, samples: 3, before: 80, level: -40, end: 'low', sigmas: 20 }],
    }) as Finding;
  const ODD = event('drop-out', 100, 120);
  const START: Finding = {
    kind: 'cold-start',
    channels: [
      { channel: 'a', valueC: 20.04 },
      { channel: 'b', valueC: 19.5 },
    ],
    oddOne: null,
    apartK: 0.5,
  };
  const TOLD = event('spike', 40, 41);
  const open = (findings: Finding[], { toCheck = true, put = [] as number[], evidence = [] as unknown[][] } = {}) =>
    show(FindingList, { props: { findings, evidence, shape, toCheck, put: new Set(put) } });
  const rows = (w: VueWrapper) => w.findAll('[data-test="findings"] > li');

  test('what is wrong comes first, then what is for information, then what is normal; each in its own order', async () => {
    const sheet = await open([START, TOLD, ODD, event('stuck', 10, 12)]);
    expectSound(sheet);
    expect(rows(sheet).map((r) => r.classes()[0])).toEqual(['odd', 'odd', 'told', 'good']);
    expect(rows(sheet).map((r) => r.get('.tone').text().split(' · ')[0])).toEqual([
      found.lookAtThis,
      found.lookAtThis,
      found.told,
      found.good,
    ]);
    // How sure it is, is said of what may be wrong alone.
    expect(rows(sheet).map((r) => r.get('.tone').text().includes(' · '))).toEqual([true, true, false, false]);
    await rows(sheet)[0].findAll('button').at(-1)!.trigger('click');
    expect(sheet.emitted('show')).toEqual([[92, 128]]);
  });
  test.each<[string, Finding, [number, number]]>([
    ['a short one with three seconds on both sides', event('spike', 40, 41), [37, 44]],
    ['a cold start at the beginning', START, [-6, 21]],
    [
      'one that moved, around its mark',
      {
        kind: 'moved',
        mark: { kind: 'unplugged', place: '', fromS: 50, toS: 60, text: '' } as never,
        moved: [],
        still: [],
      },
      [38.8, 71.2],
    ],
    [
      'one whose mark has no end',
      {
        kind: 'moved',
        mark: { kind: 'unplugged', place: '', fromS: 50, toS: null, text: '' } as never,
        moved: [],
        still: [],
      },
      [42.8, 57.2],
    ],
    [
      'what is settling',
      { kind: 'settling', channel: 'a', fromS: 20, toS: 70, endsAt: 80, sigma: 0.1, timeConstantS: 20, leftNow: 1 },
      [0, 90],
    ],
    ['dips', { kind: 'air', channel: 'a', dips: [{ fromS: 30, toS: 40, depthK: 5 }] }, [26, 44]],
    [
      'what is of no one place',
      { kind: 'drift', channel: 'a', against: 'b', perHourK: 5, sigma: 0.1, meanK: 1 },
      [-80, 280],
    ],
  ])('shows %s', async (_, finding, range) => {
    const sheet = await open([finding]);
    await press(sheet, found.show);
    const [[from, to]] = sheet.emitted('show') as [number, number][];
    expect([from, to].map((s) => Number(s.toFixed(6)))).toEqual(range);
  });
  test('it goes on a check once, where there is one and it says something to it', async () => {
    const evidence = [[], [{ kind: 'finding', id: 'corrosion' }]];
    const buttons = (w: VueWrapper): string[] =>
      w
        .findAll('button')
        .map((b) => b.text())
        .filter((t) => t === found.putOnCheck);
    const sheet = await open([ODD, event('stuck', 10, 12)], { evidence });
    expect(buttons(sheet)).toHaveLength(1);
    await press(sheet, found.putOnCheck);
    expect(sheet.emitted('use')).toEqual([[1]]);
    const put = await open([ODD, event('stuck', 10, 12)], { evidence, put: [1] });
    expect([buttons(put), put.find('.put').exists()]).toEqual([[], true]);
    expect(buttons(await open([ODD, event('stuck', 10, 12)], { evidence, toCheck: false }))).toEqual([]);
  });
  test('a cold start leads to the tool for all sensors, with names and values', async () => {
    const sheet = await open([ODD, START]);
    const ways = sheet.findAll('a').map((a) => decodeURIComponent(a.attributes('href')!).replaceAll('+', ' '));
    expect(ways).toEqual(['/shelf/machine?values=Coolant: 20.0 °C\nAir: 19.5 °C']);
  });
});

describe('how the columns are read', () => {
  const COLUMNS: LogColumn[] = [
    { head: 'time', use: 'time', unit: null, time: 'seconds' },
    { head: '', use: 'values', unit: null, time: null },
    { head: 'x', use: 'other', unit: null, time: null },
  ];
  const open = (over: LogColumn[] = COLUMNS) => show(LogColumns, { props: { columns: over, asked: true } });
  const lists = (w: VueWrapper): string[] =>
    w.findAllComponents({ name: 'PickList' }).map((l) => String(l.vm.$props.label));

  test('each with what it holds: values have a unit, the time has its kind, what is not read has neither', async () => {
    const sheet = await open();
    expect(lists(sheet)).toEqual([
      ...[columns.columnHolds(1), columns.timeUnitOf(1), columns.columnHolds(2), columns.unitOfColumn(2)],
      columns.columnHolds(3),
    ]);
    expect(sheet.findAll('.name').map((n) => n.text())).toEqual(['time', columns.column(2), 'x']);
    expect(sheet.findAll('.unread')).toHaveLength(1);
    expect(sheet.findAllComponents({ name: 'PickList' }).map((l) => l.vm.$props.asked === true)).toEqual([
      false,
      false,
      false,
      true,
      false,
    ]);
    await pickFrom(sheet, columns.unitOfColumn(2), 'kΩ');
    await pickFrom(sheet, columns.columnHolds(3), 'values');
    await pickFrom(sheet, columns.unitOfColumn(3), 'V');
    await pickFrom(sheet, columns.timeUnitOf(1), 'minutes');
    expect(listOf(sheet, columns.unitOfColumn(2)).modelValue).toBe('kΩ');
    await press(sheet, columns.readItSo);
    expect(sheet.emitted('read')).toEqual([
      [{ 0: { time: 'minutes' }, 1: { unit: 'kΩ' }, 2: { use: 'values', unit: 'V' } }, null],
    ]);
  });
  test('without a column of time, the time between two rows is needed, and is more than zero', async () => {
    const sheet = await open(COLUMNS.slice(1));
    expect([sheet.text().includes(columns.noTime), isOff(sheet, columns.readItSo)]).toEqual([true, true]);
    for (const [text, off] of [
      ['0', true],
      ['-1', true],
      ['0.5', false],
    ] as const) {
      await type(sheet, columns.rowInterval, text);
      expect(isOff(sheet, columns.readItSo), text).toBe(off);
    }
    await press(sheet, columns.readItSo);
    await pickFrom(sheet, columns.columnHolds(1), 'time');
    expect(sheet.text()).not.toContain(columns.noTime);
    await press(sheet, columns.readItSo);
    expect(sheet.emitted('read')!.map((said) => (said as unknown[])[1])).toEqual([0.5, null]);
  });
});

describe('the logs of this browser', () => {
  const head = (id: string, change: Partial<RecordingHead> = {}): RecordingHead =>
    ({
      ...{
        id,
        title: `log ${id}`,
        job: null,
        from: 'recorded',
        startedAt: NOW,
        endedAt: NOW,
        channels: [],
        marks: [],
        samples: 1,
        lengthS: 65,
      },
      ...change,
    }) as RecordingHead;
  const open = (kept: RecordingHead[], fault = false) =>
    show(LogList, { props: { kept, fault, current: 'b' }, path: '/logs?check=c' });

  test('each with where it comes from and whether it was cut off; the open one is marked; the check goes with it', async () => {
    const sheet = await open([head('a', { from: 'file' }), head('b', { from: 'stand-ins', endedAt: null })]);
    const rows = sheet.findAll('li');
    expect(rows.map((r) => r.classes('on'))).toEqual([false, true]);
    expect(rows[0].text()).toContain(list.fromAFile);
    expect(rows[0].text()).not.toContain(list.notEnded);
    expect(rows[1].text()).toContain(`${list.madeUp} · ${list.notEnded}`);
    expect(rows.map((r) => r.get('a').attributes('href'))).toEqual(['/logs/a?check=c', '/logs/b?check=c']);
    expect(sheet.text()).not.toContain(list.noRecordingsYet);
  });
  test('deleted only after a second tap', async () => {
    const sheet = await open([head('a'), head('b')]);
    await pressNamed(sheet, list.deleteRecording('log b'));
    await press(sheet, list.keepIt);
    expect([sheet.emitted('remove'), sheet.findAll('.sure').length]).toEqual([undefined, 0]);
    await pressNamed(sheet, list.deleteRecording('log b'));
    expect(sheet.findAll('li')[1].find('.sure').exists()).toBe(true);
    await press(sheet, list.deleteForGood);
    expect(sheet.emitted('remove')).toEqual([['b']]);
  });
  test('none yet is said; a store that does not answer is no empty list', async () => {
    expect((await open([])).text()).toContain(list.noRecordingsYet);
    const failed = (await open([], true)).text();
    expect([failed.includes(list.storeSilent), failed.includes(list.noRecordingsYet)]).toEqual([true, false]);
  });
});
