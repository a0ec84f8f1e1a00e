import { describe, expect, test } from 'vitest';
import { python } from '../../../test/python.ts';
import { catalogueCircuit } from '../../catalogue/parts/catalogueCircuit.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { eventLog, samePlanted } from '../../training/simulation/eventLog.ts';
import { MACHINE_CASES } from '../../training/simulation/machine/machineCase.ts';
import { driveBench, type Planned } from '../../training/simulation/standIns/driveBench.ts';
import { standInBench } from '../../training/simulation/standIns/standInBench.ts';
import { evidenceOf, applyEvidence, type LogEvidence } from '../../check/job/logEvidence.ts';
import { groupProbabilities } from '../../inference/verdict/assessment.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { checkJob } from '../../check/job/checkJob.ts';
import { CATALOGUE_CIRCUITS } from '../../catalogue/parts/circuits.ts';
import { newJob } from '../../check/job/newJob.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { FINDINGS } from '../../catalogue/parts/findings.ts';
import { findingText } from '../../wording/findingText.ts';
import { cycleText } from '../../wording/liveText.ts';
import { evidenceText } from '../../wording/logText.ts';
import { merged, offsetByClock, offsetByCourse } from './align.ts';
import type { ChannelRole } from './channelRoles.ts';
import { analyseLog, type LogAnalysis } from './analyseLog.ts';
import { blocksOf, valueAt } from './blocks.ts';
import { decimate } from './decimate.ts';
import { dividerCloud } from './dividerCloud.ts';
import { findEvents } from './events/findEvents.ts';
import type { FindingKind, Found } from './finding.ts';
import { judgeCycle } from './heatCycle.ts';
import type { Log, Mark } from './log.ts';
import { parseLog } from './parseLog.ts';
import { logSettingOf } from './settingOf.ts';
import { binomialAtLeast, underMarks, wigglePlaces } from './underMarks.ts';
import { airDips } from './warmUp.ts';

const normal = (uniform: () => number): number => normalQuantile(uniform());

describe('counting marks', () => {
  test('a chance of at least k of n: scipy.stats.binom', () => {
    const own = [binomialAtLeast(12, 0.1, 4), binomialAtLeast(30, 0.02, 1), binomialAtLeast(5, 0.5, 0)];
    const theirs = python(
      'import json\nfrom scipy.stats import binom\nprint(json.dumps([binom.sf(3,12,.1),binom.sf(0,30,.02),1.0]))',
    ) as number[];
    own.forEach((p, i) => expect(p).toBeCloseTo(theirs[i], 9));
  });
});

describe('decimation draws the same picture (M4: first, least, greatest, last of each column)', () => {
  const uniform = seededUniform(5);
  const n = 20_000;
  const timeS = Float64Array.from({ length: n }, (_, i) => i * 0.05);
  const values = timeS.map((t) => 80 + Math.sin(t / 50) + 0.2 * normal(uniform));
  values[7777] = -40;
  for (let i = 12_000; i < 12_050; i++) values[i] = NaN;
  test('against the plain definition, column by column', () => {
    const columns = 300;
    const at = [...decimate(timeS, values, columns)];
    expect(at.length).toBeLessThan(5 * columns + 1);
    expect(at).toContain(7777);
    const span = timeS[n - 1] - timeS[0];
    for (let c = 0; c < columns; c++) {
      const inside = [...timeS.keys()].filter(
        (i) => timeS[i] >= (span * c) / columns && (c === columns - 1 || timeS[i] < (span * (c + 1)) / columns),
      );
      const finite = inside.filter((i) => !Number.isNaN(values[i]));
      if (finite.length === 0) continue;
      const own = at.filter((i) => inside.includes(i));
      const of = (pick: (...v: number[]) => number): number => pick(...finite.map((i) => values[i]));
      expect(own).toContain(finite[0]);
      expect(own).toContain(finite[finite.length - 1]);
      expect(Math.min(...own.filter((i) => !Number.isNaN(values[i])).map((i) => values[i]))).toBe(of(Math.min));
      expect(Math.max(...own.filter((i) => !Number.isNaN(values[i])).map((i) => values[i]))).toBe(of(Math.max));
    }
    expect(at.some((i) => Number.isNaN(values[i]))).toBe(true);
  });
  test('few samples are all drawn', () => {
    // Equal values: the first of them is drawn; a column of gaps alone is drawn as one gap, without a first sample.
    const flat = new Float64Array(40).fill(7);
    expect([
      ...decimate(
        Float64Array.from(flat, (_, i) => i),
        flat,
        1,
      ),
    ]).toEqual([0, 39]);
    const gaps = Float64Array.from(flat, (_, i) => (i < 20 ? NaN : i === 30 ? 9 : i === 25 ? 3 : 7));
    expect([
      ...decimate(
        Float64Array.from(flat, (_, i) => i),
        gaps,
        2,
      ),
    ]).toEqual([19, 20, 25, 30, 39]);
    expect([...decimate(timeS, values, 300, 100, 900)]).toEqual(Array.from({ length: 800 }, (_, i) => 100 + i));
  });
});

