// @vitest-environment happy-dom
import { newStop } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { stationsFor } from '@mellow-probe/core/advice/workOrder/stations';
import { beforeEach, describe, expect, test } from 'vitest';
import { fakeDoor } from '../../test/fakeDoor.ts';
import { persistedRecord } from './record/record.ts';
import type { VerdictView } from './verdict.ts';
import { followWork } from './workOrder.ts';

const NOW = '2026-01-02T03:04:05.000Z';
const reading = (
  id: string,
  measurement: string,
  change: Partial<Job['readings'][number]> = {},
): Job['readings'][number] => newReading(id, measurement, { text: '1', value: 1, takenAt: NOW, ...change });
const voided = { voided: { reason: 'x', at: NOW } };

let n = 0;
beforeEach(() => localStorage.clear());
function opened(advice: unknown = null) {
  const { door, control } = fakeDoor<Job>(`jobs/w${++n}`, newJob('a', NOW));
  const record = persistedRecord<Job>({ door, initial: control.stored!.value, stored: control.stored });
  const verdict = { advice } as VerdictView;
  return { job: record.value, work: followWork(record, verdict) };
}
/** Advice that says nothing of places. */
const NOWHERE = { next: null, probability: 0, connectors: 0 };
const ALL = stationsFor('proposal', 'pull-up', 0);
const TESTS = ALL.flatMap((s) => s.tests);
/** A station of several tests, and one of words. */
const many = ALL.find((s) => s.tests.length > 2)!;

describe('stations', () => {
  test('begins at the quick check, with nothing on the card', () => {
    const { work } = opened();
    expect([work.station, work.test, work.readingId, work.current?.id]).toEqual(['quick', null, null, 'quick']);
    expect(work.stations.map((s) => s.id)).toEqual(ALL.map((s) => s.id));
  });
  test('a station puts its first test that is not done on the card; when all are done, its first; one of words clears the card', () => {
    const { work, job } = opened();
    work.goStation(many.id);
    expect([work.station, work.test]).toEqual([many.id, many.tests[0]]);
    job.readings.push(reading('1', many.tests[0]));
    work.goStation(many.id);
    expect(work.test).toBe(many.tests[1]);
    job.readings.push(...many.tests.slice(1).map((t) => reading(t, t)));
    work.goStation(many.id);
    expect([work.test, work.readingId]).toEqual([many.tests[0], '1']);
    work.goStation('complaint');
    expect([work.station, work.test, work.readingId]).toEqual(['complaint', null, null]);
    work.goStation('nowhere');
    expect(work.station).toBe('complaint');
  });
  test('a step to the next and back, and no further than the ends', () => {
    const { work } = opened();
    work.step(-1);
    expect(work.station).toBe('quick');
    work.step(1);
    expect(work.station).toBe(ALL[1].id);
    work.step(-1);
    expect(work.station).toBe('quick');
    work.goStation(ALL[ALL.length - 1].id);
    work.step(1);
    expect(work.station).toBe(ALL[ALL.length - 1].id);
  });
  test('a voided reading, or one that could not be read, is not done', () => {
    const { work, job } = opened();
    job.readings.push(reading('1', many.tests[0], voided), reading('2', many.tests[0], { value: null, text: '?' }));
    work.goStation(many.id);
    expect(work.test).toBe(many.tests[0]);
  });
});

describe('the card', () => {
  test('a test comes with its latest reading that counts, or empty', () => {
    const { work, job } = opened();
    job.readings.push(
      reading('1', 'open-voltage'),
      reading('2', 'open-voltage'),
      reading('3', 'open-voltage', voided),
      reading('4', 'sensor-ohms'),
    );
    work.goTest('open-voltage');
    expect([work.readingId, work.draft]).toEqual(['2', {}]);
    expect(work.station).toBe(ALL.find((s) => s.tests.includes('open-voltage'))!.id);
    work.goTest('loaded-voltage');
    expect(work.readingId).toBeNull();
    expect(work.readingsOf('open-voltage').map((r) => r.id)).toEqual(['1', '2', '3']);
  });
  test('with conditions a test that needs some starts a new reading under them; one that needs none shows what it has', () => {
    const { work, job } = opened();
    job.readings.push(reading('1', 'displayed-substituted'), reading('2', 'open-voltage'));
    work.goTest('displayed-substituted', { substituteOhm: 1000 });
    expect([work.readingId, work.draft]).toEqual([null, { substituteOhm: { text: '1000', value: 1000 } }]);
    work.goTest('displayed-substituted');
    expect([work.readingId, work.draft]).toEqual(['1', {}]);
    work.goTest('open-voltage', {});
    expect([work.readingId, work.draft]).toEqual(['2', {}]);
    work.goTest('bench-ohms', { bathC: 60 });
    expect(work.draft).toEqual({ bathC: { text: '60 °C', value: 60 } });
    work.goTest('connector-voltage', { wire: 'return', position: 2 });
    expect(work.draft).toEqual({ wire: 'return', position: 2 });
    work.goTest('connector-voltage', { wire: 'return' });
    expect(work.draft).toEqual({});
  });
  test('a reading by its id; a further one; one put there by hand; one that is gone', () => {
    const { work, job } = opened();
    job.readings.push(reading('1', 'open-voltage'), reading('2', 'open-voltage'));
    work.goReading('none');
    expect(work.test).toBeNull();
    work.goReading('1');
    expect([work.test, work.readingId]).toEqual(['open-voltage', '1']);
    work.draft = { position: 3 };
    work.again();
    expect([work.readingId, work.draft]).toEqual([null, {}]);
    work.readingId = '2';
    expect(work.readingId).toBe('2');
    job.readings.pop();
    expect(work.readingId).toBeNull();
  });
});

