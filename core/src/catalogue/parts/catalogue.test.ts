import { describe, expect, test } from 'vitest';
import { FAULT_GROUPS } from '../../base/units/vocabulary.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { problemWith } from '../../../test/problems.ts';
import { catalogueCircuit } from './catalogueCircuit.ts';
import { CATALOGUE_CIRCUITS } from './circuits.ts';
import { betaBetween, CATALOGUE_CURVES, otherCommonCurves } from './curves.ts';
import { FINDINGS } from './findings.ts';
import { OTHER_CAUSES } from './otherCauses.ts';
import { seriesBetween } from './resistorSeries.ts';
import { directionOf, SYMPTOMS } from './symptoms.ts';
import { THERMOMETERS } from './thermometers.ts';

const LISTS = {
  circuits: CATALOGUE_CIRCUITS,
  curves: CATALOGUE_CURVES,
  findings: FINDINGS,
  causes: OTHER_CAUSES,
  symptoms: SYMPTOMS,
};
const FAULT_IDS = new Set(FAULTS.map((f) => f.id));
/** Probability of a group before any reading, under these factors. */
const groupShare = (factors: Record<string, number>, group: string): number =>
  posteriorOf(problemWith([], { factors })).faults.reduce(
    (sum, f) => sum + (f.fault.group === group ? f.probability : 0),
    0,
  );

describe.each(Object.entries(LISTS))('the list of %s', (_, list) => {
  test('ids are unique and safe in a file name or an address; names are unique and short', () => {
    expect(new Set(list.map((x) => x.id)).size).toBe(list.length);
    expect(new Set(list.map((x) => x.name)).size).toBe(list.length);
    for (const { id, name } of list) {
      expect(id).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/);
      expect(name.length, name).toBeLessThan(70);
    }
  });
});

describe.each(CATALOGUE_CURVES.map((c) => [c.name, c] as const))('curve %s', (name, { curve, source }) => {
  const model = curveModel(curve);
  test('its name gives B between 25 and 85 °C, as the curve has it; its source is named', () => {
    expect(source).not.toBe('');
    const said = /B(\S*) (\d{4})/.exec(name);
    if (!said) return;
    expect(said[1]).toBe('25/85');
    // A network's B is that of its NTC.
    if (curve.kind !== 'ntc-network')
      expect(Math.abs(betaBetween(model, 25, 85) / Number(said[2]) - 1)).toBeLessThan(1e-3);
  });
  test('its name gives its resistance at 25 °C (0 °C for metals), where it gives one', () => {
    const [, figure, unit] = /(?:NTC|PTC) ([\d.]+) (k?Ω)/.exec(name) ?? [];
    const metal = /(?:Pt|Ni)(\d+)/.exec(name);
    if (metal) expect(model.resistanceOhm(0)).toBeCloseTo(Number(metal[1]), 6);
    else if (figure && curve.kind !== 'ntc-network')
      expect(Math.abs(model.resistanceOhm(25) / (Number(figure) * (unit === 'kΩ' ? 1000 : 1)) - 1)).toBeLessThan(3e-3);
  });
});

describe.each(CATALOGUE_CIRCUITS.map((c) => [c.id, c] as const))('circuit %s', (id, entry) => {
  const circuit = catalogueCircuit(id);
  const curve = CATALOGUE_CURVES.find((c) => c.id === entry.curveId)!;
  test('its name says its reference and its sensor', () => {
    expect(entry.name).toContain(`${entry.referenceV} V`);
    expect(entry.name).toMatch(entry.pullUpOhm === null ? /to be learned/ : /NTC|PTC|Pt|Ni/);
  });
  test('at room temperature the signal stands between 3 and 97 % of the reference: neither a short nor an open', () => {
    const sensor = circuit.curve.resistanceOhm(20);
    const pullUp = entry.pullUpOhm ?? 2490;
    const share = sensor / (sensor + pullUp);
    expect(share).toBeGreaterThan(0.03);
    expect(share).toBeLessThan(0.97);
  });
  test('its display covers where such a machine lives, within what the curve knows', () => {
    const model = curveModel(curve.curve);
    const [low, high] = { engine: [0, 110], climate: [-20, 60], boiler: [5, 90] }[entry.field];
    expect(entry.display.minC).toBeLessThanOrEqual(low);
    expect(entry.display.maxC).toBeGreaterThanOrEqual(high);
    expect(model.minC).toBeLessThanOrEqual(low);
    expect(model.maxC).toBeGreaterThanOrEqual(high);
  });
});

describe.each(FINDINGS.map((f) => [f.id, f] as const))('finding %s', (_, finding) => {
  test('weighs faults that exist, by believable ratios, and moves something', () => {
    const ratios = Object.entries(finding.ratios);
    expect(ratios.length).toBeGreaterThan(0);
    for (const [fault, ratio] of ratios) {
      expect(FAULT_IDS, fault).toContain(fault);
      expect(ratio, fault).toBeGreaterThanOrEqual(0.05);
      expect(ratio, fault).toBeLessThanOrEqual(10);
      expect(ratio, `${fault}: a ratio of one says nothing`).not.toBe(1);
    }
  });
  test('raises every fault whose ratio is the highest, and never decides without a reading', () => {
    const before = posteriorOf(problemWith([])).faults;
    const after = posteriorOf(problemWith([], { factors: finding.ratios })).faults;
    const of = (list: typeof before, id: string): number => list.find((f) => f.fault.id === id)!.probability;
    const most = Math.max(...Object.values(finding.ratios), 1);
    for (const [fault, ratio] of Object.entries(finding.ratios))
      if (ratio === most) expect(of(after, fault), fault).toBeGreaterThan(of(before, fault));
    for (const group of FAULT_GROUPS) expect(groupShare(finding.ratios, group), group).toBeLessThan(0.95);
  });
});

