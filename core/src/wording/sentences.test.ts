import { describe, expect, test } from 'vitest';
import type { TwoFaults } from '../advice/nextTest/twoFaults.ts';
import type { ComparisonView } from '../tools/comparing/comparisonView.ts';
import { newJob } from '../check/job/newJob.ts';
import type { Finding, Found, LogEvent } from '../intake/logs/finding.ts';
import type { Log, Mark } from '../intake/logs/log.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import type { Judged } from '../tools/judging/judgeResistance.ts';
import { THERMOMETER } from '../inference/model/problem.ts';
import { TYPED } from '../base/records/changes.ts';
import type { PlugMap } from '../check/rightSensor/identifyPlugs.ts';
import type { RightSensor } from '../check/job/recordSchemas.ts';
import type { Happened } from '../training/cases/play.ts';
import type { TrainingCase } from '../training/cases/trainingCase.ts';
import type { Assessment } from '../inference/verdict/assessment.ts';
import { changeText } from './changeText.ts';
import { compareText } from './compareText.ts';
import { complaintText } from './complaintText.ts';
import { findingText } from './findingText.ts';
import { missText } from './fitText.ts';
import { judgedText } from './judgedText.ts';
import { cycleText, lineFaultText, standStillText } from './liveText.ts';
import { clockText, evidenceText, kelvinText, logReadText } from './logText.ts';
import { outcomeLines } from './outcomeLines.ts';
import { outcomeText } from './outcomeText.ts';
import { plugText } from './plugText.ts';
import { backupDueText, bytesText } from './safeText.ts';
import { settlingText } from './settlingText.ts';
import { sizeText, trueSizeText } from './sizeText.ts';
import { slipText, stretchedText, thermometerSlipText } from './slipText.ts';
import { cameOfText, cavitiesText, moveText, seenText } from './trainingText.ts';
import { toldText } from './toldText.ts';
import { suspectDetail, verdictText } from './verdictText.ts';

const job = () => newJob('j', '2026-11-26T10:00:00.000Z');
const entry = (text: string, value: number | null = Number(text)) => ({ text, value });

describe('what a step changed', () => {
  const of = (at: string[], before: unknown, after: unknown, patchJob = job()): string =>
    changeText(patchJob, [{ at, before, after }]);
  test('the part, what it was and became', () => {
    expect(changeText(job(), [])).toBe('nothing');
    expect(of(['title'], 'old', 'new')).toBe('title old → new');
    expect(of(['title'], '', 'new')).toBe('title new');
    expect(of(['title'], 'old', '')).toBe('title old removed');
    expect(of(['title'], 'old', undefined)).toBe('title old removed');
    expect(of(['title'], '', '')).toBe('title');
    expect(of(['title'], undefined, undefined)).toBe('title');
    expect(of(['machine'], null, 'press 4')).toBe('machine press 4');
    expect(of(['circuit', 'pullUpOhm', TYPED], ['2490', 2490], ['2k2', 2200])).toBe('pull-up 2490 → 2k2');
    expect(of(['circuit', 'something'], 1, 2)).toBe('circuit');
    expect(of(['gremlin'], 1, 2)).toBe('change');
    expect(of(['repair', 'standIn'], undefined, { text: '2k2' })).toBe('temporary replacement 2k2');
    expect(of(['complaint', 'codes', '+x'], undefined, { code: 'P0118' })).toBe('code P0118');
    expect(of(['photos', '+x'], { caption: 'plug' }, undefined)).toBe('photo plug removed');
    expect(of(['proof', 'readings', '+x'], { name: 5 }, undefined)).toBe('verification reading');
    // A time is no word.
    expect(of(['archivedAt'], undefined, '2026-11-26T10:00:00.000Z')).toBe('archive');
    expect(of(['note'], '', 'a note that is far too long to be told whole')).toBe('note a note that is far too long…');
    expect(of(['note'], '', 'twenty-eight signs, exactly.')).toBe('note twenty-eight signs, exactly.');
  });
  test('the change that a person typed tells, not what followed from it', () => {
    const patches = [
      { at: ['loom'], before: 'a', after: 'b' },
      { at: ['moments', '#steady', 'temperatureC', TYPED], before: ['', null], after: ['20', 20] },
    ];
    expect(changeText(job(), patches as never)).toBe('thermometer 20');
  });
  test('a reading by its name, whether it is there, was, or only its part changed', () => {
    const there = job();
    there.readings.push({ id: 'r1', measurement: 'displayed', text: '12', value: 12 } as never);
    const reading = { measurement: 'open-voltage', text: '4.98' };
    expect(of(['readings', '+r9'], undefined, reading)).toBe(`${nameOf('open-voltage')} 4.98`);
    expect(of(['readings', '+r9'], reading, undefined)).toBe(`${nameOf('open-voltage')} 4.98 removed`);
    expect(of(['readings', '+r1', TYPED], ['12', 12], ['13', 13], there)).toBe(`${nameOf('displayed')} 12 → 13`);
    expect(of(['readings', '+r7', TYPED], ['12', 12], ['13', 13], there)).toBe('reading 12 → 13');
    expect(of(['readings', '+r1', 'voided'], undefined, { at: 'x' }, there)).toBe(`${nameOf('displayed')} excluded`);
    expect(of(['readings', '+r1', 'voided'], { at: 'x' }, undefined, there)).toBe(
      `${nameOf('displayed')} included again`,
    );
    expect(of(['readings', '+r1', 'voided'], { at: 'x' }, null, there)).toBe(`${nameOf('displayed')} included again`);
    expect(of(['readings', '+r1', 'note'], '', 'seen', there)).toBe(`note on ${nameOf('displayed')} seen`);
  });
});

/** A verdict by hand: two suspects and one reading that they predict. */
const assessment = (change: Partial<Assessment> = {}): Assessment =>
  ({
    doubt: { kind: 'none' },
    groups: [
      { group: 'sensor', probability: 0.8 },
      { group: 'wiring', probability: 0.2 },
    ],
    suspects: [
      suspect('sensor-open', 'sensor open', 'sensor', 0.8, { low: 4.9, high: 5.1 }),
      suspect('signal-open', 'signal wire open', 'wiring', 0.2, { low: -0.1, high: 0.1 }),
      suspect('healthy', 'nothing wrong', 'healthy', 0, { low: 2, high: 3 }),
    ],
    readings: [{ id: 'a', measurement: 'open-voltage', verdict: 'high', blunder: 0, slip: null }],
    values: [5],
    stretched: [],
    untested: [],
    displayStuck: false,
    thermometerSlip: null,
    ...change,
  }) as unknown as Assessment;