describe('what comes next', () => {
  test('the tool’s proposal with its conditions; none where there is none', () => {
    expect(opened().work.proposed).toBeNull();
    expect(opened({ proposals: [], where: NOWHERE }).work.proposed).toBeNull();
    const { work } = opened({
      proposals: [{ measurement: 'displayed-substituted', conditions: { substituteOhm: 470 } }],
      where: NOWHERE,
    });
    expect(work.proposed).toMatchObject({ measurement: 'displayed-substituted' });
    work.goProposed();
    expect([work.test, work.draft.substituteOhm?.value]).toEqual(['displayed-substituted', 470]);
    const none = opened().work;
    none.goProposed();
    expect(none.test).toBeNull();
  });
  test('once it is plain what is wrong, the reading that tells where comes first, with its side of the connector', () => {
    const conditions = { wire: 'return', position: 2, side: 'sensor' };
    const next = { measurement: 'connector-voltage', conditions };
    const proposals = [{ measurement: 'displayed', conditions: {} }];
    const told = opened({ proposals, where: { next, probability: 0.9, connectors: 2 } });
    // Advice of a loom that is no longer so is none.
    expect(told.work.proposed!.measurement).toBe('displayed');
    told.job.loom.stops = [newStop('a', 'connector'), newStop('b', 'splice')];
    expect(told.work.proposed).toEqual(next);
    told.work.goProposed();
    expect([told.work.station, told.work.test, told.work.draft]).toEqual(['places', 'connector-voltage', conditions]);
    expect(opened({ proposals, where: { next, probability: 0.6, connectors: 0 } }).work.proposed!.measurement).toBe(
      'displayed',
    );
  });
  test('a school goes before the proposal, in its own order, past what is done', () => {
    const { work, job } = opened({ proposals: [{ measurement: 'displayed', conditions: {} }] });
    job.school = 'supply-first';
    expect(work.proposed).toEqual({ measurement: 'open-voltage', conditions: {} });
    job.readings.push(reading('1', 'open-voltage'));
    expect(work.proposed!.measurement).toBe('supply-to-return');
  });
  test('on to the next test without a reading, around the end to those passed over, at last to the decision', () => {
    const { work, job } = opened();
    work.goNext();
    expect(work.test).toBe(TESTS[0]);
    work.goNext();
    expect(work.test).toBe(TESTS[1]);
    job.readings.push(reading('x', TESTS[2]));
    work.goNext();
    expect(work.test).toBe(TESTS[3]);
    work.goTest(TESTS[TESTS.length - 1]);
    work.goNext();
    expect(work.test).toBe(TESTS[0]);
    for (const t of TESTS) if (t !== TESTS[1]) job.readings.push(reading(`r${t}`, t));
    work.goTest(TESTS[4]);
    work.goNext();
    expect(work.test).toBe(TESTS[1]);
    job.readings.push(reading('last', TESTS[1]));
    work.goNext();
    expect([work.station, work.test]).toEqual(['decision', null]);
  });
  test('connectors and layout change the stations at once', () => {
    const { work, job } = opened();
    const asked = (): boolean => work.stations.some((s) => s.tests.includes('connector-voltage'));
    expect(asked()).toBe(false);
    job.loom.stops = [newStop('a', 'connector'), newStop('b', 'splice')];
    expect(asked()).toBe(true);
  });
});
