import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, test, vi } from 'vitest';
import { assess } from '@mellow-probe/core/inference/verdict/assessment';
import { checkJob } from '@mellow-probe/core/check/job/checkJob';
import { run } from './run.ts';
import { openJob } from '@mellow-probe/core/check/job/openJob';

const root = path.resolve(import.meta.dirname, '../..');
const example = path.join(root, 'examples/demo/pilot-boat-jacket-water.json');
const folder = mkdtempSync(path.join(tmpdir(), 'mellow-probe-cli-'));
afterAll(() => rmSync(folder, { recursive: true }));

interface Called {
  code: number | null;
  out: string;
  err: string;
}
/** The program as it is called, with standard input. */
function spawned(args: string[], input: string): Called {
  const program = [path.join(root, 'node_modules/tsx/dist/cli.mjs'), path.join(root, 'cli/src/main.ts')];
  const { status, stdout, stderr } = spawnSync(process.execPath, [...program, ...args], { encoding: 'utf8', input });
  return { code: status, out: stdout, err: stderr };
}
/** The same in this process, with what it writes taken down; calls that read standard input are spawned. */
function call(args: string[], input = ''): Called {
  if (input !== '' || args.includes('-')) return spawned(args, input);
  const said = { out: '', err: '' };
  const out = vi.spyOn(process.stdout, 'write').mockImplementation((text) => ((said.out += String(text)), true));
  const err = vi.spyOn(process.stderr, 'write').mockImplementation((text) => ((said.err += String(text)), true));
  try {
    const code = run(args);
    return { code, ...said };
  } finally {
    out.mockRestore();
    err.mockRestore();
  }
}
const put = (name: string, text: string): string => {
  const file = path.join(folder, name);
  writeFileSync(file, text);
  return file;
};

test('the program itself, called from a shell', () => {
  expect(spawned(['--help'], '')).toMatchObject({ code: 0, err: '' });
  expect(spawned(['guess'], '')).toMatchObject({ code: 2, out: '' });
});

describe('where and plan', () => {
  test('where tells every place, the next reading, and what its outcomes leave', () => {
    const { code, out, err } = call(['where', example]);
    expect([code, err]).toEqual([0, '']);
    expect(out).toContain('Likeliest place: contact at C1');
    expect(out).toMatch(/\d+ % {2}contact at C2\n/);
    expect(out).toMatch(/Next: Voltage at a connector, return wire, C1, \w+ side, \d+ min/);
    const json = JSON.parse(call(['where', example, '--json']).out) as { strand: string; shares: { return: number[] } };
    expect(json.strand).toBe('return');
    expect(json.shares.return).toHaveLength(7);
    expect(call(['where', path.join(root, 'examples/demo/ferry-generator.json')]).out).toContain('no connectors');
    expect(call(['where']).code).toBe(2);
  });
  test('plan lists the ways to go on, cheapest first, and the fixed ones beside them', () => {
    const file = path.join(root, 'examples/demo/beet-harvester.json');
    const { code, out } = call(['plan', file]);
    expect(code).toBe(0);
    expect(out).toMatch(/^.+: \d+ min until it works, on average\./);
    expect(out).toContain('Replace the sensor now;');
    expect(out).toMatch(/Fixed ways of working:\n +\d+ min {2}Change the sensor first/);
    const { options } = JSON.parse(call(['plan', file, '--json']).out) as { options: { total: number }[] };
    expect(options.map((o) => o.total)).toEqual(options.map((o) => o.total).sort((a, b) => a - b));
    expect(call(['plan', file, 'other']).code).toBe(2);
  });
});

describe('rank and next', () => {
  test('rank prints the verdict, as text and as the very data the page gets', () => {
    const text = call(['rank', example]);
    expect(text).toMatchObject({ code: 0, err: '' });
    expect(text.out).toContain('Wiring fault: resistance in the return (firm)');
    expect(text.out).toContain('high  Signal to battery negative, plugged in: 4.40 V');
    const opened = openJob(readFileSync(example, 'utf8'));
    const json = call(['rank', '-', '--json'], readFileSync(example, 'utf8'));
    expect(json.code).toBe(0);
    if (!opened.ok) throw new Error('example does not open');
    const mine = assess(checkJob(opened.job).problem!);
    expect((JSON.parse(json.out) as typeof mine).ranking).toEqual(mine.ranking);
  });
  test('next proposes tests that can be done with the tools at hand', () => {
    const early = JSON.parse(readFileSync(example, 'utf8')) as { readings: unknown[] };
    early.readings = [];
    const options = ['--json', '--without', 'live-data,module-access', '--count', '5'];
    const { code, out } = call(['next', '-', ...options], JSON.stringify(early));
    expect(code).toBe(0);
    const proposals = JSON.parse(out) as { measurement: string }[];
    expect(proposals).toHaveLength(5);
    for (const p of proposals) expect(p.measurement).not.toMatch(/^displayed|wire-ohms|isolation/);
    // Where all is told, nothing is proposed.
    expect(call(['next', example]).out).toBe('No available test would tell more.\n');
  });
});

