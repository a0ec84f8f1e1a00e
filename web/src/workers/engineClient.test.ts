import { checkJob } from '@mellow-probe/core/check/job/checkJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import { assess } from '@mellow-probe/core/inference/verdict/assessment';
import * as Comlink from 'comlink';
import { describe, expect, test, vi } from 'vitest';
import { engine } from './engine.ts';
import type { Engine, Part } from './engineAnswer.ts';
import { EngineError, engineLine } from './engineClient.ts';

/** A worker of the tests: the given engine at the other end of a real message channel. */
class FakeWorker extends EventTarget {
  terminated = false;
  private readonly port: MessagePort;
  constructor(what: Partial<Engine>) {
    super();
    const { port1, port2 } = new MessageChannel();
    this.port = port1;
    Comlink.expose(what, port2);
    port1.start();
  }
  postMessage(message: unknown, transfer: Transferable[] = []): void {
    this.port.postMessage(message, transfer as never);
  }
  override addEventListener(type: string, listener: never): void {
    if (type === 'message') this.port.addEventListener('message', listener);
    else super.addEventListener(type, listener);
  }
  override removeEventListener(type: string, listener: never): void {
    if (type === 'message') this.port.removeEventListener('message', listener);
    else super.removeEventListener(type, listener);
  }
  start(): void {}
  terminate(): void {
    this.terminated = true;
    this.port.close();
  }
}

const JOB = newJob('a', '2026-01-02T03:04:05.000Z');
function lineOf(engines: Partial<Engine>[], patienceMs = 5000) {
  const workers: FakeWorker[] = [];
  const make = (): Worker => {
    const worker = new FakeWorker(engines[Math.min(workers.length, engines.length - 1)]);
    workers.push(worker);
    return worker as unknown as Worker;
  };
  return { line: engineLine(make, patienceMs), workers };
}
const close = (workers: FakeWorker[]): void => workers.forEach((w) => w.terminate());

describe('the line to the engine', () => {
  test('tells the parts in order, from the real engine, over a real channel; charts only where wanted', async () => {
    const { line, workers } = lineOf([engine]);
    const parts: Part[] = [];
    await line.judge(JOB, false, (part) => (parts.push(part), true));
    expect(parts.map((p) => p.kind)).toEqual(['verdict', 'advice']);
    parts.length = 0;
    await line.judge(JOB, true, (part) => (parts.push(part), true));
    expect(parts.map((p) => p.kind)).toEqual(['verdict', 'chart', 'advice']);
    expect(await line.withoutEach(JOB)).toEqual([]);
    expect(workers).toHaveLength(1);
    close(workers);
  });
  test('stops where the answer is no longer wanted; an incomplete circuit has no advice', async () => {
    const { line, workers } = lineOf([engine]);
    const parts: string[] = [];
    await line.judge(JOB, true, (part) => (parts.push(part.kind), false));
    expect(parts).toEqual(['verdict']);
    parts.length = 0;
    const bare = { ...JOB, circuit: { ...JOB.circuit, referenceV: { text: '', value: null } } };
    await line.judge(bare, true, (part) => (parts.push(part.kind), true));
    expect(parts).toEqual(['verdict']);
    expect(await line.withoutEach(bare)).toEqual([]);
    close(workers);
  });
  test('what it remembers of a circuit is forgotten with it: each answer is that of a fresh engine', async () => {
    const { line, workers } = lineOf([engine]);
    const entry = (text: string, value: number) => ({ text, value });
    const told = (job: Job): Job => ({
      ...job,
      readings: [newReading('r', 'open-voltage-return', { text: '4.8', value: 4.8 })],
    });
    const warm = { ...JOB, temperatureC: entry('60', 60) };
    const lower = { ...JOB, circuit: { ...JOB.circuit, referenceV: entry('3.3', 3.3) } };
    const coarse = { ...JOB, kit: { ...JOB.kit, thermometer: 'infra-red' as const } };
    for (const job of [JOB, told(JOB), warm, told(warm), lower, coarse, JOB]) {
      const parts: Part[] = [];
      await line.judge(job, false, (part) => (parts.push(part), false));
      const [first] = parts;
      expect(first.kind === 'verdict' && first.answer.result?.assessment.healthy).toEqual(
        assess(checkJob(job).problem!).healthy,
      );
    }
    close(workers);
  });
  test('an engine that throws is said with its words, and goes on', async () => {
    let times = 0;
    const odd: Partial<Engine> = {
      judge: (job, chart, tell) =>
        times++ === 0 ? Promise.reject(new Error('singular')) : engine.judge(job, chart, tell),
    };
    const { line, workers } = lineOf([odd]);
    const error = await line.judge(JOB, false, () => true).catch((e: unknown) => e);
    expect(error).toBeInstanceOf(EngineError);
    expect((error as EngineError).fault).toEqual({ why: 'threw', message: 'singular' });
    await line.judge(JOB, false, () => true);
    expect(workers).toHaveLength(1);
    close(workers);
  });
  test('one that hangs is ended within bounds, and the next question meets a fresh one', async () => {
    const hangs: Partial<Engine> = { judge: () => new Promise(() => undefined) };
    const { line, workers } = lineOf([hangs, engine], 60);
    const error = (await line.judge(JOB, false, () => true).catch((e: unknown) => e)) as EngineError;
    expect(error.fault.why).toBe('silent');
    expect(workers[0].terminated).toBe(true);
    await line.judge(JOB, false, () => true);
    expect(workers).toHaveLength(2);
    close(workers);
  });
  test('one that tells something now and then is not silent', async () => {
    const slow: Partial<Engine> = {
      async judge(_job, _chart, tell) {
        for (let i = 0; i < 4; i++) {
          await new Promise((r) => setTimeout(r, 50));
          await tell({ kind: 'advice', advice: null });
        }
      },
    };
    const { line, workers } = lineOf([slow], 120);
    const tell = vi.fn(() => true);
    await line.judge(JOB, false, tell);
    expect(tell).toHaveBeenCalledTimes(4);
    close(workers);
  });
  test('one that cannot be loaded is told so, and tried anew', async () => {
    const { line, workers } = lineOf([{ judge: () => new Promise(() => undefined) }, engine]);
    const asked = line.judge(JOB, false, () => true).catch((e: unknown) => e);
    workers[0].dispatchEvent(Object.assign(new Event('error', { cancelable: true }), { message: 'not found' }));
    expect((await asked) as EngineError).toMatchObject({ fault: { why: 'stopped', message: 'not found' } });
    await new Promise((r) => setTimeout(r, 5));
    expect(workers[0].terminated).toBe(true);
    await line.judge(JOB, false, () => true);
    expect(workers).toHaveLength(2);
    close(workers);
  });
});