describe('symptoms and other causes', () => {
  test.each(['engine', 'climate', 'boiler'] as const)(
    '%s: both ways to read wrong, and causes that are no electrical fault',
    (field) => {
      const ways = new Set(SYMPTOMS.filter((s) => s.field === field).map((s) => s.reads));
      expect([...ways].sort()).toEqual(['cold', 'either', 'hot']);
      expect(OTHER_CAUSES.filter((c) => c.field === field).length).toBeGreaterThanOrEqual(3);
    },
  );
  test('one symptom says its own way; “either” adds nothing to another', () => {
    for (const s of SYMPTOMS) {
      expect(directionOf([s.id])).toBe(s.reads === 'either' ? null : s.reads);
      expect(directionOf([s.id, 'gauge-jumps'])).toBe(s.reads === 'either' ? null : s.reads);
    }
    expect(directionOf([])).toBeNull();
  });
  test('looking for another cause at heat, mains, refrigerant or fans carries a caution', () => {
    for (const c of OTHER_CAUSES) {
      if (/hose|coolant|bleed|fan|defrost|heater|pump|pressure|charge/i.test(`${c.name} ${c.check}`))
        expect(c.caution, c.name).not.toBeNull();
    }
  });
});

describe('thermometers and resistors', () => {
  test('infra-red on bright metal is by far the worst, a digital probe the best (common practice, no source)', () => {
    const sorted = [...THERMOMETERS].sort((a, b) => a.limitK - b.limitK);
    expect(sorted[0].name).toContain('Digital');
    expect(sorted[sorted.length - 1].name).toContain('shiny');
    expect(sorted[sorted.length - 1].limitK / sorted[sorted.length - 2].limitK).toBeGreaterThan(3);
  });
  test.each(['E6', 'E12', 'E24', 'E48', 'E96'] as const)(
    '%s: ascending over whole decades, no gap wider than one and a half steps',
    (name) => {
      const values = seriesBetween(name, 10, 1e6);
      expect(values[0]).toBe(10);
      expect(values[values.length - 1]).toBe(1e6);
      const perDecade = Number(name.slice(1));
      expect(values).toHaveLength(5 * perDecade + 1);
      for (let i = 1; i < values.length; i++) {
        expect(values[i]).toBeGreaterThan(values[i - 1]);
        expect(values[i] / values[i - 1]).toBeLessThan(10 ** (1.5 / perDecade) + 0.02);
      }
    },
  );
});

describe('what passes for another part', () => {
  const names = (curve: Parameters<typeof curveModel>[0]): string[] =>
    otherCommonCurves(curveModel(curve)).map((c) => c.name);
  const common = CATALOGUE_CURVES.filter((c) => c.common);
  test('is every common curve but those that agree within 12 % at 0, 25 and 50 °C all together', () => {
    for (const own of common) {
      const model = curveModel(own.curve);
      const far = (other: (typeof common)[number]): boolean => {
        const shares = [0, 25, 50].map((t) => curveModel(other.curve).resistanceOhm(t) / model.resistanceOhm(t));
        return Math.max(...shares) > 1.12 || Math.min(...shares) < 1 / 1.12;
      };
      expect(names(own.curve)).toEqual(common.filter(far).map((c) => c.name));
      expect(names(own.curve)).not.toContain(own.name);
    }
    expect(names({ kind: 'unknown' }).length).toBeGreaterThan(5);
  });
  test('one that parts from it at one temperature only is another, and 10 % off is not', () => {
    const own = common.find((c) => c.curve.kind === 'beta')!;
    if (own.curve.kind !== 'beta') throw new Error('no B curve is common');
    const { r25Ohm, betaK } = own.curve;
    expect(names({ ...own.curve, r25Ohm: r25Ohm * 1.1 })).not.toContain(own.name);
    expect(names({ ...own.curve, r25Ohm: r25Ohm / 1.1 })).not.toContain(own.name);
    expect(names({ ...own.curve, r25Ohm: r25Ohm * 1.13 })).toContain(own.name);
    expect(names({ ...own.curve, r25Ohm: r25Ohm / 1.13 })).toContain(own.name);
    // B alone: the same at 25 °C, 13 % off at 0 °C, less at 50 °C.
    const steeper = betaK + Math.log(1.13) / (1 / 273.15 - 1 / 298.15);
    expect(names({ ...own.curve, betaK: Math.min(10_000, steeper) })).toContain(own.name);
  });
  test('a circuit that is not in the catalogue is a mistake of the program', () => {
    expect(() => catalogueCircuit('steam-engine')).toThrow('catalogueCircuit');
    const [entry] = CATALOGUE_CIRCUITS;
    expect(catalogueCircuit(entry.id)).toMatchObject({
      layout: entry.layout,
      referenceV: entry.referenceV,
      connectors: 0,
    });
  });
});