function suspect(
  fault: string,
  name: string,
  group: string,
  probability: number,
  predicts: { low: number; high: number },
) {
  return { fault, name, group, probability, predicts: [predicts], size: null, detail: null, onlyIn: null };
}
function nameOf(id: string): string {
  return measurementById(id).name;
}

describe('what one reading says', () => {
  const at = (change: Partial<Assessment> = {}) => outcomeText(assessment(change), 'a', 'C');
  const reading = (change: object) => ({
    readings: [{ id: 'a', measurement: 'open-voltage', verdict: 'high', blunder: 0, slip: null, ...change }] as never,
  });
  test('against whom it speaks and whom it leaves', () => {
    expect(at()).toEqual({
      standing: 'off',
      title: 'High.',
      text: 'Contradicts signal wire open, a healthy circuit. Still possible: sensor open.',
    });
    expect(at(reading({ verdict: 'low' }))!.title).toBe('Low.');
    expect(at(reading({ verdict: 'inside' }))).toEqual({
      standing: 'fits',
      title: 'Within range.',
      text: 'Contradicts signal wire open, a healthy circuit.',
    });
    const { suspects } = assessment();
    expect(at({ suspects: suspects.slice(0, 1), ...reading({ verdict: 'inside' }) })!.text).toBe('Fits.');
    const alike = suspects.slice(0, 2).map((s) => ({ ...s, predicts: [{ low: 4.9, high: 5.1 }] }));
    expect(at({ suspects: alike, ...reading({ verdict: 'inside' }) })!.text).toBe('It does not separate the suspects.');
    const four = [1, 2, 3, 4].map((n) => suspect(`f${n}`, `fault ${n}`, 'wiring', 0.1, { low: 0, high: 1 }));
    expect(at({ suspects: four as never })!.text).toBe('Contradicts fault 1, fault 2, fault 3 and 1 more.');
    expect(at({ suspects: four.slice(0, 3) as never })!.text).toBe('Contradicts fault 1, fault 2, fault 3.');
  });
  test('a slip and a blunder are doubtful, a slip first', () => {
    expect(at(reading({ blunder: 0.6 }))).toMatchObject({ standing: 'doubtful', title: 'High.' });
    expect(at(reading({ blunder: 0.6 }))!.text).toContain('Repeat it.');
    expect(at(reading({ blunder: 0.5 }))!.standing).toBe('off');
    const slip = { kind: 'range-up', meant: 0.5 };
    expect(at(reading({ blunder: 0.9, slip }))!.text).toBe('Probably 0.50 V: the range switch was one step off.');
    expect(outcomeText(assessment(), 'gone', 'C')).toBeNull();
  });
  test('how a slip is said', () => {
    expect(slipText({ kind: 'wrong-pin', meant: null } as never, 'volts', 'C')).toBe(
      'Probably the lead was on the sensor’s own side, or on the other cavity: move it and read again.',
    );
    expect(slipText({ kind: 'k-missed', meant: 3600 } as never, 'ohms', 'C')).toBe(
      'Probably 3.60 kΩ: the k was missed.',
    );
    expect(thermometerSlipText(assessment(), 'C')).toBe('');
    expect(thermometerSlipText(assessment({ thermometerSlip: 20 }), 'C')).toBe(
      'Was the thermometer at 20 °C? Read in the other unit, everything fits.',
    );
    const far = (...unknown: string[]) => assessment({ stretched: unknown.map((u) => ({ unknown: u })) as never });
    expect(stretchedText(far())).toBe('');
    expect(stretchedText(far('reference'))).toBe('Outside the usual range: the reference. Check that as well.');
    expect(stretchedText(far('temperature'))).toContain('the thermometer or the place of the sensor');
    expect(stretchedText(far('ground', 'gremlin', 'supply'))).toBe(
      'Outside the usual range: the module’s ground and gremlin. Check that as well.',
    );
  });
});

