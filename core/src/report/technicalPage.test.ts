import { describe, expect, test } from 'vitest';
import { newJob } from '../check/job/newJob.ts';
import type { Job } from '../check/job/jobSchema.ts';
import { noWorkshop } from '../catalogue/kit/workshopSchema.ts';
import type { Assessment } from '../inference/verdict/assessment.ts';
import { customerPage } from './customerPage.ts';
import { reportHtml } from './reportHtml.ts';
import { type Report, reportOf } from './reportOf.ts';
import { technicalPage } from './technicalPage.ts';

const NOW = '2026-01-02T03:04:05.000Z';
const LATER = '2026-02-03T04:05:06.000Z';
const day = (iso: string): string => iso.slice(0, 10);
const options = { unit: 'C', when: (iso: string) => `at ${day(iso)}`, day } as const;
const entry = (text: string, value: number | null = Number(text)) => ({ text, value });
const made = (change: (job: Job) => void): Job => {
  const job = newJob('j', NOW);
  change(job);
  return job;
};
const reading = (id: string, measurement: string, value: number | 'OL' | null, change: object = {}) =>
  ({
    id,
    measurement,
    text: String(value),
    value,
    conditions: {},
    state: 'steady',
    note: '',
    voided: null,
    history: [],
    takenAt: NOW,
    ...change,
  }) as never;
/** A verdict by hand over two readings. */
const verdict = {
  doubt: { kind: 'none' },
  groups: [
    { group: 'sensor', probability: 0.96 },
    { group: 'wiring', probability: 0.04 },
  ],
  suspects: [
    {
      fault: 'sensor-open',
      name: 'sensor open',
      group: 'sensor',
      probability: 0.96,
      predicts: [
        { low: -40, high: -39 },
        { low: Infinity, high: Infinity },
      ],
      size: null,
      detail: null,
      onlyIn: null,
    },
    {
      fault: 'signal-open',
      name: 'signal wire open',
      group: 'wiring',
      probability: 0.04,
      predicts: [
        { low: -40, high: -39 },
        { low: 1900, high: 2100 },
      ],
      size: null,
      detail: 'at C1',
      onlyIn: null,
    },
  ],
  readings: [
    { id: 'a', measurement: 'displayed', verdict: 'low', blunder: 0, slip: null, healthy: { low: 18, high: 22 } },
    {
      id: 'b',
      measurement: 'sensor-ohms',
      verdict: 'inside',
      blunder: 0,
      slip: null,
      healthy: { low: 1900, high: 2100 },
    },
  ],
  values: [-40, Infinity],
  stretched: [],
  thermometerSlip: null,
} as unknown as Assessment;
const sections = (
  job: Job,
  a: Assessment | null = null,
  healthy: Parameters<typeof technicalPage>[2] = null,
  more: object = {},
) => Object.fromEntries(technicalPage(job, a, healthy, { ...options, ...more }).map((s) => [s.id, s]));
const lines = (id: string, change: (job: Job) => void, a: Assessment | null = null): string[] | undefined =>
  sections(made(change), a)[id]?.lines;

