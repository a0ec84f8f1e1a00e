import { describe, expect, test } from 'vitest';
import { reference } from '../../../test/reference.ts';
import { codeText } from '../../wording/codeText.ts';
import {
  codesIn,
  decodeCode,
  meantCode,
  knownCodes,
  pointAtShared,
  sensorCodes,
  speaksOfAnother,
} from './troubleCodes.ts';

/** What the reference's wording (SAE J2012 / ISO 15031-6, from memory) says, as the program's own category. */
function meaningIn(definition: string): string {
  if (/Range\/Performance/.test(definition)) return 'range';
  if (/Intermittent/.test(definition)) return 'intermittent';
  if (/Circuit\/Open/.test(definition)) return 'open';
  if (/Circuit Low/.test(definition)) return 'low';
  if (/Circuit High/.test(definition)) return 'high';
  return /Circuit$/.test(definition) ? 'circuit' : 'other';
}

describe('trouble codes', () => {
  const rows = reference('saej2012-temperature-codes.csv');
  test.each(rows.map((r) => [r.code, r] as const))('%s as in SAE J2012 (from memory)', (code, row) => {
    const known = decodeCode(code)!;
    const kind = {
      temperature: 'sensor',
      'reference supply': 'reference',
      condition: 'condition',
      'NOT temperature': 'not-temperature',
    }[row.kind];
    expect(known.kind).toBe(kind);
    if (kind === 'sensor' || kind === 'reference') expect(known.says).toBe(meaningIn(row.definition));
    expect(codeText({ code }, 'pull-up', 'ntc')!.length).toBeGreaterThan(10);
  });
  test('every code that is known stands in the reference', () => {
    const listed = new Set(rows.map((r) => r.code));
    expect(
      knownCodes()
        .map((c) => c.code)
        .filter((c) => !listed.has(c)),
    ).toEqual([]);
  });
  test.each([
    ['p0118', 'high'],
    ['P0115-13', 'open'],
    ['P0115:1F', 'intermittent'],
    ['P011500', 'circuit'],
    ['SPN 110 FMI 3', 'high'],
    ['110/4', 'low'],
    ['p118', 'high'],
    ['0118', 'high'],
    ['P0118*', 'high'],
    ['16502/P0118', 'high'],
    ['DTC P0118', 'high'],
    ['P0118 - Engine Coolant Temperature Circuit High (stored)', 'high'],
    ['175-2', 'intermittent'],
    ['P 0118', 'high'],
    ['P0118 pending', 'high'],
    ['Pending: P0118', 'high'],
    ['P0118 (2)', 'high'],
    ['p0118 x2', 'high'],
    ['P0118:00-0F', 'high'],
    ['P0115:13-2F', 'open'],
    ['P0115-1C', 'circuit'],
    ['P0115-27', 'intermittent'],
    ['P0115-62', 'range'],
    ['SPN: 110 FMI: 3', 'high'],
    ['spn 110, fmi 3', 'high'],
    ['SPN 173 FMI 4', 'low'],
    ['SPN 110 FMI 20', 'range'],
  ])('%s says %s', (text, says) => expect(decodeCode(text)?.says).toBe(says));
  test.each(['', 'P', 'P9999', 'hello', 'B1234', '999/3', 'SPN 110 FMI 77'])('“%s” is none', (text) =>
    expect(decodeCode(text)).toBeNull(),
  );

  test('a list is taken apart, and what stands behind a code is its state', () => {
    expect(
      codesIn('P0118 pending, p0117 (2); SPN: 110, FMI: 3\nP0113 stored P0112\n\nU1000 active,').map(
        ({ code, state }) => ({ code, state }),
      ),
    ).toEqual([
      { code: 'P0118', state: 'sporadic' },
      { code: 'P0117', state: null },
      { code: 'SPN 110 FMI 3', state: null },
      { code: 'P0113', state: 'past' },
      { code: 'P0112', state: null },
      { code: 'U1000 active', state: 'present' },
    ]);
    expect(codesIn(' , \n')).toEqual([]);
  });
  test('a maker’s number beside its code, the word DTC, and codes parted by a stroke', () => {
    const codes = (text: string): string[] => codesIn(text).map((c) => c.code);
    expect(codes('16502/P0118')).toEqual(['P0118']);
    expect(codes('DTC P0118')).toEqual(['P0118']);
    expect(codes('DTCs: P0118, P0113')).toEqual(['P0118', 'P0113']);
    expect(codes('P0118/P0113')).toEqual(['P0118', 'P0113']);
    expect(codes('p118')).toEqual(['P0118']);
  });
  test('a letter in place of a digit brings a question, and is never read', () => {
    expect(decodeCode('PO118')).toBeNull();
    expect([meantCode('PO118'), meantCode('p0ll8'), meantCode('P01I8')]).toEqual(['P0118', 'P0118', 'P0118']);
    expect([meantCode('P0118'), meantCode('PO999'), meantCode('O'), meantCode('')]).toEqual([null, null, null, null]);
  });
  test('low and high are the voltage: what reads cold hangs on layout and curve', () => {
    expect(codeText({ code: 'P0118' }, 'pull-up', 'ntc')).toContain('reads cold, like an open');
    expect(codeText({ code: 'P0118' }, 'pull-up', 'ptc')).toContain('reads hot, like an open');
    expect(codeText({ code: 'P0118' }, 'pull-down', 'ntc')).toContain('reads hot, like a short');
    expect(codeText({ code: 'P0117' }, 'one-wire', 'ntc')).toContain('reads hot, like a short');
  });
  test('resistance bytes are no voltages: which end they mean hangs on the layout', () => {
    expect(decodeCode('P0115-1A')?.says).toBe('ohms-low');
    expect(codeText({ code: 'P0115-1B' }, 'pull-down', 'ntc')).toContain('reads cold, like an open');
    expect(codeText({ code: 'P0115-1A' }, 'pull-up', 'ptc')).toContain('reads cold, like a short');
    expect(decodeCode('P0115-14')?.says).toBe('low-or-open');
  });
  const read = (...codes: [string, 'present' | 'sporadic' | 'came-back' | 'past'][]) =>
    codes.map(([code, state]) => ({ code, state }));
  test('codes of sensors count once, in the state that weighs most', () => {
    const of = sensorCodes(read(['P0118', 'past'], ['p0118', 'came-back'], ['P0118', 'present'], ['P0128', 'present']));
    expect(of.map((c) => [c.code, c.state])).toEqual([['P0118', 'came-back']]);
    expect(sensorCodes(read(['P0118', 'past'], ['P0117', 'past']))).toHaveLength(2);
  });
  test('a code of a reference, or of two circuits, points at what they share', () => {
    expect(pointAtShared(read(['P0117', 'present'], ['P0197', 'past']))).toBe(true);
    expect(pointAtShared(read(['P0642', 'present']))).toBe(true);
    expect(pointAtShared(read(['P0117', 'present'], ['P0118', 'present'], ['P0128', 'present']))).toBe(false);
  });
  test('a code that speaks of another sensor says so', () => {
    const oil = decodeCode('P0197')!;
    expect(speaksOfAnother(oil, 'Engine coolant · 5 V')).toBe(true);
    expect(speaksOfAnother(oil, 'Engine oil · 5 V')).toBe(false);
    expect(speaksOfAnother(oil, 'Module not known')).toBe(false);
    expect(codeText({ code: 'P0197' }, 'pull-up', 'ntc', 'Engine coolant')).toContain('another sensor');
    expect(codeText({ code: 'P0197' }, 'pull-up', 'ntc')).not.toContain('another sensor');
  });
});
