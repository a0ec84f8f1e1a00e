import { benchMeter } from '../core/src/intake/instruments/benchMeter.ts';
import { busLog } from '../core/src/intake/instruments/busLog.ts';
import type { Driver } from '../core/src/intake/instruments/heard.ts';
import { type Sample, standStill } from '../core/src/intake/instruments/standStill.ts';
import { thermometerLine } from '../core/src/intake/instruments/thermometerLine.ts';
import { vehicleAdapter } from '../core/src/intake/instruments/vehicleAdapter.ts';
import { analyseLog } from '../core/src/intake/logs/analyseLog.ts';
import { EVENT_KINDS } from '../core/src/intake/logs/finding.ts';
import { findEvents } from '../core/src/intake/logs/events/findEvents.ts';
import { logSettingOf } from '../core/src/intake/logs/settingOf.ts';
import { seededUniform } from '../core/src/base/numeric/random.ts';
import { eventLog, samePlanted } from '../core/src/training/simulation/eventLog.ts';
import { machineCase } from '../core/src/training/simulation/machine/machineCase.ts';
import { driveBench, type Planned } from '../core/src/training/simulation/standIns/driveBench.ts';
import { standInBench, type StandInId } from '../core/src/training/simulation/standIns/standInBench.ts';

/** How well logs are read: events found, wiggled places named, garbled answers refused. */
const line = (what: string, ...figures: string[]): void => console.log(`${what}: ${figures.join(', ')}`);

function events(from: number, count: number): void {
  const kinds = new Map(EVENT_KINDS.map((k) => [k, { planted: 0, hit: 0, found: 0, right: 0 }]));
  for (let seed = from; seed < from + count; seed++) {
    const log = eventLog(seed, 1 + (seed % 4));
    const found = findEvents(log.timeS, log.values, log.quantity);
    const beside = 3 * log.timeS[1];
    for (const p of log.planted) {
      const k = kinds.get(p.kind)!;
      k.planted++;
      if (found.some((e) => samePlanted(p, e, beside))) k.hit++;
    }
    for (const e of found) {
      const k = kinds.get(e.kind)!;
      k.found++;
      if (log.planted.some((p) => samePlanted(p, e, beside))) k.right++;
    }
  }
  const all = [...kinds.values()];
  const sum = (pick: (k: (typeof all)[number]) => number): number => all.reduce((a, k) => a + pick(k), 0);
  line(
    `${count} logs from ${from}`,
    `recall ${(sum((k) => k.hit) / sum((k) => k.planted)).toFixed(3)} of ${sum((k) => k.planted)}`,
    `precision ${(sum((k) => k.right) / sum((k) => k.found)).toFixed(3)} of ${sum((k) => k.found)}`,
    ...[...kinds].map(([name, k]) => `${name} ${k.hit}/${k.planted} found, ${k.right}/${k.found} right`),
  );
}

function clean(from: number, count: number): void {
  let [alarms, logs] = [0, 0];
  for (let seed = from; seed < from + count; seed++) {
    const log = eventLog(seed, 0);
    const n = findEvents(log.timeS, log.values, log.quantity).length;
    alarms += n;
    if (n > 0) logs++;
  }
  line(`${count} clean logs`, `${alarms} false alarms in ${logs} of them`);
}