describe('the verdict in words', () => {
  const told = (change: Partial<Assessment> = {}, two: TwoFaults | null = null) =>
    verdictText(assessment(change), (id) => `reading ${id}`, 'C', two);
  const groups = (sensor: number) => ({
    groups: [
      { group: 'sensor', probability: sensor },
      { group: 'wiring', probability: 1 - sensor },
    ] as never,
  });
  test('open below 70 %, likely below 95 %, then firm', () => {
    expect(told(groups(0.69))).toEqual({
      state: 'open',
      title: 'Not decided yet',
      detail: 'Sensor 69 %, wiring 31 %.',
    });
    expect(told(groups(0.7)).state).toBe('likely');
    expect(told(groups(0.949)).state).toBe('likely');
    expect(told(groups(0.95))).toEqual({ state: 'firm', title: 'Sensor open', detail: '' });
  });
  test('a kind is named as surely as its group; else the group alone, with the kinds that are open', () => {
    const other = suspect('y', 'sensor short', 'sensor', 0.1, { low: 0, high: 1 });
    const named = (name: string, probability: number) =>
      told({
        ...groups(0.9),
        suspects: [suspect('x', name, 'sensor', probability, { low: 0, high: 1 }), other] as never,
      }).title;
    const firm = told({
      ...groups(0.98),
      suspects: [suspect('x', 'sensor open', 'sensor', 0.58, { low: 0, high: 1 }), other] as never,
    });
    expect(firm).toEqual({
      state: 'firm',
      title: 'Sensor fault',
      detail: 'Which one is open: sensor open 58 %, sensor short 10 %.',
    });
    expect(named('sensor open', 0.69)).toBe('Sensor fault');
    expect(named('sensor open', 0.7)).toBe('Sensor open');
    expect(named('leak to its body', 0.9)).toBe('Sensor fault: leak to its body');
    expect(told({ ...groups(0.9), suspects: [] })).toEqual({ state: 'likely', title: 'Sensor fault', detail: '' });
    expect(
      told({
        groups: [
          { group: 'healthy', probability: 0.96 },
          { group: 'sensor', probability: 0.04 },
        ] as never,
        suspects: [],
      }).title,
    ).toBe('Nothing wrong with this circuit now');
  });
  test('size, place and state; what does not fit behind them', () => {
    const sized = {
      ...suspect('x', 'sensor high', 'sensor', 0.9, { low: 0, high: 1 }),
      size: { low: 14e3, middle: 15e3, high: 16e3, unit: 'ohm' },
      detail: 'beyond C2',
      onlyIn: 'hot',
    };
    expect(suspectDetail(sized as never)).toBe('about 15 kΩ (14.0 … 16.0 kΩ), beyond C2, only hot');
    expect(suspectDetail({ ...sized, size: null, detail: null, onlyIn: 'steady' } as never)).toBe('only while cold');
    const doubt = { kind: 'contradiction', readings: ['a', THERMOMETER] } as never;
    expect(told({ ...groups(0.97), suspects: [sized] as never, doubt })).toEqual({
      state: 'doubt',
      title: 'Sensor high',
      detail: 'About 15 kΩ (14.0 … 16.0 kΩ), beyond C2, only hot. Does not fit: reading a, the thermometer. Repeat it.',
    });
    expect(told({ ...groups(0.6), doubt })).toEqual({
      state: 'doubt',
      title: 'Not decided yet',
      detail: 'Sensor 60 %, wiring 40 %. Does not fit: reading a, the thermometer. Repeat it.',
    });
    const slip = { kind: 'k-missed', meant: 2490 };
    const readings = [{ id: 'a', measurement: 'sensor-ohms', verdict: 'low', blunder: 0.9, slip }] as never;
    expect(told({ ...groups(0.97), readings, doubt, thermometerSlip: 20 }).detail).toBe(
      'Reading a: Probably 2.49 kΩ: the k was missed. Was the thermometer at 20 °C? Read in the other unit, everything fits.',
    );
  });
  test('nothing read, nothing fits', () => {
    expect(told({ doubt: { kind: 'no-readings' } as never }).state).toBe('nothing-yet');
    const readings = ['a', 'b', 'c', 'd'];
    expect(told({ doubt: { kind: 'nothing-fits', readings } as never })).toEqual({
      state: 'doubt',
      title: 'No single fault explains this',
      detail:
        'Most doubtful: reading a, reading b, reading c. Repeat that first. If it stays the same, look for two faults.',
    });
  });
  test('two at once: both by name, their sizes in that order, the others, and the test that proves the second', () => {
    const fault = (name: string, size: object | null = null) => ({ fault: name, name, group: 'wiring', size });
    const volt = { low: 0.3, middle: 0.42, high: 0.6, unit: 'volt' };
    const pair = (probability: number, first: object, second: object, proving: object | null) =>
      ({ probability: 0.9, pairs: [{ first, second, probability, test: proving }] }) as unknown as TwoFaults;
    const proving = { measurement: 'displayed-substituted', conditions: { substituteOhm: 1000 }, bits: 1, minutes: 2 };
    expect(told({}, pair(0.8, fault('sensor open'), fault('ground high', volt), proving))).toEqual({
      state: 'likely',
      title: 'Two things are wrong: sensor open and ground high',
      detail:
        'Ground high: about 0.42 V (0.30 … 0.60 V). Test that proves the second: displayed value, substitute resistor, with 1.00 kΩ.',
    });
    const none = pair(0.7, fault('a'), fault('b'), null);
    none.pairs.push({ ...none.pairs[0], first: fault('c'), second: fault('d') } as never);
    expect(told({}, none)).toEqual({
      state: 'open',
      title: 'Two things are wrong: a and b',
      detail: 'Or: c with d. No test at hand proves the second.',
    });
    // Hardly possible: the one is named.
    expect(told({}, { ...none, probability: 0.09 }).title).toBe('Sensor open');
  });
  test('two that are possible: beside what leads, with the test; what leads is no surer than both together make it', () => {
    const fault = (id: string, name: string, group = 'wiring') => ({ fault: id, name, group, size: null });
    const test = { measurement: 'displayed', conditions: {}, bits: 1, minutes: 2 };
    const { suspects } = assessment();
    const possible = (first: string, probability: number, proving: object | null = test) =>
      ({
        probability,
        pairs: [
          {
            first: fault(first, 'a', first === 'another' ? 'wiring' : 'sensor'),
            second: fault('other', 'b'),
            probability: 1,
            test: proving,
          },
        ],
      }) as unknown as TwoFaults;
    const firm = (two: TwoFaults, change: Partial<Assessment> = {}) =>
      told({ ...groups(0.99), suspects: suspects.slice(0, 1), ...change }, two);
    expect(firm(possible(suspects[0].fault, 0.3))).toEqual({
      state: 'firm',
      title: 'Sensor open',
      detail: 'Two faults are possible (30 %): a and b. Test that proves the second: displayed value.',
    });
    expect(firm(possible('another', 0.2)).state).toBe('likely');
    expect(firm(possible('another', 0.4, null))).toEqual({
      state: 'open',
      title: 'Not decided yet',
      detail: 'Sensor open alone: 48 %. Two faults are possible (40 %): a and b.',
    });
    expect(firm(possible('another', 0.2, null)).detail).toBe('Two faults are possible (20 %): a and b.');
    expect(firm(possible('another', 0.09)).detail).toBe('');
    const doubted = { doubt: { kind: 'nothing-fits', readings: ['a', 'b'] } as never };
    expect(firm(possible('another', 0.2, null), doubted).detail).toContain(
      'look for two faults. Two faults are possible',
    );
  });
});

describe('sizes', () => {
  const size = (low: number, middle: number, high: number, unit: string) =>
    sizeText({ low, middle, high, unit } as never);
  test('in words, by unit', () => {
    expect(size(14e3, 15.2e3, 16e3, 'ohm')).toBe('about 15 kΩ (14.0 … 16.0 kΩ)');
    expect(size(100, 500, 3001, 'ohm')).toBe('between about 100 Ω and 3 kΩ');
    expect(size(2.75e6, 4e7, 1e12, 'ohm')).toBe('more than about 2.8 MΩ');
    expect(size(0.1, 3, 40, 'ohm')).toBe('less than about 40 Ω');
    expect(size(100, 500, 3000, 'ohm')).toContain('about 500 Ω');
    expect(size(2.1e9, 1e12, 1e12, 'ohm')).toBe('a clean break');
    expect(size(0.8, 0.852, 0.9, 'factor')).toBe('about × 0.85 (× 0.80 … 0.90)');
    expect(size(0.2, 1.04, 12.3, 'volt')).toBe('about 1.0 V (0.20 … 12 V)');
    expect(size(-12.4, -9.96, -3, 'kelvin')).toBe('about −10.0 K (−12 … −3.0 K)');
  });
  test('of a case that was made up', () => {
    expect(trueSizeText(15_300, 'ohm')).toBe('15 kΩ');
    expect(trueSizeText(1e12, 'ohm')).toBe('a clean break');
    expect(trueSizeText(0.85, 'factor')).toBe('× 0.85');
    expect(trueSizeText(0.42, 'volt')).toBe('0.42 V');
    expect(trueSizeText(-7, 'kelvin')).toBe('−7.0 K');
  });
});

