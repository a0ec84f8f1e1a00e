// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { MOST } from '@mellow-probe/core/check/job/most';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, test } from 'vitest';
import { createApp, ref } from 'vue';
import { usePreferences } from '../data/stores/preferences.ts';
import { readUnsent, writeUnsent } from '../data/storage/unsent.ts';
import { type JobSession, SESSION } from './jobSession.ts';
import { readingView } from './readingView.ts';
import { useReadings } from './readings.ts';
import { useUnsent } from './unsent.ts';
import type { VerdictView } from './verdict.ts';

const NOW = '2026-01-02T03:04:05.000Z';
let job: Job;
beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
  job = newJob('a', NOW);
});
/** Runs as inside a component of the bench. */
function inside<T>(work: () => T): T {
  const app = createApp({});
  app.provide(SESSION, { id: 'a', job } as JobSession);
  return app.runWithContext(work);
}

describe('readings', () => {
  test('the first reading of a test has the test’s own id, later ones have others; figures are read as typed', () => {
    const { add, find, first } = inside(useReadings);
    expect(add('open-voltage', '4.8')).toBe('open-voltage');
    const second = add('open-voltage', '5.0')!;
    expect(second).not.toBe('open-voltage');
    expect(first('open-voltage')!.text).toBe('4.8');
    expect(find(second)).toMatchObject({ text: '5.0', value: 5, state: 'steady', voided: null, history: [] });
    add('sensor-ohms', 'OL');
    add('isolation-ground', 'rubbish');
    expect(job.readings.slice(2).map((r) => r.value)).toEqual(['OL', null]);
    expect(find('none')).toBeUndefined();
  });
  test('a wire and a place to start from where the test asks for one; given conditions win', () => {
    const { add, find } = inside(useReadings);
    expect(find(add('connector-voltage')!)!.conditions).toEqual({ wire: 'signal', position: 1 });
    expect(find(add('connector-voltage', '', { wire: 'return', position: 2 })!)!.conditions).toEqual({
      wire: 'return',
      position: 2,
    });
    expect(find(add('open-voltage')!)!.conditions).toEqual({});
  });
  test('typing makes, corrects and drops a bare reading; one with a history, a note or conditions stays', () => {
    const { typeInto, retype } = inside(useReadings);
    typeInto('sensor-ohms', '  ');
    expect(job.readings).toHaveLength(0);
    typeInto('sensor-ohms', '3');
    typeInto('sensor-ohms', '3.6k');
    expect(job.readings).toMatchObject([{ text: '3.6k', value: 3600 }]);
    retype('none', '1');
    typeInto('sensor-ohms', '');
    expect(job.readings).toHaveLength(0);
    typeInto('sensor-ohms', '3');
    job.readings[0].note = 'n';
    typeInto('sensor-ohms', '');
    expect(job.readings).toMatchObject([{ text: '', value: null }]);
    job.readings[0].note = '';
    job.readings[0].conditions = { position: 1 };
    typeInto('sensor-ohms', '');
    expect(job.readings).toHaveLength(1);
    job.readings[0].conditions = {};
    job.readings[0].history = [{ text: '3', at: NOW }];
    typeInto('sensor-ohms', '');
    expect(job.readings).toHaveLength(1);
  });
  test('a voided one is out of the way of the next; it can be taken back in', () => {
    const { typeInto, voidReading, unvoid, first } = inside(useReadings);
    typeInto('sensor-ohms', '3');
    voidReading('sensor-ohms', 'wrong pin');
    expect(job.readings[0].voided).toMatchObject({ reason: 'wrong pin' });
    expect(first('sensor-ohms')).toBeUndefined();
    typeInto('sensor-ohms', '4');
    expect(job.readings).toHaveLength(2);
    unvoid('sensor-ohms');
    expect(first('sensor-ohms')!.text).toBe('3');
    voidReading('none', 'x');
    unvoid('none');
  });
  test('what stood there before is remembered once; of too many corrections the first and the latest stay', () => {
    const { add, remember, find } = inside(useReadings);
    const id = add('open-voltage', '5')!;
    remember(id, '');
    remember(id, ' ');
    remember(id, '5');
    remember('none', '4');
    expect(find(id)!.history).toEqual([]);
    for (let i = 0; i < MOST.corrections + 7; i++) remember(id, `${i}.1`);
    const { history } = find(id)!;
    expect(history).toHaveLength(MOST.corrections);
    expect([history[0].text, history[history.length - 1].text]).toEqual(['0.1', `${MOST.corrections + 6}.1`]);
  });
  test('a bare temperature is of the unit in force; a full job takes no more', () => {
    const { read, add } = inside(useReadings);
    expect(read('displayed', '68')).toBe(68);
    usePreferences().toggleUnit();
    expect(read('displayed', '68')).toBeCloseTo(20, 6);
    job.readings = Array.from({ length: MOST.readings }, (_, i) => ({ ...reading(), id: `r${i}` }));
    expect(add('open-voltage', '5')).toBeNull();
    expect(job.readings).toHaveLength(MOST.readings);
  });
});
const reading = (): Job['readings'][number] =>
  newReading('r', 'sensor-ohms', { text: '3.6k', value: 3600, takenAt: NOW });