/** Recorded from the stand-ins: three places, wiggled one after the other, twice; now and then it drops out by itself. */
function wiggle(count: number): void {
  const { places } = machineCase('loose-plug');
  let [right, wrong, silent, many, toldOfMany] = [0, 0, 0, 0, 0];
  for (let seed = 1; seed <= count; seed++) {
    const uniform = seededUniform(seed);
    // The engine plug is the bad one; as many places of other names lie about it in another order.
    const order = [...places].sort(() => uniform() - 0.5);
    const eachS = 8 + 20 * uniform();
    const plan: Planned[] = [{ atS: 0, acts: [{ act: 'key', to: 'on' }] }];
    [...order, ...order].forEach((place, k) => {
      const fromS = 10 + k * (eachS + 4);
      plan.push(
        {
          atS: fromS,
          acts: [{ act: 'wiggle', place }],
          mark: { kind: 'wiggling', fromS, toS: fromS + eachS, place, text: '' },
        },
        { atS: fromS + eachS, acts: [{ act: 'wiggle', place: null }] },
      );
    });
    const log = driveBench(standInBench('loose-plug', seed), 20 + 6 * (eachS + 4), ['adapter'], 0.25, plan);
    const { findings } = analyseLog(log, logSettingOf({ 'adapter 05': 'displayed' }, null));
    const w = findings.flatMap((f) => (f.kind === 'wiggle' ? [f] : []))[0];
    const named = w?.place ?? null;
    if (named === null) silent++;
    else if (named === 'engine plug') right++;
    else wrong++;
    const under = w?.places.find((p) => p.place === 'engine plug')?.count ?? 0;
    if (under >= 5) {
      many++;
      if (named === 'engine plug') toldOfMany++;
    }
  }
  line(
    `wiggled among three, ${count} logs`,
    `right ${right}, not told ${silent}, wrong ${wrong}`,
    `named in ${toldOfMany} of ${many} with five or more drop-outs under the mark`,
  );
}

/** Answers turned, cut, lost or doubled on the way, until so many were; a value that is taken must be one that the machine shows. */
function garbled(count: number): void {
  const talks: readonly [StandInId, () => Driver, (v: number, channel: string) => boolean][] = [
    ['meter', () => benchMeter(0.1), (v) => v > 2 && v < 3.6],
    ['adapter', () => vehicleAdapter(0.1), (v) => v > 8 && v < 30],
    ['bus', busLog, (v) => v > 8 && v < 30],
    ['thermometer', thermometerLine, (v) => v > 8 && v < 30],
  ];
  for (const [device, make, sound] of talks) {
    const bench = standInBench('sound', 4);
    bench.machine.do({ act: 'key', to: 'on' });
    const uniform = seededUniform(99);
    const driver = make();
    const recent: Sample[] = [];
    let [torn, taken, wrong, stoodWrong] = [0, 0, 0, 0];
    for (let now = 0; torn < count / talks.length; now += 0.02) {
      const { send, heard: told } = driver.step(now);
      bench.devices[device].receive(send, now);
      let text = bench.devices[device].take(now);
      if (text !== '' && uniform() < 0.5) {
        torn++;
        const at = Math.floor(uniform() * text.length);
        const how = uniform();
        const letter = String.fromCharCode(33 + Math.floor(90 * uniform()));
        if (how < 0.25) text = text.slice(0, at);
        else if (how < 0.5) text = text.slice(0, at) + text.slice(at + 1);
        else if (how < 0.8) text = text.slice(0, at) + letter + text.slice(at + 1);
        else text += text;
      }
      for (const h of [...told, ...driver.hear(text, now)]) {
        if (h.kind !== 'sample') continue;
        taken++;
        if (!sound(h.value, h.channel)) wrong++;
        recent.push({ timeS: h.timeS, value: h.value });
        if (recent.length > 40) recent.shift();
        const s = standStill(recent, device === 'meter' ? 'volts' : 'celsius');
        if (s.still && !sound(s.value, h.channel)) stoodWrong++;
      }
    }
    line(
      `garbled answers, ${device}`,
      `${torn} torn`,
      `${taken} values taken`,
      `${wrong} of them wrong`,
      `${stoodWrong} wrong ones taken by standing still`,
    );
  }
}

// The sets from 1, 20 001 and 40 001 were looked at while the rules were made.
events(60_001, 400);
events(80_001, 400);
for (const from of [5001, 90_001, 91_001]) clean(from, 100);
wiggle(100);
garbled(10_000);