describe('a training case', () => {
  const happened = (move: object, rest: object = {}) => ({ move, ...rest }) as unknown as Happened;
  test('a move in a line', () => {
    const text = (move: object): string => moveText(happened(move));
    expect(text({ kind: 'measure', measurement: 'displayed', setUp: { state: 'steady' } })).toBe('Displayed value');
    expect(text({ kind: 'measure', measurement: 'displayed', setUp: { state: 'hot' } })).toBe('Displayed value, hot');
    expect(text({ kind: 'which-plug', at: 2 })).toBe('Pulled plug 2 and watched the display');
    expect(text({ kind: 'act', group: 'healthy' })).toBe('Handed it over: nothing wrong now');
    expect(text({ kind: 'act', group: 'wiring' })).toBe('Repaired: Wiring');
    for (const [kind, said] of [
      ['diagram', 'Checked the diagram'],
      ['look', 'Inspected plug and harness'],
      ['warm', 'Warmed the machine'],
      ['believe', 'Recorded an estimate'],
      ['cannot-tell', 'Said: this kit cannot decide it'],
      ['give-up', 'Gave up'],
    ])
      expect(text({ kind })).toBe(said);
  });
  test('what came of it', () => {
    const came = (move: object, rest: object): string => cameOfText(happened(move, rest));
    expect(came({ kind: 'measure' }, { shown: { damage: 'fuse' } })).toContain('a fuse has blown');
    expect(came({ kind: 'measure' }, { shown: {} })).toBe('');
    expect(came({ kind: 'look' }, { seen: [] })).toBe('Nothing found.');
    expect(came({ kind: 'look' }, { seen: ['chafed'] })).toBe('Harness chafed or pinched.');
    expect(came({ kind: 'which-plug' }, { seen: ['x'] })).toBe('The display moves.');
    expect(came({ kind: 'which-plug' }, { seen: [] })).toBe('The display does not move.');
    expect(came({ kind: 'act' }, { helped: 'healed' })).toBe('It works now.');
    expect(came({ kind: 'act' }, { helped: 'better' })).toBe('It is better, not right yet.');
    expect(came({ kind: 'act' }, { helped: 'no' })).toBe('It did not help.');
    expect(seenText(['corrosion', 'gremlin', 'chafed'])).toBe(
      'Corrosion or bent pins at the plug; Harness chafed or pinched',
    );
    expect(cavitiesText({ cavities: ['return', 'signal', 'supply'] } as unknown as TrainingCase)).toBe(
      '1 return, 2 signal, 3 live feed of something else',
    );
  });
});

