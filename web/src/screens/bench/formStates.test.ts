// @vitest-environment happy-dom
import { FORM_STATIONS, type FormStationId } from '@mellow-probe/core/advice/workOrder/stations';
import type { PlaceAdvice } from '@mellow-probe/core/advice/place/placeAdvice';
import { figure } from '@mellow-probe/core/base/units/entry';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { checkJob } from '@mellow-probe/core/check/job/checkJob';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import { newHarness, newStop } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { useStationStateWords as say } from '@mellow-probe/core/wording/screens/bench';
import { placeName } from '@mellow-probe/core/wording/placeText';
import { describe, expect, test } from 'vitest';
import { FORMS, formOf } from './forms/list.ts';
import { FORM_STATES, type StationState } from './formStates.ts';

const NOW = '2026-01-02T03:04:05.000Z';
type Known = Parameters<(typeof FORM_STATES)['where']>[1];
const NOTHING: Known = { result: null, advice: null };
const reading = (id: string, change: Partial<Job['readings'][number]> = {}): Job['readings'][number] =>
  newReading(id, 'sensor-ohms', { text: '2k', value: 2000, takenAt: NOW, ...change });
function stateOf(
  id: FormStationId,
  change: (job: Job) => void = () => undefined,
  known: Known = NOTHING,
): StationState {
  const job = newJob('a', NOW);
  change(job);
  return FORM_STATES[id](job, known);
}
const seen = (id: FormStationId, change: (job: Job) => void, known?: Known) => {
  const { state, last } = stateOf(id, change, known);
  return [state, last];
};

test('a station of the order of work has its form; tests and the quick check have none', () => {
  const of = (kind: string, id: string) => formOf({ kind, id } as never);
  expect(of('form', 'repair')).toBe(FORMS.repair);
  expect([of('form', 'quick'), of('test', 'supply'), of('test', 'repair'), formOf(undefined)]).toEqual(
    Array(4).fill(null),
  );
});