describe('convert, fit, simulate, study', () => {
  test.each([
    [['convert', '3.6k', '--circuit', 'engine-coolant-2k', '--json'], { temperatureC: 11.2, loadedV: 2.95 }],
    [['convert', '210', '--curve', 'pt200', '--json'], { temperatureC: 12.8 }],
    [['convert', '11 B8', '--pid', '013C', '--json'], { temperatureC: 413.6 }],
    [['convert', '53.6F', '--r25', '2k', '--beta', '3600', '--json'], { temperatureC: 12 }],
  ])('%j', (args, expected) => {
    const { code, out } = call(args);
    expect(code).toBe(0);
    const data = JSON.parse(out) as Record<string, number>;
    for (const [key, value] of Object.entries(expected)) expect(data[key]).toBeCloseTo(value, 1);
  });
  test('fit reads a CSV with another header and decimal commas, and tells the residuals', () => {
    const file = put('points.csv', 'Temperatur;Widerstand\n0;9,4k\n25;2,8k\n50;980\n80;340\n');
    const { code, out } = call(['fit', file, '--form', 'steinhart-hart']);
    expect(code).toBe(0);
    expect(out).toContain('steinhart-hart');
    expect(out).toMatch(/Steinhart–Hart: misses \d\.\d+ K at left-out rows/);
  });
  test('fit asks what a table does not tell, and takes the answer', () => {
    const file = put('asked.csv', 'T;R\n0;32,650\n25;10,000\n60;2,488\n');
    const asked = call(['fit', file]);
    expect(asked.code).toBe(1);
    expect(asked.err).toContain('Column 2: is a mark before three digits a decimal point');
    expect(asked.err).toContain('--column N=');
    const answered = call(['fit', file, '--column', '2=comma', '--column', '2=kΩ', '--form', 'table']);
    expect(answered.code).toBe(0);
    expect(answered.out).toMatch(/25\.00 °C +10000\.0 Ω/);
    expect(call(['fit', file, '--column', '2=point', '--form', 'table']).out).toMatch(/25\.00 °C +10000\.0 Ω/);
    expect(call(['fit', file, '--column', '2=ounces'])).toMatchObject({ code: 2 });
  });
  test('train plays a case by a policy and holds it against the ideal; the same number, the same play', () => {
    const one = call(['train', '--case', '2-VTP2ME-K', '--policy', 'swap-first']);
    expect(one.code).toBe(0);
    expect(one.out).toMatch(
      /Repaired: Sensor — It did not help\.[^]*Truth: Resistance in the return, 18 Ω\.[^]*not right first time/,
    );
    const { number, score } = JSON.parse(call(['train', '--case', '2vtp2mek', '--json']).out) as {
      number: string;
      score: { regret: { total: number }; healed: boolean };
    };
    expect([number, score.regret.total, score.healed]).toEqual(['2-VTP2ME-K', 0, true]);
  });
  test('trend puts the checks of one place together', () => {
    const { code, out } = call(['trend', example, example]);
    expect(code).toBe(0);
    expect(out).toContain('Pilot boat Tern, main engine');
    expect(out).toContain('(2 checks)');
    expect(out).toMatch(/Displayed value at 12 °C: −36\.0 K/);
    const [place] = JSON.parse(call(['trend', '--json', example]).out) as { points: unknown[]; drift: unknown }[];
    expect([place.points.length > 1, place.drift]).toEqual([true, null]);
  });
  test('simulate is repeatable', () => {
    const [a, b, c] = [
      call(['simulate', '--count', '3', '--seed', '5']),
      call(['simulate', '--count', '3', '--seed', '5']),
      call(['simulate', '--seed', '6']),
    ];
    expect(a.out).toBe(b.out);
    expect(a.out).not.toBe(c.out);
    expect((JSON.parse(a.out) as unknown[]).length).toBe(3);
  });
  test('study judges the engine and the hand rules on the same cases', () => {
    const { code, out } = call(['study', '--cases', '3', '--orders', '1']);
    expect(code).toBe(0);
    expect(out).toContain('Swap first');
    expect(out).toContain('Proposed next test');
  });
});