describe('what was found in a log', () => {
  const log: Log = {
    timeS: Float64Array.from([0, 0.001]),
    channels: [
      { id: 'v', name: 'Signal', quantity: 'volts', values: new Float64Array(2) },
      { id: 't', name: 'Coolant', quantity: 'celsius', values: new Float64Array(2) },
      { id: 'p', name: 'Probe', quantity: 'celsius', values: new Float64Array(2) },
    ],
    marks: [],
  };
  const say = (finding: object, unit: 'C' | 'F' = 'C') => findingText(finding as Finding, log, unit);
  const event = (change: Partial<LogEvent> = {}): LogEvent => ({
    ...{ kind: 'drop-out', fromS: 70, toS: 72, samples: 3, before: 2.5, level: 5, end: 'high', sigmas: 7.4 },
    ...change,
  });
  const events = (list: LogEvent[], change: Partial<Found<'events'>> = {}) =>
    say({
      kind: 'events',
      event: list[0].kind,
      channel: 'v',
      events: list,
      atC: null,
      onlyAboveC: null,
      under: [],
      ...change,
    });
  test('drop-outs: how many, to which end, when, how long', () => {
    expect(events([event()])).toEqual({
      title: 'Signal: 1 drop-out to the high end, at 1:10, up to 2.0 s long',
      meaning: 'From 2.50 V to 5.00 V: a contact that opens or a wire that touches, not a temperature.',
      tone: 'odd',
    });
    expect(events([event({ end: 'low' }), event({ toS: 75 })]).title).toBe(
      'Signal: 2 drop-outs to both ends, the first at 1:10, up to 5.0 s long',
    );
    expect(events([event({ end: 'low' })]).title).toContain('to the low end');
    expect(events([event({ toS: 70.04 })]).title).toBe('Signal: 1 drop-out to the high end, at 1:10');
    expect(events([event()], { onlyAboveC: 86.4 }).meaning).toContain('Only when hot: never below 86 °C.');
  });
  test('a drop-out between two samples may be as long as both steps beside it', () => {
    const coarse = { ...log, timeS: Float64Array.from({ length: 200 }, (_, i) => i / 2) };
    const seen = { kind: 'events', event: 'drop-out', channel: 'v', atC: null, onlyAboveC: null, under: [] };
    const told = findingText({ ...seen, events: [event({ toS: 70.5 })] } as Finding, coarse, 'C');
    expect(told.title).toContain('up to 1.5 s long');
  });
  test('a supply that changes over minutes', () => {
    expect(say({ kind: 'sag', channel: 'v', fromV: 5, toV: 4.2, overS: 2700 })).toMatchObject({
      title: 'Signal sags from 5.00 V to 4.20 V in 45:00',
      tone: 'odd',
    });
    expect(say({ kind: 'sag', channel: 'v', fromV: 4.2, toV: 5, overS: 60 }).title).toContain('climbs');
  });
  test('the other breaks, each with its meaning', () => {
    const one = (kind: LogEvent['kind']) => events([event({ kind, end: null })]);
    expect(one('step')).toMatchObject({ title: 'Signal: 1 step, at 1:10', tone: 'odd' });
    expect(one('spike')).toMatchObject({ title: 'Signal: 1 spike, at 1:10, up to 2.0 s long', tone: 'told' });
    expect(one('spike').meaning).toContain('To 5.00 V and back');
    const spike = event({ kind: 'spike', end: null });
    expect(events([spike, spike]).tone).toBe('told');
    expect(events([spike, spike, spike])).toMatchObject({
      tone: 'odd',
      title: expect.stringContaining('3 spikes') as string,
    });
    expect(one('stuck').title).toContain('1 stuck section');
    expect(one('noise').meaning).toContain('It scatters 7 times as much');
    expect(one('rate').meaning).toContain('faster than metal can follow');
  });
  test('at which temperature, and under which mark beyond chance', () => {
    const at = (low: number, high: number) => events([event()], { atC: { low, high } }).meaning;
    expect(at(70, 72.9)).toContain(' At 70 °C.');
    expect(at(70, 73)).toContain(' Between 70 °C and 73 °C.');
    const under = (chance: number, place = 'C2') =>
      events([event(), event()], { under: [{ kind: 'wiggling', place, count: 2, overS: 30, chance }] }).meaning;
    expect(under(0.04)).toContain(' 2 of 2 while wiggling C2 (by chance 1 in 25).');
    expect(under(0.0005)).toContain('(by chance less than 1 in 1000)');
    expect(under(0.04, '')).toContain('while wiggling (by');
    expect(under(0.05)).not.toContain('while');
  });
  test('wiggling: a place by name, or not yet', () => {
    const places = [
      { place: 'C1', count: 0, overS: 30, probability: 0 },
      { place: 'C2', count: 4, overS: 75, probability: 0.99 },
    ];
    const wiggle = (place: string | null) =>
      say({ kind: 'wiggle', channel: 'v', place, count: 4, places, chance: 0.002, level: 5 });
    expect(wiggle('C2')).toEqual({
      title: 'Signal drops out when C2 is wiggled',
      meaning: 'C1: 0 in 30 s · C2: 4 in 1:15. Probability by chance: 1 in 500. Inspect it first: pins, crimp, seal.',
      tone: 'odd',
    });
    expect(wiggle(null)).toMatchObject({ title: 'Signal: wiggling does not name a place yet', tone: 'told' });
  });
  test('what moved at an act', () => {
    const mark: Mark = { kind: 'unplugged', fromS: 40, toS: 50, place: '', text: '' };
    const moved = (list: object[], still: string[]) => say({ kind: 'moved', mark, moved: list, still });
    const one = [{ channel: 'v', from: 2.5, to: 5 }];
    expect(moved(one, ['t'])).toEqual({
      title: 'Unplugged at 40 s: Signal 2.50 V → 5.00 V',
      meaning: 'These values belong to that plug. Did not change: Coolant.',
      tone: 'told',
    });
    expect(moved(one, []).meaning).toBe('These values belong to that plug.');
    expect(moved([], ['t'])).toMatchObject({ title: 'Unplugged at 40 s: nothing changed', tone: 'odd' });
  });
  test('stretches, cold starts, air, settling', () => {
    const stretches = [
      { channel: 't', value: 20.04 },
      { channel: 'v', value: 2.5 },
    ];
    expect(say({ kind: 'stretch', about: 'hot', stretches }).title).toBe(
      'Hot, at the end: Coolant 20 °C · Signal 2.50 V',
    );
    expect(say({ kind: 'stretch', about: 'unplugged', stretches }).title).toMatch(/^Unplugged: /);
    const cold = (oddOne: string | null, apartK: number) =>
      say({
        kind: 'cold-start',
        channels: [
          { channel: 't', valueC: 20 },
          { channel: 'p', valueC: 26 },
        ],
        oddOne,
        apartK,
      });
    expect(cold(null, 0.4)).toMatchObject({ title: 'Cold start: Coolant 20 °C · Probe 26 °C', tone: 'good' });
    expect(cold(null, 0.4).meaning).toMatch(/^They agree\./);
    expect(cold(null, 5)).toMatchObject({ tone: 'good' });
    expect(cold(null, 5.1)).toMatchObject({
      tone: 'odd',
      meaning: expect.stringContaining('They are 5.1 K apart') as string,
    });
    expect(cold('p', 6)).toMatchObject({ title: 'Cold start: Probe differs', tone: 'odd' });
    const dips = [
      { fromS: 0, toS: 1, depthK: 6 },
      { fromS: 0, toS: 1, depthK: 8 },
    ];
    expect(say({ kind: 'air', channel: 't', dips }).title).toBe('Coolant: 2 dips of up to 8.0 K');
    expect(say({ kind: 'air', channel: 't', dips: dips.slice(0, 1) }, 'F').title).toBe(
      'Coolant: a dip of up to 10.8 °F',
    );
    const settling = (leftNow: number, channel = 't') =>
      say({ kind: 'settling', channel, endsAt: 80, sigma: 0.5, timeConstantS: 60, leftNow });
    expect(settling(-5).title).toBe('Coolant is running to 80 °C ± 0.5 K');
    expect(settling(-5).meaning).toBe('Time constant 1:00. Within half a kelvin in 2:18: wait that long.');
    expect(settling(0.5).meaning).toContain('It has as good as settled.');
    expect(settling(5, 'v').title).toBe('Signal is running to 80.00 V ± 0.50 V');
  });
  test('one channel against another', () => {
    const loop = (widthK: number, lagS: number, leftK: number) =>
      say({ kind: 'loop', channel: 't', against: 'p', widthK, lagS, leftK, sigmaK: 1 });
    expect(loop(5, -30, 1)).toEqual({
      title: 'Coolant against Probe: 5.0 K more cooling than heating',
      meaning: '30 s of lag explain it but for 1.0 K. The rest is nothing.',
      tone: 'good',
    });
    expect(loop(-5, 30, -2.1)).toMatchObject({ tone: 'odd', title: expect.stringContaining('less') as string });
    expect(loop(-5, 30, -2.1).meaning).toContain('read it again after a heat cycle');
    expect(loop(5, 0, 5).meaning).toContain('No lag explains it');
    const drift = (perHourK: number, sigma: number) =>
      say({ kind: 'drift', channel: 't', against: 'p', perHourK, sigma, meanK: 0 });
    expect(drift(3.5, 1)).toMatchObject({ title: 'Coolant against Probe: +3.5 K an hour ± 1.0 K', tone: 'odd' });
    expect(drift(-3.5, 1).title).toContain('−3.5 K');
    expect(drift(3, 1).tone).toBe('good');
    expect(drift(0.9, 0.1)).toMatchObject({ tone: 'good', meaning: 'No drift that its scatter would not explain.' });
    const bins = [{ atC: 20 }, { atC: 60 }, { atC: 80 }];
    const compare = (worstK: number) =>
      say({ kind: 'compare', channel: 't', against: 'p', bins, worstK, worstAtC: 60 });
    expect(compare(-5)).toEqual({
      title: 'Coolant against Probe: at most 5.0 K apart, at 60 °C',
      meaning: '3 ranges of temperature compared, from 20 °C to 80 °C.',
      tone: 'good',
    });
    expect(compare(-5.1).tone).toBe('odd');
  });
  test('the divider’s curve, by pull-up or by B', () => {
    const divider = (change: object) =>
      say({
        kind: 'divider',
        volts: 'v',
        against: 't',
        referenceV: { value: 5.01, sigma: 0.02 },
        pullUpOhm: { value: 2490, sigma: 30 },
        betaK: null,
        bins: [],
        leaves: null,
        ...change,
      });
    expect(divider({})).toEqual({
      title: 'Divider’s curve through the cloud: reference 5.01 ± 0.02 V, pull-up 2.49 kΩ ± 30.0 Ω',
      meaning: 'The voltage follows one curve over the whole range.',
      tone: 'good',
    });
    expect(divider({ pullUpOhm: null, betaK: { value: 3597.6, sigma: 41.2 } }).title).toContain('B 3598 ± 41 K');
    expect(divider({ leaves: { fromC: 70, toC: 80, offK: -12 } })).toMatchObject({
      meaning: 'It deviates from 70 °C to 80 °C, by up to 12.0 K: something changes there.',
      tone: 'odd',
    });
  });
  test('a warm-up', () => {
    const warm = (change: object) =>
      say({
        kind: 'warm-up',
        channel: 't',
        fromS: 0,
        toS: 300,
        fromC: 18,
        toC: 90,
        setback: 0,
        holds: 'holds',
        plateauC: 88,
        overshootK: 0,
        cycles: null,
        timeConstantS: { value: 200, sigma: 5 },
        ...change,
      });
    expect(warm({})).toEqual({
      title: 'Coolant warms up smoothly: 18 °C → 90 °C in 5:00',
      meaning: 'Held at 88 °C.',
      tone: 'good',
    });
    expect(warm({ plateauC: null }).meaning).toBe('Held at 90 °C.');
    expect(warm({ setback: 2.5 })).toMatchObject({
      tone: 'odd',
      title: expect.stringContaining('with a setback of 2.5 K') as string,
    });
    expect(warm({ setback: 2.5 }).meaning).toContain('Suspect a contact or air');
    expect(warm({ setback: 2.4 }).tone).toBe('good');
    expect(warm({ holds: 'stays-low', plateauC: 62 })).toMatchObject({ tone: 'odd' });
    expect(warm({ holds: 'stays-low', plateauC: 62 }).meaning).toMatch(/^It stays at 62 °C: .* Time constant 3:20\.$/);
    expect(warm({ holds: 'still-rising', plateauC: null })).toMatchObject({
      tone: 'good',
      meaning: 'It was still rising at the end.',
    });
    expect(warm({ cycles: { count: 3, periodS: 95, swingK: 4 } }).meaning).toBe(
      'Held at 88 °C. The fan turns 3 times, every 1:35, 4.0 K up and down.',
    );
  });
  test('times, differences, how a log was read, what goes on the check', () => {
    expect([0.26, 9.96, 12.4, 59.6, 60, 83, 3723].map(clockText)).toEqual([
      '0.3 s',
      '10.0 s',
      '12 s',
      '60 s',
      '1:00',
      '1:23',
      '1:02:03',
    ]);
    expect([kelvinText(2.54, 'C'), kelvinText(2.5, 'F')]).toEqual(['2.5 K', '4.5 °F']);
    const read = (skipped: number, setBack: number) =>
      logReadText({ rows: 12_345, skipped, firstSkipped: 7, setBack } as never);
    expect(read(0, 0)).toBe('12,345 rows');
    expect(read(2, 1)).toBe(
      '12,345 rows · 2 lines could not be read, the first is line 7 · the clock ran back once; the log runs on from there',
    );
    expect(read(0, 3)).toContain('ran back 3 times');
    expect(evidenceText({ kind: 'thermometer', hot: true, valueC: 80.06 }, 'C')).toBe('Thermometer, hot 80.1 °C');
    expect(evidenceText({ kind: 'thermometer', hot: false, valueC: 20 }, 'C')).toBe('Thermometer 20 °C');
    expect(evidenceText({ kind: 'hint', place: 'C2', hint: 'wiggle-moves' }, 'C')).toBe('C2: moves when wiggled');
    expect(evidenceText({ kind: 'hint', place: 'C2', hint: 'wiggle-still' }, 'C')).toBe(
      'C2: does not move when wiggled',
    );
    expect(evidenceText({ kind: 'finding', id: 'chafed' }, 'C')).toBe('Harness chafed or pinched');
    expect(evidenceText({ kind: 'finding', id: 'gremlin' }, 'C')).toBe('gremlin');
  });
});