describe('how the forms of a check stand', () => {
  test.each(FORM_STATIONS)('%s is to do on a new check', (id) => {
    expect(stateOf(id).state).toBe('todo');
  });
  test('readings: the quick check is settled by one that counts; the list also tells those that are voided', () => {
    const voided = { voided: { reason: 'x', at: NOW } };
    expect(seen('quick', (j) => j.readings.push(reading('1')))).toEqual(['settled', '']);
    expect(seen('quick', (j) => j.readings.push(reading('1', voided), reading('2', { value: null })))[0]).toBe('todo');
    expect(seen('readings', (j) => j.readings.push(reading('1')))).toEqual(['settled', '']);
    expect(seen('readings', (j) => j.readings.push(reading('1', voided)))).toEqual(['settled', say.voided(1)]);
  });
  test('complaint: its first code; symptoms that contradict each other are odd', () => {
    expect(seen('complaint', (j) => (j.complaint.text = 'no heat'))).toEqual(['settled', '']);
    const code = { id: 'c', code: 'P0118', state: 'present' } as const;
    expect(seen('complaint', (j) => j.complaint.codes.push(code))).toEqual(['settled', 'P0118']);
    expect(seen('complaint', (j) => j.complaint.symptoms.push('fans-never', 'gauge-high'))[0]).toBe('odd');
  });
  test('right sensor: odd where another plug was measured', () => {
    const tried = (measuredPlugId: string) => (j: Job) =>
      (j.rightSensor = {
        ...j.rightSensor,
        plugs: [
          { id: 'A', name: 'A' },
          { id: 'B', name: 'B' },
        ],
        values: [{ id: 'a', name: 'a' }],
        trials: [{ id: 't', plugId: 'A', how: 'unplugged', movedId: 'a' }],
        wantedValueId: 'a',
        measuredPlugId,
      });
    expect(seen('right-sensor', tried('A'))).toEqual(['settled', '']);
    expect(seen('right-sensor', tried('B'))).toEqual(['odd', say.wrongPlug]);
  });
  test('right sensor: trials that contradict each other are odd, too', () => {
    const twice = (j: Job): void => {
      j.rightSensor = {
        ...j.rightSensor,
        plugs: ['A', 'B'].map((id) => ({ id, name: id })),
        values: [{ id: 'a', name: 'a' }],
        trials: ['A', 'B'].map((plugId) => ({ id: plugId, plugId, how: 'unplugged', movedId: 'a' })),
        wantedValueId: 'a',
      };
    };
    expect(seen('right-sensor', twice)[0]).toBe('odd');
  });
  test('look: findings and photos together', () => {
    expect(seen('look', (j) => j.findings.push('corrosion', 'chafed'))).toEqual(['settled', say.noted(2)]);
    const photo = { id: 'p', caption: '', takenAt: NOW } as unknown as Job['photos'][number];
    expect(seen('look', (j) => (j.findings.push('corrosion'), j.photos.push(photo, { ...photo, id: 'q' })))).toEqual([
      'settled',
      say.noted(3),
    ]);
  });
  test('compare: settled with the number of its pairs; odd where one of them jumps', () => {
    const pairs = (shares: number[]) => (j: Job) => {
      const { curve } = checkJob(j).problem!.circuit;
      j.comparison.pairs = [0, 40, 80].map((t, i) => ({
        ...{ id: `p${i}`, sensor: 'this', phase: 'heating' },
        temperatureC: { text: `${t} °C`, value: t },
        resistanceOhm: { text: '', value: Math.round(shares[i] * curve.resistanceOhm(t)) },
      })) as Job['comparison']['pairs'];
    };
    expect(seen('compare', pairs([1, 1, 1]))).toEqual(['settled', say.pairs(3)]);
    expect(seen('compare', pairs([1, 9, 1]))).toEqual(['odd', say.pairs(3)]);
  });
  test('where: settled with the place once it is known, on this very harness', () => {
    const withStop = (j: Job): void => {
      j.loom = { ...newHarness(), stops: [newStop('a', 'connector')] };
    };
    const where = (connectors: number, known: { from: number; to: number } | null): Known => ({
      ...NOTHING,
      advice: { where: { connectors, known } as PlaceAdvice } as Known['advice'],
    });
    const job = newJob('a', NOW);
    withStop(job);
    expect(seen('where', withStop, where(1, { from: 2, to: 3 }))).toEqual(['settled', placeName(job.loom, 2)]);
    expect(seen('where', withStop, where(1, null))).toEqual(['todo', '']);
    expect(seen('where', withStop, where(2, { from: 2, to: 3 }))).toEqual(['todo', '']);
    expect(seen('where', () => undefined, where(0, { from: 0, to: 1 }))).toEqual(['todo', '']);
  });
  test('worth it: settled once prices are known', () => {
    expect(seen('worth', (j) => (j.worth.hourPrice = figure(70)))).toEqual(['settled', '']);
    expect(seen('worth', (j) => (j.worth.hourPrice = figure(0)))).toEqual(['todo', '']);
  });
  test('decision: the leading chance until it is made; odd where it is not the program’s', () => {
    const known = (kind: string): Known =>
      ({
        ...NOTHING,
        result: { assessment: { groups: [{ group: 'wiring', probability: 0.92 }], doubt: { kind } } },
      }) as unknown as Known;
    expect(seen('decision', () => undefined, known('none'))).toEqual(['todo', '92\u00a0%'.replace('\u00a0', ' ')]);
    expect(seen('decision', () => undefined, known('no-readings'))).toEqual(['todo', '']);
    const decided = (group: 'wiring' | 'sensor') => (j: Job) =>
      (j.decision = {
        group,
        toolGroup: 'wiring',
        probability: 0.9,
        reason: '',
        at: NOW,
      } as unknown as Job['decision']);
    expect(seen('decision', decided('wiring'))[0]).toBe('settled');
    expect(seen('decision', decided('sensor'))[0]).toBe('odd');
  });
  test('repair and proof: a stand-in that is still fitted is odd; proved is settled', () => {
    expect(seen('repair', (j) => (j.repair.doneAt = NOW))).toEqual(['settled', say.done]);
    const standIn = (removedAt: string | null) => (j: Job) =>
      (j.repair = { ...j.repair, doneAt: NOW, standIn: { what: 'x', since: NOW, removeBy: '', removedAt } as never });
    expect(seen('repair', standIn(null))[0]).toBe('odd');
    expect(seen('repair', standIn(NOW))[0]).toBe('settled');
    expect(seen('proof', (j) => (j.proof.steps = {}))).toEqual(['todo', '']);
    expect(seen('proof', (j) => (j.proof.steps = { cleared: 'done' } as never))).toEqual(['todo', say.begun]);
    const closed = (how: 'proved' | 'unproved') => (j: Job) => (j.closed = { how, at: NOW, reason: '' } as never);
    expect(seen('proof', closed('proved'))).toEqual(['settled', 'verified']);
    expect(seen('proof', closed('unproved'))).toEqual(['odd', 'not verified']);
  });
});