describe('the technical page, section by section', () => {
  test('a fresh job has its circuit and nothing else', () => {
    expect(Object.keys(sections(newJob('j', NOW)))).toEqual(['circuit']);
  });
  test('the complaint: said, symptoms, codes with their state, replaced, causes, against the readings', () => {
    expect(
      lines('complaint', (j) => {
        j.complaint.text = ' runs rich ';
        j.complaint.symptoms = ['rich', 'hard-start'];
        j.complaint.codes = [{ code: 'P0118', state: 'came-back' } as never, { code: 'X99', state: 'past' } as never];
        j.complaint.replaced = ['sensor', 'wiring'] as never;
        j.complaint.causes = { fan: 'excluded', air: 'excluded', gremlin: 'found' } as never;
      }),
    ).toEqual([
      'Said: runs rich',
      'Symptoms: Rich mixture, black smoke, sooty tailpipe; Hard starting, worse when hot',
      expect.stringMatching(/^Code P0118 \(cleared, came back\)\. .*reads cold/) as string,
      'Code X99 (from the past).',
      'Replaced before: sensor, wiring',
      'Other causes: Fan or its relay: ruled out; Air at the sensor: ruled out; gremlin: found',
      expect.stringMatching(/^Against the readings: A cause that is not electrical was found/) as string,
    ]);
  });
  test('the circuit: layout, reference, pull-up, curve, the way, thermometer, kit', () => {
    const of = (layout: 'pull-up' | 'pull-down' | 'one-wire'): string =>
      lines('circuit', (j) => {
        j.circuit.name = 'Coolant';
        j.circuit.layout = layout;
        j.circuit.referenceV = entry('5');
        j.circuit.pullUpOhm = entry('2490');
      })![0];
    expect(of('pull-up')).toMatch(
      /^Coolant: sensor to ground, pull-up in the module; reference 5\.00 V, pull-up 2\.49 kΩ; curve .+\.$/,
    );
    expect(of('pull-down')).toMatch(/sensor to the reference, pull-down in the module; .*, pull-down 2\.49 kΩ/);
    expect(of('one-wire')).toContain('one wire, return through the body');
    const all = lines('circuit', (j) => {
      j.circuit.name = '';
      j.moments[0].temperatureC = entry('21.5');
      j.kit.name = 'van';
    })!;
    expect(all[0]).toMatch(/^Circuit: /);
    expect(all.slice(1)).toEqual(['Thermometer beside the sensor: 21.5 °C', 'Measured with: van']);
  });
  test('readings: measured, healthy, what the suspect would show, how each stands', () => {
    const job = made((j) => {
      j.readings = [
        reading('a', 'displayed', -40, { note: 'at once', history: [{ text: '-4' }, { text: '-400' }] }),
        reading('b', 'sensor-ohms', 'OL', { state: 'hot' }),
        reading('c', 'open-voltage', null, { text: 'abc', takenAt: null }),
        reading('d', 'open-voltage', 5, { voided: { reason: 'wrong pin', at: NOW } }),
      ];
    });
    const { table } = sections(job, verdict).readings;
    expect(table!.head).toEqual(['Test', 'Measured', 'Healthy', 'if sensor open', 'Standing', 'Taken']);
    expect(table!.rows.map((r) => r.slice(1))).toEqual([
      ['−40 °C', '18 … 22 °C', '−40 … −39 °C', 'low; at once; corrected from -4, -400', 'at 2026-01-02'],
      ['OL', '1.90 … 2.10 kΩ', 'OL', 'as healthy', 'at 2026-01-02'],
      ['abc', '', '', 'not counted', ''],
      ['5.00 V', '', '', 'excluded: wrong pin', 'at 2026-01-02'],
    ]);
    expect(table!.rows[1][0]).toMatch(/, hot or after heat$/);
    const healthy = { ...verdict, suspects: [{ ...verdict.suspects[0], fault: 'healthy', name: 'nothing wrong' }] };
    const sound = sections(job, healthy).readings.table!;
    expect(sound.head[3]).toBe('suspect');
    expect(sound.rows[0][3]).toBe('');
    expect(sections(job, null).readings.table!.rows[0].slice(2, 5)).toEqual([
      '',
      '',
      'not counted; at once; corrected from -4, -400',
    ]);
  });
  test('what was seen, and the note', () => {
    expect(
      lines('look', (j) => {
        j.findings = ['chafed', 'corrosion'];
        j.note = 'behind the tank';
      }),
    ).toEqual(['Corrosion or bent pins at the plug', 'Harness chafed or pinched', 'Note: behind the tank']);
  });
  test('the verdict: in words, by groups, three suspects at most', () => {
    const job = made((j) => (j.readings = [reading('a', 'displayed', -40)]));
    expect(sections(job, verdict).verdict.lines).toEqual([
      'Sensor open',
      'Sensor 96 %, Wiring 4 %',
      '96 % sensor open',
      '4 % signal wire open, at C1',
    ]);
    const four = { ...verdict, suspects: [...verdict.suspects, ...verdict.suspects] };
    expect(sections(job, four).verdict.lines).toHaveLength(5);
    expect(sections(job, { ...verdict, doubt: { kind: 'no-readings' } } as never).verdict).toBeUndefined();
    expect(sections(job, null).verdict).toBeUndefined();
  });
  test('the decision, with the tool or against it', () => {
    const decided = (group: 'sensor' | 'wiring', reason = '') =>
      lines(
        'decision',
        (j) => (j.decision = { group, toolGroup: 'sensor', toolProbability: 0.93, reason, decidedAt: LATER }),
      );
    expect(decided('sensor')).toEqual(['Sensor (as the tool), at 2026-02-03.']);
    expect(decided('wiring', 'seen it')).toEqual([
      'Wiring (the tool then said sensor, 93 %), at 2026-02-03.',
      'Reason: seen it',
    ]);
  });
  test('the repair; a stand-in is never one', () => {
    const repair = (change: Partial<Job['repair']>) => lines('repair', (j) => Object.assign(j.repair, change));
    expect(repair({ part: 'sensor', partNumber: '12-3', cause: 'aged', done: 'changed', doneAt: LATER })).toEqual([
      'Part: sensor, 12-3',
      'Cause: aged',
      'Work: changed',
      'Repaired at 2026-02-03.',
    ]);
    expect(repair({ partNumber: '12-3' })).toEqual(['Part: 12-3']);
    expect(repair({ standIn: { what: '2k2', fittedAt: NOW, removedAt: null } })).toEqual([
      'TEMPORARY stand-in still fitted: 2k2, since at 2026-01-02. Not a repair.',
    ]);
    expect(repair({ standIn: { what: '', fittedAt: NOW, removedAt: null } })![0]).toContain('not named');
    expect(repair({ standIn: { what: '2k2', fittedAt: NOW, removedAt: LATER } })).toEqual([
      'A temporary replacement (2k2) is out since at 2026-02-03.',
    ]);
  });
  test('the proof: thermometer, steps, figures against what is healthy, how it was closed', () => {
    const job = made((j) => {
      j.proof.temperatureC = entry('22');
      j.proof.steps = { 'codes-cleared': { state: 'passed', note: 'twice', at: LATER } } as never;
      j.proof.readings = [
        { measurement: 'displayed', text: '22', value: 22 },
        { measurement: 'sensor-ohms', text: 'OL', value: 'OL' },
        { measurement: 'open-voltage', text: '4', value: 4 },
        { measurement: 'loaded-voltage', text: '?', value: null },
      ];
      j.closed = { at: LATER, how: 'unproved', reason: 'sold' } as never;
    });
    const { lines: told, table } = sections(job, null, {
      displayed: { low: 20, high: 24 },
      'sensor-ohms': { low: 1900, high: 2100 },
      'open-voltage': { low: 4.8, high: 5.3 },
    }).proof;
    expect(told[0]).toBe('Thermometer at the proof: 22');
    expect(told.at(-1)).toBe('Closed at 2026-02-03, not verified. sold');
    expect(table!.rows.map((r) => r.slice(1))).toEqual([
      ['22 °C', '20 … 24 °C', 'as healthy'],
      ['OL', '1.90 … 2.10 kΩ', 'high'],
      ['4.00 V', '4.80 … 5.30 V', 'low'],
      ['?', '', ''],
    ]);
    const bare = made((j) => (j.closed = { at: LATER, how: 'proved', reason: '' } as never));
    expect(sections(bare).proof.lines).toEqual(['Closed at 2026-02-03, verified.']);
  });
  test('what is still to do', () => {
    expect(
      lines('follow-ups', (j) => {
        j.followUps = [
          { id: 'a', text: '', dueOn: '2026-03-01', doneAt: null },
          { id: 'b', text: 'look again', dueOn: '2026-03-01', doneAt: LATER },
        ];
      }),
    ).toEqual(['follow-up: due 2026-03-01', 'look again: done at 2026-02-03']);
  });
  test('which sensor, and what was compared, only where there is something', () => {
    const tried = lines('right-sensor', (j) => {
      j.rightSensor.plugs = [{ id: 'p', name: 'left' }] as never;
      j.rightSensor.values = [{ id: 'v', name: 'oil' }] as never;
      j.rightSensor.trials = [{ id: 't', plugId: 'p', how: 'unplugged', movedId: 'v' }] as never;
    });
    expect(tried).toEqual(['“left” is “oil”.']);
  });
});