describe('live values', () => {
  test('what went wrong on a line; does it stand', () => {
    expect(lineFaultText('silent', '')).toBe('no answer in time');
    expect(lineFaultText('garbled', 'A?')).toBe('an answer that cannot be read: “A?”');
    const still = { still: true, overS: 12.4, spread: 0.2 } as never;
    expect(standStillText(still, 'celsius', 'C')).toBe('steady: 12 s within ±0.2 K');
    expect(standStillText(still, 'volts', 'C')).toBe('steady: 12 s within ±0.200 V');
    for (const quantity of ['celsius', 'volts', 'ohms'] as const)
      expect(standStillText({ still: true, overS: 3, spread: 0 } as never, quantity, 'C')).toBe(
        'steady: unchanged for 3 s',
      );
    const hardly = { still: true, overS: 3, spread: 0.0002 } as never;
    expect(standStillText(hardly, 'celsius', 'C')).toBe('steady: 3 s within ±0.1 K');
    expect(standStillText(hardly, 'volts', 'C')).toBe('steady: 3 s within ±0.001 V');
    expect(standStillText({ still: false, why: 'few' } as never, 'volts', 'C')).toBe('too few values yet');
    expect(standStillText({ still: false, why: 'moving', amount: -3 } as never, 'celsius', 'C')).toBe(
      'falling by 3.0 K a minute',
    );
    expect(standStillText({ still: false, why: 'moving', amount: 0.5 } as never, 'volts', 'C')).toBe(
      'rising by 0.50 V a minute',
    );
    expect(standStillText({ still: false, why: 'jumping', amount: 1 } as never, 'volts', 'C')).toBe('jumps about');
  });
  test('a heat cycle', () => {
    const of = (v: object): string => cycleText(v as never, 'C');
    expect(of({ verdict: 'unfinished', missing: 'hot' })).toContain('Warm it by 25 K');
    expect(of({ verdict: 'not-told', why: 'too-soon' })).toContain('Read again too soon');
    expect(of({ verdict: 'sound', shiftK: -1 })).toMatch(/^It came back: 1\.0 K /);
    expect(of({ verdict: 'wrong-from-the-start', offK: -8, shiftK: 0 })).toMatch(/^It is 8\.0 K off before/);
    expect(of({ verdict: 'fails-hot', offK: -8, shiftK: 0 })).toMatch(/^Hot, it is 8\.0 K off/);
    expect(of({ verdict: 'fails-after-heat', offK: 8, shiftK: 0 })).toMatch(/^After the heat it is 8\.0 K off/);
  });
});

