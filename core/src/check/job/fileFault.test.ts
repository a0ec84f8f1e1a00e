import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import type { Job } from './jobSchema.ts';
import { newMoment } from './moments.ts';
import { newJob } from './newJob.ts';
import { newReading } from './newReading.ts';
import { openJob, saveJob } from './openJob.ts';

const NOW = '2026-01-02T03:04:05.000Z';
function faultOf(change: (job: Job) => void): string {
  const job = newJob('a', NOW);
  change(job);
  const opened = openJob(saveJob(job));
  if (opened.ok) return 'ok';
  return opened.reason === 'bad-field' ? `${opened.path.join('.')}: ${opened.detail}` : opened.reason;
}

describe('a file that contradicts itself is not taken', () => {
  test('two things of one id', () => {
    const read = (id: string) => newReading(id, 'open-voltage', { text: '5', value: 5 });
    expect(faultOf((j) => (j.readings = [read('x'), read('y')]))).toBe('ok');
    expect(faultOf((j) => (j.readings = [read('x'), read('y'), read('x')]))).toBe('readings.2.id: the same id twice');
    const photo = { id: 'p', caption: '', takenAt: NOW, image: null };
    expect(faultOf((j) => (j.photos = [photo, photo]))).toBe('photos.1.id: the same id twice');
    const code = { id: 'c', code: 'P0118', state: 'present' as const };
    expect(faultOf((j) => (j.complaint.codes = [code, code]))).toBe('complaint.codes.1.id: the same id twice');
    const plug = { id: 'p', name: '' };
    expect(faultOf((j) => (j.rightSensor.plugs = [plug, plug]))).toBe('rightSensor.plugs.1.id: the same id twice');
  });
  test('a value that its text does not say; °F and OL are read as they were typed', () => {
    expect(faultOf((j) => (j.moments[0].temperatureC = { text: '20', value: 1e308 }))).toMatch(
      /^moments.0.temperatureC.value: the value is not/,
    );
    expect(faultOf((j) => (j.moments[0].temperatureC = { text: '68', value: 20 }))).toBe('ok');
    expect(faultOf((j) => (j.moments[0].temperatureC = { text: '18…24', value: 21 }))).toBe('ok');
    expect(faultOf((j) => (j.circuit.pullUpOhm = { text: '2k49', value: 2490 }))).toBe('ok');
    expect(faultOf((j) => (j.circuit.pullUpOhm = { text: '2k49', value: 249 }))).toMatch(/^circuit.pullUpOhm.value/);
    const reads = (text: string, value: number | 'OL') => (j: Job) => {
      j.readings = [newReading('x', 'sensor-ohms', { text, value })];
    };
    expect(faultOf(reads('OL', 'OL'))).toBe('ok');
    expect(faultOf(reads('OL', 5))).toMatch(/^readings.0.value/);
    expect(faultOf(reads('2.2k', 'OL'))).toMatch(/^readings.0.value/);
    expect(faultOf(reads('2.2k', 2200))).toBe('ok');
    // What is not understood today may have been understood once.
    expect(faultOf(reads('about that', 2200))).toBe('ok');
    expect(faultOf((j) => (j.proof.readings = [{ measurement: 'displayed', text: '20', value: 21 }]))).toMatch(
      /^proof.readings.0/,
    );
  });
  test('moments that are not those of every check, and readings that belong to none of them', () => {
    const read = (state: 'steady' | 'hot' | 'wiggling', moment: string) => (j: Job) => {
      j.readings = [newReading('x', 'open-voltage', { text: '5', value: 5, state, moment })];
    };
    expect(faultOf(read('steady', 'steady'))).toBe('ok');
    expect(faultOf(read('wiggling', 'hot'))).toBe('ok');
    expect(faultOf(read('steady', 'noon'))).toBe('readings.0.moment: no such moment');
    expect(faultOf(read('hot', 'steady'))).toMatch(/^readings.0.moment: hot readings belong/);
    expect(faultOf(read('steady', 'hot'))).toMatch(/^readings.0.moment: hot readings belong/);
    expect(faultOf((j) => j.moments.reverse())).toBe('moments.0.id: this must be the moment “steady”');
    expect(faultOf((j) => (j.moments[1].state = 'steady'))).toBe('moments.1.id: this must be the moment “hot”');
    expect(faultOf((j) => j.moments.push(newMoment('hot', 'hot')))).toBe('moments.2.id: the same id twice');
    expect(faultOf((j) => (j.moments = [j.moments[0]]))).toMatch(/^moments: /);
  });
  test('closed as proved without any proof', () => {
    const closed = { at: NOW, how: 'proved', reason: '' } as const;
    expect(faultOf((j) => (j.closed = closed))).toBe('closed: closed as proved, and without any proof');
    expect(faultOf((j) => (j.closed = { ...closed, how: 'unproved' }))).toBe('ok');
    const proved = (j: Job): void => {
      j.closed = closed;
      j.proof.readings = [{ measurement: 'displayed', text: '20', value: 20 }];
    };
    expect(faultOf(proved)).toBe('ok');
  });
  test('every check of the demo and of the examples is taken', () => {
    const folder = path.resolve(import.meta.dirname, '../../../../examples/demo');
    for (const file of readdirSync(folder))
      expect(openJob(readFileSync(path.join(folder, file), 'utf8')).ok, file).toBe(true);
  });
});