describe('the page for the customer, line by line', () => {
  const told = (
    change: (job: Job) => void,
    a: Assessment | null = null,
    healthy: Parameters<typeof customerPage>[2] = null,
  ) => Object.fromEntries(customerPage(made(change), a, healthy, options).map((s) => [s.id, s.lines]));
  const decide = (toolGroup: 'sensor' | 'wiring') => (j: Job) =>
    (j.decision = { group: 'sensor', toolGroup, toolProbability: 0.993, reason: '', decidedAt: NOW });
  test('how it is known: how many stood out, three of them, the chance where the tool agreed', () => {
    const { known } = told(decide('sensor'), verdict);
    expect(known[0]).toBe('We took 2 readings. 1 of them was not as in a sound circuit.');
    expect(known[1]).toMatch(/: −40 °C\. A sound circuit shows 18 … 22 °C\.$/);
    expect(known[2]).toMatch(/^We compared this with every other fault .* The chance of this one is (over )?99/);
    expect(told(decide('wiring'), verdict).known).toHaveLength(2);
    expect(told(() => undefined, verdict).known).toHaveLength(2);
    const all = { ...verdict, readings: verdict.readings.map((r) => ({ ...r, verdict: 'high' })) } as never;
    expect(told(() => undefined, all).known[0]).toContain('None was as in a sound circuit');
    expect(told(() => undefined, all).known[2]).toContain('no connection at all');
    const none = { ...verdict, readings: verdict.readings.map((r) => ({ ...r, verdict: 'inside' })) } as never;
    expect(told(() => undefined, none).known).toEqual(['We took 2 readings. All were as in a sound circuit.']);
    expect(told(() => undefined, { ...verdict, readings: [] }).known).toBeUndefined();
    const four = {
      ...verdict,
      readings: Array.from({ length: 4 }, () => verdict.readings[0]),
      values: [1, 2, 3, 4],
    } as never;
    expect(told(() => undefined, four).known).toHaveLength(4);
  });
  test('the cause, the part, the day; a stand-in', () => {
    expect(
      told((j) => {
        decide('sensor')(j);
        j.repair.cause = ' aged ';
      }).wrong[1],
    ).toBe('The cause: aged');
    expect(
      told((j) =>
        Object.assign(j.repair, {
          done: ' changed ',
          part: 'sensor',
          partNumber: ' 12 ',
          doneAt: LATER,
          standIn: { what: ' ', fittedAt: NOW, removedAt: null },
        }),
      ).done,
    ).toEqual([
      'changed',
      'Part fitted: sensor, 12.',
      'Repaired on 2026-02-03.',
      'A temporary replacement is fitted (not named). It is not a repair and must come out again.',
    ]);
    expect(told((j) => (j.repair.standIn = { what: 'x', fittedAt: NOW, removedAt: LATER })).done).toBeUndefined();
  });
  test('the proof, counted; closed for a reason', () => {
    const healthy = { displayed: { low: 20, high: 24 }, 'sensor-ohms': { low: 1900, high: 2100 } };
    const proved = (how: 'proved' | 'unproved' | null) =>
      told(
        (j) => {
          j.proof.readings = [
            { measurement: 'displayed', text: '22', value: 22 },
            { measurement: 'sensor-ohms', text: 'OL', value: 'OL' },
            { measurement: 'open-voltage', text: '5', value: 5 },
          ];
          if (how) j.closed = { at: LATER, how, reason: ' sold ' };
        },
        null,
        healthy,
      ).proved;
    const again = 'We measured again after the repair. 1 of 2 readings were as in a sound circuit.';
    expect(proved('proved')).toEqual([again, 'The repair is confirmed. We closed the order on 2026-02-03.']);
    expect(proved('unproved')).toEqual([
      again,
      'The repair is not confirmed. We closed the order on 2026-02-03 for this reason: sold',
    ]);
    expect(proved(null)).toEqual([again]);
  });
});