describe('comparing, judging, plugs and the complaint', () => {
  const view = (own: object, rest: object = {}): ComparisonView => ({
    own: { direction: 'open', jumps: [], returned: null, tangent: null, againstCurveK: [], ...own },
    other: null,
    slope: 'ntc',
    pairs: [{ id: 'p', sensor: 'this', phase: 'heating', resistanceOhm: 2000, temperatureC: 25 }],
    ...rest,
  });
  const lines = (...args: Parameters<typeof view>) =>
    compareText(view(...args), 'C').map((l) => `${l.odd ? '! ' : ''}${l.text}`);
  test('a comparison', () => {
    expect(lines({})).toEqual([]);
    expect(lines({ direction: 'ntc' })).toEqual(['Resistance falls as it warms, as it should.']);
    expect(lines({ direction: 'ptc' }, { slope: 'ptc' })).toEqual(['Resistance rises as it warms, as it should.']);
    expect(lines({ direction: 'mixed' })).toEqual(['! The curve reverses. No healthy sensor does that.']);
    expect(lines({ direction: 'ptc' })[0]).toMatch(/^! Resistance rises as it warms: another kind/);
    expect(lines({ direction: 'ntc' }, { slope: 'ptc' })[0]).toMatch(/^! Resistance falls as it warms: another kind/);
    expect(lines({ jumps: ['p', 'gone'] })).toEqual([
      '! Off the curve: 2.00 kΩ at 25 °C. Repeat it. If it stays, the sensor jumps.',
    ]);
    expect(lines({ returned: { ok: true, ratio: 1 } })).toEqual(['After the heat cycle it came back to where it was.']);
    expect(lines({ returned: { ok: false, ratio: 1.234 } })[0]).toContain('(× 1.23)');
    expect(lines({ returned: { ok: false, ratio: Infinity } })[0]).toContain('(open)');
    expect(lines({}, { other: { ratio: 1.08, differs: true } })[0]).toMatch(
      /^! It differs from the other sensor by \+8 %/,
    );
    expect(lines({}, { other: { ratio: 0.97, differs: false } })).toEqual(['It agrees with the other sensor (−3 %).']);
    const tangent = { atC: 25, ohmPerK: -81.3, holdsK: 9.6 };
    expect(lines({ tangent })).toEqual([
      'Near 25 °C it falls by about 81 Ω per °C: a tangent, good to a tenth for 10 °C only.',
    ]);
    expect(compareText(view({ tangent: { ...tangent, ohmPerK: 3.6 } }), 'F')[0].text).toBe(
      'Near 77 °F it rises by about 2 Ω per °F: a tangent, good to a tenth for 17 °F only.',
    );
  });
  test('a judged resistance', () => {
    const judged = (change: object): Judged =>
      ({
        ok: true,
        nominalOhm: 3520,
        tolerance: { low: 3340, high: 3700 },
        acceptance: { low: 3400, high: 3640 },
        probability: 0.97,
        decision: 'accept',
        errorK: 0,
        errorSigmaK: 0.5,
        risks: { consumer: 0.0004, producer: 0.0126 },
        ...change,
      }) as unknown as Judged;
    const of = (change: object, unit: 'C' | 'F' = 'C') =>
      judgedText(judged(change), 'engine', unit).map((l) => `${l.odd ? '! ' : ''}${l.text}`);
    expect(of({})).toEqual([
      'Passes. Inside with 97 %. Should be 3.52 kΩ (3.34 … 3.70 kΩ).',
      'To pass at 95 % it must read 3.40 … 3.64 kΩ. Of 1000 parts judged like this, none would pass although outside, 13 would not pass although inside.',
      'The display is not moved by it.',
    ]);
    expect(of({ decision: 'open' })[0]).toMatch(/^! Open:/);
    expect(of({ acceptance: { low: 3600, high: 3500 } })[1]).toMatch(/^! Meter and thermometer are too coarse/);
    expect(of({ errorK: -3 })[2]).toBe('The display reads about 3.0 °C too cold.');
    expect(of({ errorK: 3, errorSigmaK: 1.5 })[2]).toBe(
      'The display reads about 3.0 °C too hot, within what meter and thermometer leave open.',
    );
    expect(of({ errorK: -8 })[2]).toBe(
      '! The display reads about 8.0 °C too cold: it runs rich, starts badly when hot, fans come late or never.',
    );
    expect(of({ errorK: 5 })[2]).toBe('The display reads about 5.0 °C too hot.');
    expect(of({ errorK: 0.49 })[2]).toBe('The display is not moved by it.');
    expect(judgedText({ ok: false, reason: 'outside-curve', minC: 0, maxC: 80 } as never, 'engine', 'C')).toEqual([
      { text: 'Outside this curve (0 °C … 80 °C).', odd: true },
    ]);
  });
  test('plugs and values', () => {
    const record = {
      plugs: [
        { id: 'p', name: 'left' },
        { id: 'q', name: '' },
      ],
      values: [
        { id: 'v', name: 'oil' },
        { id: 'w', name: 'water' },
      ],
      measuredPlugId: 'p',
      wantedValueId: 'w',
    } as unknown as RightSensor;
    const map = (change: Partial<PlugMap>) =>
      plugText(record, { wrongPlug: null, pairs: [], conflicts: [], dead: [], ...change } as unknown as PlugMap).map(
        (l) => `${l.odd ? '! ' : ''}${l.text}`,
      );
    const pairs = [{ plugId: 'q', valueId: 'w', how: 'left-over' }] as never;
    expect(map({ pairs })).toEqual(['“unnamed plug” is “water”, as the one left over.']);
    expect(map({ pairs: [{ plugId: 'p', valueId: 'v', how: 'moved' }] as never })).toEqual(['“left” is “oil”.']);
    expect(map({ wrongPlug: true, pairs })[0]).toBe(
      '! The readings so far were taken on the wrong plug: “left”. “water” comes from “unnamed plug”. Void them and measure there.',
    );
    expect(map({ wrongPlug: true })[0]).toBe(
      '! The readings so far were taken on the wrong plug: “left”. Void them and measure there.',
    );
    expect(map({ wrongPlug: false })).toEqual(['The readings were taken on the right plug.']);
    expect(map({ dead: ['p'] })).toEqual([
      '! “left” changed nothing: it is already open or shorted, or belongs to another value.',
    ]);
    expect(map({ conflicts: [{ kind: 'two-values', plugIds: ['p'], valueIds: ['v', 'w'] }] as never })[0]).toContain(
      '“left” moved two values (oil, water)',
    );
    expect(map({ conflicts: [{ kind: 'two-plugs', plugIds: ['p', 'q'], valueIds: ['v'] }] as never })[0]).toContain(
      '“oil” moved with two plugs (left, unnamed plug)',
    );
  });
  test('the complaint against the display', () => {
    const with_ = (
      symptoms: string[],
      shown: number | null,
      air: number | null,
      causes: Record<string, string> = {},
    ) => {
      const j = job();
      j.complaint.symptoms = symptoms;
      j.complaint.causes = causes as never;
      if (shown !== null) j.readings.push({ id: 'r', measurement: 'displayed', text: '', value: shown } as never);
      if (air !== null) j.moments[0].temperatureC = entry(String(air), air);
      const said = complaintText(j, 'C');
      return said && `${said.odd ? '! ' : ''}${said.text}`;
    };
    expect(with_([], null, null)).toBeNull();
    expect(with_(['rich'], null, 20)).toBe(
      'The symptoms say: reads too cold. Compare the displayed value with a thermometer.',
    );
    expect(with_(['rich'], 10, null)).toBe(
      'The symptoms say: reads too cold. Compare the displayed value with a thermometer.',
    );
    expect(with_(['rich'], 16, 20)).toBe('The symptoms say: reads too cold. 16 °C shown at 20 °C: agrees.');
    expect(with_(['rich'], 24, 20)).toBe(
      '! The symptoms say: reads too cold. 24 °C shown at 20 °C: the opposite. Is it the right sensor and the right value?',
    );
    expect(with_(['rich'], 23.9, 20)).toMatch(/^! .*no difference now/);
    expect(with_([], 10, 20, { fan: 'found' })).toMatch(/^! A cause that is not electrical was found/);
    expect(with_([], 10, 20, { fan: 'excluded' })).toBeNull();
  });
});