describe('events', () => {
  test('of 60 made-up logs with known events: recall and precision', () => {
    let [planted, hit, found, right] = [0, 0, 0, 0];
    for (let seed = 101; seed <= 160; seed++) {
      const log = eventLog(seed, 1 + (seed % 4));
      const events = findEvents(log.timeS, log.values, log.quantity);
      const beside = 3 * log.timeS[1];
      planted += log.planted.length;
      hit += log.planted.filter((p) => events.some((e) => samePlanted(p, e, beside))).length;
      found += events.length;
      right += events.filter((e) => log.planted.some((p) => samePlanted(p, e, beside))).length;
    }
    expect(planted).toBeGreaterThan(90);
    expect(hit / planted).toBeGreaterThan(0.92);
    expect(right / found).toBeGreaterThan(0.92);
  });
  test('of 40 clean ones: at most one alarm', () => {
    let alarms = 0;
    for (let seed = 7001; seed <= 7040; seed++) {
      const log = eventLog(seed, 0);
      alarms += findEvents(log.timeS, log.values, log.quantity).length;
    }
    expect(alarms).toBeLessThanOrEqual(1);
  });

  const timeS = Float64Array.from({ length: 600 }, (_, i) => i * 0.5);
  const noise = seededUniform(8);
  const base = timeS.map((t) => Math.round((60 + t / 30 + 0.1 * normal(noise)) * 10) / 10);
  const withAt = (change: (v: Float64Array) => void): Float64Array => {
    const v = Float64Array.from(base);
    change(v);
    return v;
  };
  const kinds = (v: Float64Array): string[] => findEvents(timeS, v, 'celsius').map((e) => e.kind);
  test('nothing in a slow quiet course', () => expect(kinds(base)).toEqual([]));
  test('one sample at the end of the scale is a drop-out, with where it came from', () => {
    const [e, ...rest] = findEvents(
      timeS,
      withAt((v) => (v[300] = -40)),
      'celsius',
    );
    expect(rest).toEqual([]);
    expect(e).toMatchObject({ kind: 'drop-out', fromS: 150, toS: 150, samples: 1, end: 'low', level: -40 });
    expect(e.before).toBeCloseTo(65, 0);
  });
  test('a drop-out to the end of the log, and one to the other end', () => {
    expect(kinds(withAt((v) => v.fill(-40, 400)))).toEqual(['drop-out']);
    const [high] = findEvents(
      timeS,
      withAt((v) => v.fill(150, 200, 220)),
      'celsius',
    );
    expect(high).toMatchObject({ kind: 'drop-out', end: 'high', samples: 20 });
  });
  test('a step stays, a spike comes back, and neither is the other', () => {
    expect(kinds(withAt((v) => v.subarray(300).forEach((x, i) => (v[300 + i] = x - 8))))).toEqual(['step']);
    expect(kinds(withAt((v) => v.subarray(300, 306).forEach((x, i) => (v[300 + i] = x + 8))))).toEqual(['spike']);
  });
  test('a stretch that stands in a noisy series; a rush no metal follows', () => {
    expect(kinds(withAt((v) => v.fill(v[200], 200, 260)))).toEqual(['stuck']);
    const rush = withAt((v) => {
      for (let i = 300; i < 600; i++) v[i] += Math.min(30, 2.6 * (i - 300));
    });
    expect(kinds(rush)).toEqual(['rate']);
  });
  test('noise that is many times wider for a while', () => {
    const u = seededUniform(3);
    expect(kinds(withAt((v) => v.subarray(200, 280).forEach((x, i) => (v[200 + i] = x + 2 * normal(u)))))).toEqual([
      'noise',
    ]);
  });
  test('OL between ohms is a drop-out; OL from the start is a meter with free leads', () => {
    const ohms = base.map((v) => 2000 - 5 * v);
    expect(
      findEvents(
        timeS,
        ohms.map((v, i) => (i > 100 && i < 110 ? Infinity : v)),
        'ohms',
      ).map((e) => e.kind),
    ).toEqual(['drop-out']);
    expect(
      findEvents(
        timeS,
        ohms.map((v, i) => (i < 20 ? Infinity : v)),
        'ohms',
      ),
    ).toEqual([]);
  });
  test('a value that creeps to the end of its scale is no drop-out', () => {
    const creeping = timeS.map((t) => Math.max(-40, -30 - t / 20));
    expect(findEvents(timeS, creeping, 'celsius').filter((e) => e.kind === 'drop-out')).toEqual([]);
  });
});