describe('errors as command-line users expect', () => {
  test.each([
    [[], 2, 'Exit codes'],
    [['--help'], 0, 'rank FILE.json'],
    [['guess'], 2, 'no command "guess"'],
    [['rank'], 2, 'takes one job file'],
    [['rank', 'a.json', '--wrong'], 2, '--wrong'],
    [['rank', '/nowhere.json'], 1, 'no such file'],
    [['next', example, '--without', 'hammer'], 2, 'no tool "hammer"'],
    [['next', example, '--count', '0'], 2, 'whole number'],
    [['convert', 'abc', '--curve', 'pt200'], 1, 'no figure'],
    [['convert', '5', '--curve', 'nope'], 2, 'no curve'],
    [['convert', '900C', '--curve', 'ntc-2k8'], 1, 'outside the curve'],
    [['convert', '3V', '--curve', 'ntc-2k8'], 2, 'need a --circuit'],
    [['simulate', '--tests', 'magic'], 2, 'no test "magic"'],
    [['train', '--case', '2-VTP2ME-X'], 2, 'check sign'],
    [['train', '--policy', 'luck'], 2, 'no policy "luck"'],
    [['train', '--theme', 'ships'], 2, '--theme takes one of'],
    [['trend'], 2, 'one file or more'],
    [['fit', '-', '--form', 'spline'], 2, '--form takes'],
  ])('%j exits %d', (args, code, words) => {
    const result = call(args);
    expect(result.code).toBe(code);
    expect(result.out + result.err).toContain(words);
    expect(result.err).not.toContain('    at ');
  });
  test.each([
    ['{"format":"mellow-probe/job"', 'not a JSON file'],
    ['{"format":"mellow-probe/job","formatVersion":9}', 'newer version'],
  ])('a file that cannot be opened: %s', (text, words) => {
    expect(call(['rank', put('bad.json', text)])).toMatchObject({
      code: 1,
      err: expect.stringContaining(words) as string,
    });
  });
  test('a bad line of points is named', () => {
    expect(call(['fit', put('bad.csv', 'C,ohm\n0,9000\n10,x\n')]).err).toContain(
      'line 3: No resistance that can be read: “10,x”',
    );
    expect(call(['fit', put('twin.csv', '0,9000\n10,5000\n10,4900\n')]).err).toContain(
      'line 3: This temperature is listed twice',
    );
    expect(call(['fit', put('turn.csv', '0,9000\n10,5000\n20,6000\n30,4000\n')]).err).toContain(
      'not monotone at line 3',
    );
  });
});

describe('logs', () => {
  test('what a recording tells, with what it would put on a check', () => {
    const { code, out } = call(['log', path.join(root, 'examples/logs/loose-plug.csv')]);
    expect(code).toBe(0);
    expect(out).toContain('drops out when engine plug is wiggled');
    expect(out).toContain('For a check: ');
    const json = JSON.parse(
      call(['log', path.join(root, 'examples/logs/open-thermostat.csv'), '--json', '--job', example]).out,
    ) as {
      findings: { title: string; finding: { kind: string } }[];
    };
    expect(json.findings.some((f) => f.finding.kind === 'warm-up')).toBe(true);
  });
  test('recorded from stand-ins, it reads back', () => {
    const { code, out } = call(['record', 'sound', '--seconds', '60', '--seed', '3']);
    expect(code).toBe(0);
    const file = path.join(folder, 'sound.csv');
    writeFileSync(file, out);
    expect(call(['log', file]).out).toContain('Unplugged at 20 s: ');
    expect(call(['record']).out).toContain('loose-plug');
  });
  test('what cannot be used is said', () => {
    expect(call(['log']).code).toBe(2);
    expect(call(['record', 'sofa']).code).toBe(2);
    const file = path.join(folder, 'letter.csv');
    writeFileSync(file, 'dear sir\nnothing here\n');
    expect(call(['log', file])).toMatchObject({ code: 1, err: expect.stringContaining('no figures') as string });
  });
});