describe('what a field shows of a reading', () => {
  const assessment = {
    readings: [
      { id: 'r', measurement: 'sensor-ohms', healthy: { low: 3000, high: 4000 }, verdict: 'inside', blunder: 0 },
    ],
    healthy: { 'open-voltage': { low: 4.9, high: 5.1 }, 'sensor-ohms': { low: 1, high: 2 } },
    suspects: [{ fault: 'sensor-high', predicts: [{ low: 6000, high: 7000 }] }],
  };
  const verdict = (change: object = {}): VerdictView =>
    ({ fault: null, result: { assessment: { ...assessment, ...change } } }) as unknown as VerdictView;
  const view = (reading: Job['readings'][number] | undefined, v = verdict(), measurement = 'sensor-ohms') =>
    readingView(v, 'C', measurement, reading);

  test('the range of this very reading, and how the figure in the field now stands in it', () => {
    expect(view(reading())).toEqual({
      healthy: '3.00 … 4.00 kΩ',
      standing: 'fits',
      standingText: '',
      side: null,
      readAs: '= 3.60 kΩ',
      meant: '',
      predicted: '',
    });
    expect(view({ ...reading(), value: 6500 })).toMatchObject({
      standing: 'off',
      standingText: 'High',
      side: 'high',
      predicted: '6.00 … 7.00 kΩ',
    });
    expect(view({ ...reading(), value: 2500 })).toMatchObject({ standing: 'off', standingText: 'Low', side: 'low' });
    expect(view({ ...reading(), value: 'OL' })).toMatchObject({
      standing: 'off',
      standingText: 'High',
      readAs: '= OL',
      meant: '',
    });
    expect(view({ ...reading(), value: null })).toMatchObject({
      standing: 'none',
      readAs: '',
      predicted: '',
      healthy: '3.00 … 4.00 kΩ',
    });
    expect(view({ ...reading(), value: 3.6 }).meant).toBe('3.60 kΩ');
  });
  test('a test not yet judged has the range of its kind and no standing', () => {
    expect(view(undefined)).toMatchObject({ healthy: '1.00 … 2.00 Ω', standing: 'none' });
    expect(view({ ...reading(), id: 'new' })).toMatchObject({
      healthy: '1.00 … 2.00 Ω',
      standing: 'none',
      readAs: '= 3.60 kΩ',
    });
    expect(view(undefined, verdict(), 'open-voltage')).toMatchObject({
      healthy: '4.90 … 5.10 V',
      readAs: '',
      meant: '',
    });
    expect(view(undefined, verdict(), 'return-drop').healthy).toBe('');
  });
  test('a suspect that is healthy predicts nothing else; where the engine failed nothing is said', () => {
    const healthy = verdict({ suspects: [{ fault: 'healthy', predicts: [{ low: 1, high: 2 }] }] });
    expect(view({ ...reading(), value: 6500 }, healthy).predicted).toBe('');
    expect(view({ ...reading(), value: 6500 }, verdict({ suspects: [] })).predicted).toBe('');
    const failed = { ...verdict(), fault: { why: 'silent', message: '' } } as VerdictView;
    expect(view({ ...reading(), value: 6500 }, failed)).toMatchObject({
      healthy: '',
      standing: 'none',
      predicted: '',
      readAs: '= 6.50 kΩ',
    });
  });
});

describe('unsent words', () => {
  test('are there again for the same name, gone when emptied, apart from others', () => {
    writeUnsent('a', 'code', 'P0');
    const name = ref('code');
    const text = inside(() => useUnsent(name));
    expect(text.value).toBe('P0');
    text.value = 'P0118';
    expect([text.value, readUnsent('a', 'code')]).toEqual(['P0118', 'P0118']);
    name.value = 'reason';
    expect(text.value).toBe('');
    text.value = 'why';
    name.value = 'code';
    expect(text.value).toBe('P0118');
    text.value = '';
    expect(localStorage.getItem('mellow-probe.own.unsent.a.code')).toBeNull();
    expect(readUnsent('a', 'reason')).toBe('why');
  });
});

test('outside the bench there is no session, and that is a mistake of the program', () => {
  const app = createApp({});
  expect(() => app.runWithContext(useReadings)).toThrow('useSession: not inside a JobGate');
});