describe('wiggling', () => {
  const mark = (place: string, fromS: number, toS: number): Mark => ({ kind: 'wiggling', fromS, toS, place, text: '' });
  const marks = [mark('a', 10, 40), mark('b', 50, 80), mark('c', 90, 120)];
  test('drop-outs under one place name it; spread out they name none', () => {
    expect(wigglePlaces([52, 55, 61, 70, 78], marks, 300)).toMatchObject({ place: 'b' });
    expect(wigglePlaces([12, 55, 95, 200, 250], marks, 300)).toMatchObject({ place: null });
    expect(wigglePlaces([55], marks, 300)).toMatchObject({ place: null });
    expect(wigglePlaces([], marks, 300)).toBeNull();
    expect(wigglePlaces([55], [], 300)).toBeNull();
  });
  test('the probabilities and that of none sum to one; the hand is quicker than the key', () => {
    const w = wigglePlaces([52, 200], marks, 300)!;
    expect(w.places.reduce((a, p) => a + p.probability, w.none)).toBeCloseTo(1, 9);
    expect(wigglePlaces([49.8], marks, 300)!.places[1].count).toBe(1);
    expect(wigglePlaces([49.6], marks, 300)!.places[1].count).toBe(0);
  });
  test('of 60 logs with chance drop-outs: right or not told', () => {
    const uniform = seededUniform(77);
    let [wrong, told, many] = [0, 0, 0];
    for (let k = 0; k < 60; k++) {
      const bad = Math.floor(3 * uniform());
      const own = Array.from({ length: Math.floor(9 * uniform()) }, () => marks[bad].fromS + 30 * uniform());
      const chance = Array.from({ length: Math.floor(4 * uniform()) }, () => 300 * uniform());
      const w = wigglePlaces([...own, ...chance], marks, 300);
      if (w && w.place !== null && w.place !== 'abc'[bad]) wrong++;
      if (own.length >= 5) many++;
      if (own.length >= 5 && w?.place === 'abc'[bad]) told++;
    }
    expect(wrong).toBeLessThanOrEqual(1);
    expect(told / many).toBeGreaterThan(0.8);
  });
  test('under a mark, against chance', () => {
    const under = underMarks([52, 55, 61, 200], marks, 300);
    expect(under).toMatchObject([{ kind: 'wiggling', place: 'b', count: 3, overS: 30 }]);
    expect(under[0].chance).toBeCloseTo(binomialAtLeast(4, 0.1, 3), 9);
  });
});

const ROLES: Record<string, ChannelRole> = {
  'adapter 05': 'displayed',
  'meter volts': 'signal-volts',
  'thermometer 1': 'thermometer',
};
const circuit = catalogueCircuit('engine-coolant-2k');

