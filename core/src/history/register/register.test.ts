import { describe, expect, test } from 'vitest';
import { type JobLine } from '../../check/job/jobList.ts';
import { recurrenceOf } from '../../check/job/jobAgain.ts';
import { jobLine } from '../../check/job/jobLine.ts';
import { type Job, jobSchema } from '../../check/job/jobSchema.ts';
import { newJob } from '../../check/job/newJob.ts';
import { priorFactors } from '../../check/job/priorFactors.ts';
import { duesOf } from './dues.ts';
import { placeCode, placeKey, typedPlaceCode } from './placeKey.ts';
import { earlierAt, machinesOf, placesOfLines } from './register.ts';
import { failingParts, sharedFaults } from './repeats.ts';

const DAY = (n: number): string => new Date(Date.UTC(2025, 0, n)).toISOString();
function check(
  id: string,
  day: number,
  machine: string,
  circuit: string,
  change: (job: Job) => void = () => undefined,
): Job {
  const job = newJob(id, DAY(day));
  Object.assign(job, { machine, title: id });
  job.circuit.name = circuit;
  change(job);
  return job;
}
const line = (...of: Parameters<typeof check>): JobLine => jobLine(check(...of));
const decided =
  (group: 'sensor' | 'wiring' | 'healthy', day = 0, partNumber = '') =>
  (job: Job) => {
    job.decision = { group, toolGroup: group, toolProbability: 0.9, reason: '', decidedAt: job.createdAt };
    if (day > 0) job.repair = { ...job.repair, doneAt: DAY(day), partNumber };
  };

describe('places', () => {
  test('spacing, capitals and width make no other place; a machine without a name is none; two circuits are two', () => {
    expect(placeKey(' Pump  3', 'Coolant ')).toBe(placeKey('ＰＵＭＰ 3', 'coolant'));
    expect(placeKey('  ', 'coolant')).toBe('');
    expect(placeKey('a', 'b c')).not.toBe(placeKey('a b', 'c'));
  });
  test('a code is the same everywhere and typed any way; another sign, or one too few, is none', () => {
    const code = placeCode(placeKey('Pump 3', 'Coolant'));
    // Held as it is: a label printed years ago must be found.
    expect(code).toBe('HWF-TG2C');
    expect(typedPlaceCode(` ${code.toLowerCase().replace('-', ' ')} `)).toBe(code);
    expect(typedPlaceCode(`https://shop.example/logbook/${code}?a=b#c`)).toBe(code);
    for (const none of ['', 'KAY-9BW', 'KAY-9BW0', 'HWF-TG2C3']) expect(typedPlaceCode(none)).toBeNull();
  });
  test('twenty thousand places have codes of their own, each sign in use', () => {
    const codes = Array.from({ length: 20_000 }, (_, i) => placeCode(placeKey(`Machine ${i}`, 'coolant')));
    expect(new Set(codes).size).toBe(codes.length);
    for (let at = 0; at < 8; at++) if (at !== 3) expect(new Set(codes.map((c) => c[at])).size).toBe(29);
  });
});

describe('the register', () => {
  const lines = [
    line('a', 1, 'Pump 3', 'Coolant'),
    line('b', 5, 'pump 3', 'Coolant'),
    line('c', 3, 'PUMP 3', 'Air'),
    line('d', 9, 'Boiler', 'Flow', (j) => (j.field = 'boiler')),
    line('e', 9, '', 'Flow'),
  ];
  test('machines with their places and checks, the newest first', () => {
    const machines = machinesOf(placesOfLines(lines));
    expect(
      machines.map((m) => [m.name, m.updatedAt, m.places.map((p) => [p.circuit, p.field, p.lines.map((l) => l.id)])]),
    ).toEqual([
      ['Boiler', DAY(9), [['Flow', 'boiler', ['d']]]],
      [
        'pump 3',
        DAY(5),
        [
          ['Air', 'engine', ['c']],
          ['Coolant', 'engine', ['b', 'a']],
        ],
      ],
    ]);
  });
  test('earlier checks at a place: not the check itself, none begun later, none of a nameless machine', () => {
    const third = line('z', 6, 'Pump 3', 'coolant');
    expect(earlierAt([...lines, third], third).map((l) => l.id)).toEqual(['b', 'a']);
    expect(earlierAt(lines, lines[0])).toEqual([]);
    expect(earlierAt(lines, { ...lines[4], id: 'y', createdAt: DAY(20) })).toEqual([]);
  });
});

