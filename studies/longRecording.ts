// Two hours of recording at ten values a second on two channels, one of which is lost and comes back twice, through the code that records and stores: is
// every value there, and how long is the log? Part of `npm run campaign`. Argument: hours (2).
import 'fake-indexeddb/auto';
import { noteReliability } from '../scripts/noteReliability.ts';

const hours = Number(process.argv[2] ?? 2);
const RATE = 10;
const VOLTS = { id: 'meter volts', name: 'Meter, volts', quantity: 'volts' } as const;
const COOLANT = { id: 'adapter 05', name: 'Coolant', quantity: 'celsius' } as const;

// A browser's names for what the store asks for, and a clock that runs as fast as the values come.
Object.assign(globalThis, {
  ...{ window: globalThis, self: globalThis, addEventListener: () => undefined },
  location: new URL('http://127.0.0.1/'),
});
let flush: () => void = () => undefined;
Object.assign(globalThis, { setInterval: (call: () => void) => ((flush = call), 1), clearInterval: () => undefined });
const { foldRecording, putChunk, putHead, readRecording } = await import('../web/src/data/storage/recordingStorage.ts');
const { FLUSH_MS, recorder } = await import('../web/src/data/stores/live/recorder.ts');

const lostAtS = [0.3, 0.7].map((share) => share * hours * 3600);
const isLost = (s: number): boolean => lostAtS.some((from) => s >= from && s < from + 300);
const failed: unknown[] = [];
const head = {
  ...{ id: 'long', title: 'A long one', job: null, startedAt: '2026-12-01T08:00:00Z', endedAt: null },
  ...{ from: 'recorded' as const, channels: [], marks: [], samples: 0, lengthS: 0 },
};
const own = recorder(head, 0, { putHead, putChunk }, (error) => void failed.push(error));
let [sent, worstMb] = [0, 0];
for (let k = 0; k < hours * 3600 * RATE; k++) {
  const s = k / RATE;
  own.sample(VOLTS, s, 2.5 + 0.001 * (k % 7));
  sent++;
  if (!isLost(s)) {
    own.sample(COOLANT, s + 0.03, 80 + 0.1 * (k % 5));
    sent++;
  }
  if ((1000 * s) % FLUSH_MS === 0) {
    flush();
    await new Promise((done) => setTimeout(done, 0));
  }
  if (k % 6000 === 0) worstMb = Math.max(worstMb, process.memoryUsage().heapUsed / 1e6);
}
await own.stop('2026-12-01T10:00:00Z', hours * 3600);
await foldRecording('long');
const read = (await readRecording('long'))!;
const values = read.log.channels.reduce((sum, c) => sum + c.values.filter((v) => !Number.isNaN(v)).length, 0);
const coolant = read.log.channels.find((c) => c.name === 'Coolant')!;
const inGaps = coolant.values.filter((v, i) => !Number.isNaN(v) && isLost(read.log.timeS[i] - 0.03)).length;
const lengthS = read.log.timeS[read.log.timeS.length - 1] - read.log.timeS[0];
const told = `${hours} h at ${RATE} a second, one channel lost and back twice: ${sent} values sent, ${values} in the log, ${inGaps} where it was lost, ${failed.length} writes failed, ${read.lost} chunks unreadable; ${(lengthS / 3600).toFixed(2)} h long; heap at most ${worstMb.toFixed(0)} MB (bar: none missing)`;
console.log(told);
noteReliability('a long recording', told);
process.exit(sent === values && inGaps === 0 && failed.length === 0 ? 0 : 1);