describe('smaller sentences', () => {
  test('where a value will settle', () => {
    expect(settlingText({ ok: false, reason: 'too-few' } as never)).toContain('Three readings');
    expect(settlingText({ ok: false, reason: 'same-times' } as never)).toContain('three different minutes');
    expect(settlingText({ ok: false, reason: 'straight' } as never)).toContain('does not settle yet');
    const s = { ok: true, final: 2003.47, uncertainty: 12.34, settledAtMin: 7.25 };
    expect(settlingText({ ...s, settled: true } as never)).toBe('Settled at 2003 (± 12).');
    expect(settlingText({ ...s, settled: false } as never)).toBe(
      'Will settle at about 2003 (± 12), to 1 % at minute 7.3.',
    );
  });
  test('a backup that is due, and sizes of data', () => {
    const lines = [
      { createdAt: '2026-11-01T00:00:00Z', updatedAt: '2026-11-10T00:00:00Z' },
      { createdAt: '2026-11-03T00:00:00Z', updatedAt: '2026-11-04T00:00:00Z' },
    ];
    expect(backupDueText(lines, '2026-11-05T00:00:00Z', '2026-11-12T00:00:00Z')).toBe(
      'Not backed up for 7 days: 1 check.',
    );
    expect(backupDueText(lines, '2026-11-05T00:00:00Z', '2026-11-11T23:00:00Z')).toBe('');
    expect(backupDueText(lines, '2026-11-10T00:00:00Z', '2026-12-12T00:00:00Z')).toBe('');
    expect(backupDueText(lines, '', '2026-11-12T00:00:00Z')).toBe('Not backed up for 11 days: 2 checks.');
    expect(backupDueText([], '', '2026-11-12T00:00:00Z')).toBe('');
    expect([0, 1, 999, 1000, 9960, 12_345, 3.4e6, 2e9, 5e12].map(bytesText)).toEqual([
      '0 bytes',
      '1 byte',
      '999 bytes',
      '1.0 kB',
      '10.0 kB',
      '12 kB',
      '3.4 MB',
      '2.0 GB',
      '5000 GB',
    ]);
  });
  test('what a told figure is taken for', () => {
    const of = (text: string, quantity: 'told-celsius' | 'ohm-band' | 'volts') =>
      toldText(entry(text, 21), quantity, 'C');
    expect(of('18…24', 'told-celsius')).toBe('18 … 24 °C');
    expect(of('20', 'told-celsius')).toBe('');
    expect(of('nothing', 'told-celsius')).toBe('');
    expect(of('2–3 k', 'ohm-band')).toBe('2.00 … 3.00 kΩ');
    expect(of('3–2 k', 'ohm-band')).toBe('');
    expect(of('4.5', 'volts')).toBe('');
  });
  test('what a form misses; what a test can show', () => {
    expect(missText({ worstK: 0.123, leftOutK: NaN })).toBe('0.12 K at its own rows, none of which can be left out');
    expect(missText({ worstK: 0.1, leftOutK: 0.456 })).toBe('0.46 K at left-out rows');
    const leaves = (...names: string[]) => names.map((name) => ({ fault: name, name, probability: 0.3 }));
    const of = (interval: { low: number; high: number }, ...names: string[]) =>
      outcomeLines(
        { measurement: 'sensor-ohms', outcomes: [{ interval, probability: 0.304, leaves: leaves(...names) }] } as never,
        'C',
      )[0];
    expect(of({ low: 1000, high: 2000 }, 'a', 'b')).toMatchObject({
      range: '1.00 … 2.00 kΩ',
      leaves: 'a or b',
      chance: '30 %',
    });
    expect(of({ low: Infinity, high: Infinity }, 'a', 'b', 'c')).toMatchObject({
      range: 'OL',
      leaves: 'a or b or another',
    });
    expect(of({ low: 1000, high: 2000 }).leaves).toBe('many');
  });
});