describe('across places', () => {
  test('the same fault on three machines is one thing; two machines, or nothing wrong, are not', () => {
    const on = (id: string, machine: string, group: Parameters<typeof decided>[0]) =>
      line(id, 2, machine, 'Coolant', decided(group));
    const three = [on('a', 'A', 'sensor'), on('b', 'B', 'sensor'), on('c', 'c', 'sensor'), on('d', 'C', 'sensor')];
    expect(sharedFaults(three.slice(0, 2))).toEqual([]);
    expect(sharedFaults([on('a', 'A', 'healthy'), on('b', 'B', 'healthy'), on('c', 'C', 'healthy')])).toEqual([]);
    const [fault, ...more] = sharedFaults([...three, on('w', 'D', 'wiring')]);
    expect(more).toEqual([]);
    expect(fault).toMatchObject({ group: 'sensor', circuit: 'Coolant', machines: ['A', 'B', 'c'] });
    expect(fault.lines.map((l) => l.id)).toEqual(['a', 'b', 'c', 'd']);
  });
  test('a part counts against its number only where the next check there finds the sensor at fault again', () => {
    const lines = [
      line('a', 1, 'A', 'Coolant', decided('sensor', 2, 'PN 7')),
      line('a2', 30, 'A', 'Coolant', decided('sensor', 31, 'PN 8')),
      line('b', 1, 'B', 'Coolant', decided('sensor', 2, 'pn  7')),
      line('b2', 40, 'B', 'Coolant', decided('wiring', 41)),
      line('b3', 60, 'B', 'Coolant', decided('sensor', 61)),
      line('c', 1, 'C', 'Coolant', decided('sensor', 2, 'PN 7')),
    ];
    expect(failingParts(lines)).toEqual([{ partNumber: 'PN 7', fitted: 3, failedAgain: 1 }]);
    expect(failingParts(lines.slice(2))).toEqual([]);
  });
});

test('what is due: stand-ins first, the oldest on top, then follow-ups by day; what is done or taken out is not', () => {
  const follow = (id: string, dueOn: string, doneAt: string | null = null) => ({
    id,
    text: `look ${id}`,
    dueOn,
    doneAt,
  });
  const standIn =
    (day: number, removedAt: string | null = null) =>
    (job: Job) => {
      job.repair.standIn = { what: '2k2', fittedAt: DAY(day), removedAt };
    };
  const lines = [
    line(
      'a',
      1,
      'A',
      'x',
      (j) => (j.followUps = [follow('2', '2025-03-01'), follow('1', '2025-02-01'), follow('0', '2025-01-01', DAY(3))]),
    ),
    line('b', 1, 'B', 'x', standIn(9)),
    line('c', 1, 'C', 'x', standIn(4)),
    line('d', 1, 'D', 'x', standIn(2, DAY(3))),
  ];
  expect(duesOf(lines).map((d) => [d.kind, d.line.id, d.text, d.on])).toEqual([
    ['stand-in', 'c', '2k2', '2025-01-04'],
    ['stand-in', 'b', '2k2', '2025-01-09'],
    ['follow-up', 'a', 'look 1', '2025-02-01'],
    ['follow-up', 'a', 'look 2', '2025-03-01'],
  ]);
});

describe('a fault that came back', () => {
  const first = check('first', 1, 'Pump 3', 'Coolant', (j) => {
    decided('sensor', 2)(j);
    j.complaint.text = 'reads cold';
    j.complaint.replaced = ['connector'];
    j.readings = [];
  });
  test('is a check of its own, linked to the first, which knows what was repaired in vain', () => {
    const again = recurrenceOf(first, 'again', DAY(20));
    expect(jobSchema.safeParse(again).success).toBe(true);
    expect(again).toMatchObject({
      id: 'again',
      machine: 'Pump 3',
      decision: null,
      recurrenceOf: { id: 'first', title: 'first' },
    });
    expect(again.complaint).toMatchObject({ text: 'reads cold', replaced: ['connector', 'sensor'] });
    expect(jobLine(again).recurrenceOf).toBe('first');
    expect(priorFactors(again, null).map((f) => f.name)).toContain('A new sensor is fitted already and did not help');
  });
  test('nothing repaired, or nothing wrong in the circuit, was nothing in vain; a template has no link', () => {
    const open = { ...first, repair: { ...first.repair, doneAt: null } };
    expect(recurrenceOf(open, 'x', DAY(20)).complaint.replaced).toEqual(['connector']);
    const sound = { ...first, decision: { ...first.decision!, group: 'installation' as const } };
    expect(recurrenceOf(sound, 'x', DAY(20)).complaint.replaced).toEqual(['connector']);
    expect(recurrenceOf(recurrenceOf(first, 'x', DAY(20)), 'y', DAY(30)).recurrenceOf?.id).toBe('x');
  });
});
