import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { codeText, ownCodeFaultText } from '../../wording/codeText.ts';
import { CODE_MEANINGS } from '../../base/units/vocabulary.ts';
import { findOwnCode, MEANING_NAMES, MOST_OWN_CODES, type OwnCode, ownCodesCsv, readOwnCodes } from './ownCodes.ts';
import { codesIn, meaningOf, pointAtShared, sensorCodes, speaksOfAnother } from './troubleCodes.ts';

const OWN: OwnCode[] = [
  { code: 'E-12', what: 'flue gas temperature', says: 'open' },
  { code: 'E13', what: 'flow temperature', says: 'ohms-low' },
  { code: 'P0118', what: 'hydraulic oil temperature', says: 'high' },
];

describe('codes of the user’s own', () => {
  test('are found however they are spelt, and nothing else is', () => {
    for (const spelt of ['E-12', 'e12', 'E 12', 'e.12', ' E12 '])
      expect(findOwnCode(OWN, spelt)?.what).toBe('flue gas temperature');
    for (const other of ['E1', 'E121', '12', '', ' - ']) expect(findOwnCode(OWN, other)).toBeUndefined();
  });
  test('go before those of the standards, with their state, and several in a row are parted', () => {
    expect(
      codesIn('e12 pending, P0118; P0117', OWN).map(({ code, state, own }) => [code, state, own?.what ?? null]),
    ).toEqual([
      ['E-12', 'sporadic', 'flue gas temperature'],
      ['P0118', null, 'hydraulic oil temperature'],
      ['P0117', null, null],
    ]);
    expect(codesIn('E12 E13', OWN).map((c) => c.code)).toEqual(['E-12', 'E13']);
    // A word that is none of them: nothing is parted on a guess.
    expect(codesIn('E12 E99', OWN).map((c) => c.code)).toEqual(['E12 E99']);
    expect(codesIn('E12 E13').map((c) => c.code)).toEqual(['E12 E13']);
  });
  test('speak in the verdict as the others do', () => {
    const codes = [
      { code: 'E-12', state: 'present' as const, own: { what: 'flue gas temperature', says: 'open' as const } },
    ];
    expect(sensorCodes(codes)).toEqual([
      { code: 'E-12', what: 'flue gas temperature', says: 'open', kind: 'sensor', state: 'present' },
    ]);
    expect(sensorCodes([{ ...codes[0], own: undefined }])).toEqual([]);
    expect(pointAtShared([...codes, { code: 'P0118', state: 'present' }])).toBe(true);
    expect(meaningOf({ code: 'X', own: { what: 'fan', says: 'other' } })?.kind).toBe('condition');
    expect(speaksOfAnother({ what: 'flue gas temperature' }, 'Boiler flow · 10k')).toBe(true);
    expect(speaksOfAnother({ what: 'flow temperature' }, 'Boiler flow · 10k')).toBe(false);
    expect(codeText({ code: 'E13', own: { what: 'flow temperature', says: 'ohms-low' } }, 'pull-up', 'ntc')).toBe(
      'Flow temperature: resistance too low; that reads hot, like a short.',
    );
  });
});

describe('a file of own codes', () => {
  const text = fc
    .string({ minLength: 1, maxLength: 30 })
    .map((s) => s.replace(/[\r\n"]/g, ' ').trim())
    .filter((s) => s !== '' && !/^[=+\-@'\t]/.test(s) && !/^code$/i.test(s));
  test('what is written is read back, whatever stands in it', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            code: text.filter((c) => /[A-Za-z0-9]/.test(c)),
            what: text,
            says: fc.constantFrom(...CODE_MEANINGS),
          }),
          { maxLength: 12 },
        ),
        (codes) => {
          const unique = codes.filter((c, i) => findOwnCode(codes.slice(0, i), c.code) === undefined);
          const read = readOwnCodes(ownCodesCsv(unique));
          expect(read.faults).toEqual([]);
          expect(read.codes).toEqual(unique);
        },
      ),
      { numRuns: 200 },
    );
  });
  test('a cell that would be a formula leaves guarded and comes back as it was', () => {
    const csv = ownCodesCsv([{ code: '-E1', what: '=flow', says: 'open' }]);
    expect(csv).toContain("'=flow");
    expect(readOwnCodes(csv).codes).toEqual([{ code: '-E1', what: '=flow', says: 'open' }]);
  });
  test('semicolons, no heading, both names of a meaning', () => {
    expect(readOwnCodes('E1;flow temperature;open\nE2;return temperature;Short or resistance too low\n').codes).toEqual(
      [
        { code: 'E1', what: 'flow temperature', says: 'open' },
        { code: 'E2', what: 'return temperature', says: 'ohms-low' },
      ],
    );
  });
  test('bad lines are named, the good ones taken', () => {
    const { codes, faults } = readOwnCodes(
      'code,circuit,meaning\n,flow,open\nE1,,open\nE2,flow,nonsense\nE3,flow,open\ne-3,flow,open\n\n',
    );
    expect(codes.map((c) => c.code)).toEqual(['E3']);
    expect(faults.map((f) => [f.line, f.reason])).toEqual([
      [2, 'no-code'],
      [3, 'no-circuit'],
      [4, 'meaning'],
      [6, 'twice'],
    ]);
    for (const fault of faults) expect(ownCodeFaultText(fault)).toMatch(/^Line \d is left out: /);
    const many = Array.from({ length: MOST_OWN_CODES + 3 }, (_, i) => `E${i},flow,open`).join('\n');
    expect(readOwnCodes(many)).toMatchObject({ faults: [{ reason: 'too-many' }, {}, {}] });
  });
  test('every meaning has a name of its own', () => {
    expect(new Set(Object.values(MEANING_NAMES)).size).toBe(CODE_MEANINGS.length);
  });
});