function recorded(id: string, seconds: number, more: Planned[] = []): { log: Log; analysis: LogAnalysis } {
  const bench = standInBench(id, 5);
  const pulled = { kind: 'unplugged', fromS: 40, toS: 50, place: '', text: '' } as const;
  const log = driveBench(bench, seconds, ['meter', 'adapter', 'thermometer'], 0.5, [
    { atS: 0, acts: [{ act: 'key', to: 'on' }] },
    { atS: 40, acts: [{ act: 'plug', site: 'coolant', to: 'open' }], mark: pulled },
    { atS: 50, acts: [{ act: 'plug', site: 'coolant', to: 'sensor' }] },
    { atS: 60, acts: [{ act: 'key', to: 'running' }] },
    ...more,
  ]);
  return { log, analysis: analyseLog(log, logSettingOf(ROLES, circuit)) };
}
/** Each place of the loom moved for half a minute, twice round. */
function wiggledTwice(): Planned[] {
  const places = MACHINE_CASES.find((c) => c.id === 'loose-plug')!.places;
  return [0, 1].flatMap((round) =>
    places.flatMap((place, k): Planned[] => {
      const fromS = 80 + (round * 3 + k) * 35;
      return [
        {
          atS: fromS,
          acts: [{ act: 'wiggle', place }],
          mark: { kind: 'wiggling', fromS, toS: fromS + 30, place, text: '' },
        },
        { atS: fromS + 30, acts: [{ act: 'wiggle', place: null }] },
      ];
    }),
  );
}
const of = <K extends FindingKind>(a: LogAnalysis, kind: K): Found<K>[] =>
  a.findings.filter((f): f is Found<K> => f.kind === kind);