describe('the report around its pages', () => {
  const report = (change: (job: Job) => void, more: object = {}): Report =>
    reportOf(made(change), null, null, { ...options, ...more });
  test('title, machine, begun and closed; who signs', () => {
    expect(report(() => undefined)).toMatchObject({
      title: 'Untitled check',
      subtitle: 'begun at 2026-01-02 · open',
      signatures: ['Technician · date', 'Customer · date'],
    });
    const workshop = { ...noWorkshop(), name: ' Yard ', technician: ' Ada ', contact: ' 1 Lane ' };
    const full = report(
      (j) => {
        j.title = 'Pump';
        j.machine = 'press 4';
        j.closed = { at: LATER, how: 'proved', reason: '' } as never;
      },
      { workshop },
    );
    expect(full).toMatchObject({
      title: 'Pump',
      subtitle: 'press 4 · begun at 2026-01-02 · closed at 2026-02-03, verified',
      head: { workshop: 'Yard', contact: '1 Lane' },
      signatures: ['Technician: Ada · date', 'Customer · date'],
    });
  });
  test('pages as wanted', () => {
    const of = (pages?: string) => {
      const { customer, sections: detail } = report(() => undefined, { pages });
      return [customer.length > 0, detail.length > 0];
    };
    expect([of(), of('both'), of('technical'), of('customer')]).toEqual([
      [true, true],
      [true, true],
      [false, true],
      [true, false],
    ]);
  });
  test('cautions of the tests that were done, each once; those of the field and of the report always', () => {
    const { cautions } = report((j) => {
      j.field = 'boiler';
      j.readings = [
        reading('a', 'displayed-bridged', 150),
        reading('b', 'displayed-bridged', 150),
        reading('c', 'bench-ohms', 1, { voided: { reason: '', at: NOW } }),
        reading('d', 'displayed', 20),
      ];
    });
    expect(cautions[0]).toContain('Identify the pin in the diagram first');
    expect(cautions.slice(1)).toEqual([
      'Mains, gas and combustion are for licensed persons, by the maker’s instructions and local codes.',
      'This report advises. The maker’s data, local codes and the licensed practitioner decide.',
    ]);
  });
  test('as HTML: pages under their headings, pictures only where they are pictures, charts and drawing in their places', () => {
    const colours = { ink: '#111', soft: '#222', line: '#333', accent: '#444' };
    const picture = 'data:image/png;base64,AAAA';
    const html = (r: Report, pictures: object = {}): string =>
      reportHtml(r, { drawing: null, charts: [], photos: [], logo: null, ...pictures }, colours);
    const full = report((j) => (j.readings = [reading('a', 'displayed', 20)]));
    const page = html(full, {
      drawing: '<svg id="d"></svg>',
      charts: [
        { image: picture, about: 'the course' },
        { image: 'http://x/y.png', about: 'no' },
      ],
      photos: [
        { image: picture, caption: '' },
        { image: 'javascript:1', caption: 'no' },
      ],
      logo: picture,
    });
    expect(page).toContain(`<img class="logo" src="${picture}" alt="">`);
    expect(page).toContain('<h2>For you</h2>');
    expect(page).toContain('<h2>The check in detail</h2>');
    expect(page.match(/<svg id="d">/g)).toHaveLength(1);
    expect(page.indexOf('<svg id="d">')).toBeGreaterThan(page.indexOf('<h3>Circuit</h3>'));
    expect(page.match(/alt="the course"/g)).toHaveLength(1);
    expect(page).toContain('alt="Photo of the check"');
    expect(page).not.toMatch(/http:|javascript:/);
    expect(page).toContain('<th scope="row">');
    expect(page).toContain('<caption>Measured and expected</caption>');
    expect(page).toContain('color:#111');
    expect(page).toContain('<p>Technician · date</p>');
    const bare = html(
      report(() => undefined, { pages: 'customer' }),
      { logo: 'nothing' },
    );
    expect(bare).not.toContain('The check in detail');
    expect(bare).not.toContain('<h3>Photos</h3>');
    expect(bare).not.toContain('<img');
    expect(bare).not.toContain('<table');
    expect(html(report(() => undefined, { pages: 'technical' }))).not.toContain('For you');
    const workshop = { ...noWorkshop(), name: 'A & B' };
    expect(html(report(() => undefined, { workshop }))).toContain('<header><p>A &amp; B</p></header>');
  });
});