describe('a machine recorded, and what its log tells', () => {
  const sound = recorded('sound', 1500);
  test('sound: no events, smooth warm-up that is held, fan and all, the divider’s curve', () => {
    expect(of(sound.analysis, 'events')).toEqual([]);
    const warm = of(sound.analysis, 'warm-up').find((w) => w.channel === 'thermometer 1')!;
    expect(warm).toMatchObject({ holds: 'holds', channel: 'thermometer 1' });
    expect(warm.plateauC!).toBeGreaterThan(84);
    expect(warm.plateauC!).toBeLessThan(100);
    expect(warm.cycles!.count).toBeGreaterThanOrEqual(2);
    const [divider] = of(sound.analysis, 'divider');
    expect(Math.abs(divider.referenceV.value - 5)).toBeLessThan(3 * divider.referenceV.sigma + 0.03);
    expect(Math.abs(divider.pullUpOhm!.value - 2490)).toBeLessThan(3 * divider.pullUpOhm!.sigma + 40);
    expect(divider.leaves).toBeNull();
  });
  test('the plug that was pulled moved its own values and no others', () => {
    const [moved] = of(sound.analysis, 'moved');
    expect(moved.moved.map((m) => m.channel).sort()).toEqual(['adapter 05', 'meter volts']);
    expect(moved.still).toContain('adapter 0F');
    expect(moved.moved.find((m) => m.channel === 'adapter 05')!.to).toBe(-40);
  });
  test('cold and unplugged values become one reading each, with the thermometer', () => {
    const evidence = of(sound.analysis, 'stretch').flatMap((f) => evidenceOf(f, sound.log, ROLES));
    const readings = evidence.filter((e): e is Extract<LogEvidence, { kind: 'reading' }> => e.kind === 'reading');
    expect(readings.map((r) => `${r.measurement} ${r.state}`)).toEqual(
      expect.arrayContaining([
        'displayed steady',
        'loaded-voltage steady',
        'displayed-unplugged steady',
        'open-voltage steady',
      ]),
    );
    expect(evidence.filter((e) => e.kind === 'thermometer' && !e.hot)).toHaveLength(1);
  });
  test('a thermostat that stays open stays low; a display that is short is told by the thermometer', () => {
    const { analysis } = recorded('open-thermostat', 1800);
    const low = of(analysis, 'warm-up').find((w) => w.channel === 'thermometer 1')!;
    expect(low.holds).toBe('stays-low');
    expect(low.timeConstantS!.value).toBeGreaterThan(150);
    const joint = recorded('bad-joint', 1200);
    const [compare] = of(joint.analysis, 'compare');
    expect(compare.worstK).toBeLessThan(-10);
  });
  test('what fails only hot drops out from there on, and goes on the check as hot', () => {
    const { log, analysis } = recorded('fails-hot', 900);
    const drop = of(analysis, 'events').find((f) => f.event === 'drop-out' && f.channel === 'adapter 05')!;
    expect(drop.atC!.low).toBeGreaterThan(66);
    expect(drop.atC!.low).toBeLessThan(74);
    expect(evidenceOf(drop, log, ROLES)).toMatchObject([
      { kind: 'reading', measurement: 'displayed', state: 'hot', value: -40 },
    ]);
  });
  test('what changes after heat is a step, and no lag explains its loop', () => {
    const { analysis } = recorded('after-heat', 2600, [{ atS: 1100, acts: [{ act: 'key', to: 'on' }] }]);
    expect(of(analysis, 'events').some((f) => f.event === 'step' && f.channel === 'adapter 05')).toBe(true);
    const [loop] = of(analysis, 'loop');
    expect(loop.leftK).toBeLessThan(-5);
  });
  test('an intermittent plug is found by wiggling, and its place named', () => {
    const { log, analysis } = recorded('loose-plug', 320, wiggledTwice());
    const wiggled = of(analysis, 'wiggle');
    expect(wiggled.map((w) => w.place)).toContain('engine plug');
    const evidence = evidenceOf(wiggled.find((w) => w.channel === 'adapter 05') ?? wiggled[0], log, ROLES);
    expect(evidence).toContainEqual({ kind: 'hint', place: 'engine plug', hint: 'wiggle-moves' });
    expect(evidence).toContainEqual(expect.objectContaining({ kind: 'reading', state: 'wiggling' }));
  });
  test('from a log to the verdict, nothing typed: a plug that drops out is the wiring, a sound machine is sound', () => {
    const judged = ({ log, analysis }: { log: Log; analysis: LogAnalysis }): Map<string, number> => {
      const entry = CATALOGUE_CIRCUITS.find((c) => c.id === 'engine-coolant-2k')!;
      const job = newJob('j', '2026-11-26T10:00:00Z', entry);
      let n = 0;
      for (const finding of analysis.findings)
        applyEvidence(job, evidenceOf(finding, log, ROLES), 'Log', '2026-11-26T10:00:00Z', () => `id${n++}`);
      expect(job.readings.length).toBeGreaterThan(2);
      const { problem, issues } = checkJob(job);
      expect(issues).toEqual([]);
      return new Map(groupProbabilities(posteriorOf(problem!).faults).map((g) => [g.group, g.probability]));
    };
    const loose = judged(recorded('loose-plug', 320, wiggledTwice()));
    expect(loose.get('wiring')!).toBeGreaterThan(0.7);
    expect(loose.get('healthy')!).toBeLessThan(0.02);
    const well = judged(sound);
    expect(well.get('healthy')!).toBeGreaterThan(0.4);
    expect(Math.max(...well.values())).toBe(well.get('healthy'));
  });
  test('every finding of every machine has words, and its evidence names what there is', () => {
    for (const c of MACHINE_CASES) {
      const { log, analysis } = c.id === 'sound' ? sound : recorded(c.id, 700);
      for (const f of analysis.findings) {
        for (const unit of ['C', 'F'] as const) {
          const { title, meaning } = findingText(f, log, unit);
          expect(`${title} ${meaning}`).not.toMatch(/NaN|undefined|Infinity|adapter 0|null/);
          expect(title.length).toBeGreaterThan(10);
        }
        for (const e of evidenceOf(f, log, ROLES)) {
          expect(evidenceText(e, 'C')).not.toMatch(/NaN|undefined/);
          if (e.kind === 'reading') expect(() => measurementById(e.measurement)).not.toThrow();
          if (e.kind === 'finding') expect(FINDINGS.some((x) => x.id === e.id)).toBe(true);
        }
      }
    }
  });
});

test('evidence is put once; what a person typed stands; a place is found by its name', () => {
  const job = newJob('j', '2026-11-26T10:00:00Z');
  job.loom.plug.name = 'sensor plug';
  const evidence: LogEvidence[] = [
    {
      kind: 'reading',
      measurement: 'displayed',
      value: 23.96,
      quantity: 'celsius',
      state: 'steady',
      about: '57 samples',
    },
    { kind: 'reading', measurement: 'displayed', value: -40, quantity: 'celsius', state: 'hot', about: 'drop-out' },
    { kind: 'reading', measurement: 'sensor-ohms', value: 'OL', quantity: 'ohms', state: 'steady', about: '' },
    { kind: 'thermometer', hot: false, valueC: 21.04 },
    { kind: 'hint', place: 'sensor plug', hint: 'wiggle-moves' },
    { kind: 'hint', place: 'nowhere', hint: 'wiggle-still' },
    { kind: 'finding', id: 'moves-when-wiggled' },
  ];
  let n = 0;
  const put = (): number => applyEvidence(job, evidence, 'Log “x”', '2026-11-26T10:00:00Z', () => `id${n++}`);
  expect(put()).toBe(6);
  expect(put()).toBe(0);
  expect(job.readings.map((r) => [r.id, r.text, r.value, r.state])).toEqual([
    ['displayed', '24 °C', 24, 'steady'],
    ['id0', '-40 °C', -40, 'hot'],
    ['sensor-ohms', 'OL', 'OL', 'steady'],
  ]);
  expect(job.readings[0].note).toBe('Log “x”: 57 samples');
  expect(job.moments[0].temperatureC).toEqual({ text: '21.0 °C', value: 21 });
  expect(job.loom.plug.hints).toEqual(['wiggle-moves']);
  job.moments[0].temperatureC = { text: '19', value: 19 };
  expect(
    applyEvidence(job, [{ kind: 'thermometer', hot: false, valueC: 30 }], '', '2026-11-26T10:00:00Z', () => 'y'),
  ).toBe(0);
  expect(job.moments[0].temperatureC.value).toBe(19);
});

describe('two logs on one clock', () => {
  const uniform = seededUniform(4);
  const course = (t: number): number => 20 + 60 / (1 + Math.exp(-(t - 300) / 60)) + 3 * Math.sin(t / 25);
  const make = (
    fromS: number,
    seconds: number,
    stepS: number,
  ): { timeS: Float64Array; channel: Log['channels'][number] } => {
    const timeS = Float64Array.from({ length: Math.floor(seconds / stepS) }, (_, i) => i * stepS);
    const values = timeS.map((t) => course(t + fromS) + 0.1 * normal(uniform));
    return { timeS, channel: { id: 'a', name: 'A', quantity: 'celsius', values } };
  };
  test('aligned by their course', () => {
    const found = offsetByCourse(make(0, 900, 1), make(120, 500, 0.5))!;
    expect(Math.abs(found.offsetS - 120)).toBeLessThan(1.5);
    expect(found.correlation).toBeGreaterThan(0.8);
  });
  test('aligned by their clocks: days known, or hours only; without one not at all', () => {
    const began = (text: string) => {
      const read = parseLog(text);
      return read.ok ? read.began : null;
    };
    const day = began('time,T °C\n2026-11-26 10:00:00,20\n2026-11-26 10:00:01,21\n');
    const later = began('time,T °C\n2026-11-27 10:00:30,20\n2026-11-27 10:00:31,21\n');
    const clock = began('time,T °C\n09:59:50,20\n09:59:51,21\n');
    const serial = began('date,T °C\n46352.5,20\n46352.6,21\n');
    expect(offsetByClock(day, later)).toBe(86_430);
    expect(offsetByClock(day, clock)).toBe(-10);
    expect(offsetByClock(clock, later)).toBe(40);
    expect(offsetByClock(day, serial)).toBe(7200);
    expect(offsetByClock(day, began('time [s],T °C\n0,20\n1,21\n'))).toBeNull();
  });
  test('merged: every sample of both at its time, gaps between', () => {
    const a: Log = {
      timeS: Float64Array.of(0, 1, 2),
      channels: [{ id: 'a', name: 'A', quantity: 'celsius', values: Float64Array.of(1, 2, 3) }],
      marks: [],
    };
    const b: Log = {
      timeS: Float64Array.of(0, 1.5),
      channels: [{ id: 'a', name: 'B', quantity: 'volts', values: Float64Array.of(7, 8) }],
      marks: [{ kind: 'note', fromS: 0, toS: 0, place: '', text: 'x' }],
    };
    const m = merged(a, b, -0.5);
    expect([...m.timeS]).toEqual([0, 0.5, 1.5, 2.5]);
    expect([...m.channels[0].values]).toEqual([NaN, 1, 2, 3]);
    expect([...m.channels[1].values]).toEqual([7, NaN, 8, NaN]);
    expect(m.channels[1].id).toBe('a (2)');
    expect(m.marks[0].fromS).toBe(0);
  });
});

test('the divider’s curve: reference and pull-up, or the B of an unknown sensor; where it leaves the line', () => {
  const uniform = seededUniform(31);
  const timeS = Float64Array.from({ length: 1200 }, (_, i) => i);
  const c = timeS.map((t) => 15 + t / 15);
  const volts = (leave: boolean): Float64Array =>
    c.map((x) => {
      const r = circuit.curve.resistanceOhm(leave && x > 70 ? x - 12 : x);
      return (5.1 * r) / (r + 2600) + 0.001 * normal(uniform);
    });
  const channels = (v: Float64Array): Log['channels'] => [
    { id: 'v', name: 'V', quantity: 'volts', values: v },
    { id: 't', name: 'T', quantity: 'celsius', values: c },
  ];
  const [v, t] = channels(volts(false));
  const known = { layout: 'pull-up', curve: circuit.curve, referenceV: 5, pullUpOhm: 2490 } as const;
  const fit = dividerCloud(timeS, v, t, known, [])!;
  expect(fit.referenceV.value).toBeCloseTo(5.1, 1);
  expect(fit.pullUpOhm!.value).toBeCloseTo(2600, -2);
  expect(fit.leaves).toBeNull();
  const blind = dividerCloud(timeS, v, t, { ...known, curve: null }, [])!;
  expect(blind.betaK!.value).toBeGreaterThan(3300);
  expect(blind.betaK!.value).toBeLessThan(3900);
  const off = dividerCloud(timeS, channels(volts(true))[0], t, known, [])!;
  expect(off.leaves!.fromC).toBeGreaterThan(66);
  expect(Math.abs(off.leaves!.offK)).toBeGreaterThan(8);
  expect(dividerCloud(timeS, v, { ...t, values: c.map((x) => 20 + (x - 15) / 10) }, known, [])).toBeNull();
});

test('air at the sensor: dips too slow for a wire, too quick for coolant', () => {
  const timeS = Float64Array.from({ length: 900 }, (_, i) => i * 0.5);
  const values = timeS.map((t) =>
    Math.round(70 + t / 40 - (t > 200 && t < 212 ? 18 * Math.sin((Math.PI * (t - 200)) / 12) : 0)),
  );
  const channel = { id: 'a', name: 'A', quantity: 'celsius', values } as const;
  const air = airDips(timeS, channel, findEvents(timeS, values, 'celsius'));
  expect(air?.dips).toHaveLength(1);
  expect(air!.dips[0].depthK).toBeGreaterThan(12);
  expect(airDips(timeS, { ...channel, values: timeS.map((t) => 70 + t / 40) }, [])).toBeNull();
});

test('blocks: medians of even stretches, without what is left out', () => {
  const timeS = Float64Array.from({ length: 100 }, (_, i) => i * 0.1);
  const values = timeS.map((t) => (t > 3 && t < 4 ? -40 : t));
  const b = blocksOf(timeS, values, 1, [{ fromS: 3, toS: 4 }]);
  expect(b.t).toHaveLength(9);
  expect(b.x[0]).toBeCloseTo(0.5, 6);
  expect(valueAt(b, 1)).toBeCloseTo(1, 1);
  expect(valueAt(b, -1)).toBeNaN();
});

describe('the heat cycle', () => {
  const look = (sensorC: number, besideC: number | null, atS: number) => ({ sensorC, besideC, atS });
  test.each([
    ['nothing yet', null, null, null, 'unfinished'],
    ['cold only', look(20, 21, 0), null, null, 'unfinished'],
    ['wrong before any heat', look(45, 20, 0), look(90, 80, 300), null, 'wrong-from-the-start'],
    ['hardly warmed', look(20, 20, 0), look(38, 38, 300), null, 'not-told'],
    ['off when hot', look(20, 21, 0), look(-40, 85, 300), null, 'fails-hot'],
    ['read again too soon', look(20, 20, 0), look(84, 85, 300), look(60, 61, 400), 'not-told'],
    ['came back', look(20, 20, 0), look(84, 85, 300), look(41, 40, 950), 'sound'],
    ['off after the heat', look(20, 20, 0), look(84, 85, 300), look(12, 40, 950), 'fails-after-heat'],
    ['no thermometer', look(20, null, 0), look(84, 85, 300), look(12, 40, 950), 'not-told'],
  ] as const)('%s', (_, before, hot, after, verdict) => {
    const v = judgeCycle({ before, hot, after });
    expect(v.verdict).toBe(verdict);
    expect(cycleText(v, 'C').length).toBeGreaterThan(10);
  });
});
