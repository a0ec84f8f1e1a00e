import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { proposeTests } from '../../advice/nextTest/nextTest.ts';
import { EVERYTHING_AT_HAND } from '../../catalogue/kit/access.ts';
import { genericKit } from '../../catalogue/kit/kitSchema.ts';
import { GENERIC_INSTRUMENTS } from '../../catalogue/kit/instruments.ts';
import { thermometerAt } from '../../catalogue/kit/instrumentsOf.ts';
import { catalogueCircuit } from '../../catalogue/parts/catalogueCircuit.ts';
import { CATALOGUE_CIRCUITS } from '../../catalogue/parts/circuits.ts';
import { toleranceAt } from '../../circuit/curves/curveModel.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { verdictText } from '../../wording/verdictText.ts';
import { healthyRanges } from '../model/healthyRanges.ts';
import type { Problem } from '../model/problem.ts';
import { posteriorOf } from '../posterior/posterior.ts';
import { assess } from './assessment.ts';

// Plain figures a mechanic would give, and what he would sign. Common practice, no source, unless a line says otherwise.
const said = (problem: Problem) => verdictText(assess(problem), (id) => id, 'C');
const share = (problem: Problem, group: string): number =>
  assess(problem).groups.find((g) => g.group === group)!.probability;
const engine = catalogueCircuit('engine-coolant-2k');
const at = (readC: number, change: Partial<Problem> = {}): Partial<Problem> => ({
  circuit: engine,
  thermometers: { steady: { readC, sigmaK: 1.5 } },
  ...change,
});

describe('a module that shows a substitute value nobody knows', () => {
  const stuck = (sensorOhms: number) =>
    problemWith(
      [
        ['displayed', 60],
        ['displayed-unplugged', 60],
        ['displayed-bridged', 60],
        ['open-voltage', 5.02],
        ['sensor-ohms', sensorOhms],
      ],
      at(20),
    );
  test('the same 60 °C plugged, unplugged and jumpered with an open sensor: the sensor, not two faults and no module', () => {
    const { title, detail } = said(stuck(Infinity));
    expect(title).toBe('Sensor open');
    expect(detail).toContain('does not react to the plug');
    expect(share(stuck(Infinity), 'module')).toBeLessThan(0.05);
  });
  test('a code of a high-voltage system: nothing is proposed that touches a pin', () => {
    const problem = problemWith([['displayed', -40]], at(20, { displayOnly: true }));
    const ids = (p: Problem): string[] =>
      proposeTests(p, posteriorOf(p), EVERYTHING_AT_HAND, 40).map((t) => t.measurement);
    for (const id of ids(problem)) {
      const { setup, quantity } = measurementById(id);
      expect([setup, quantity], id).toEqual(['scan', 'celsius']);
    }
    expect(ids({ ...problem, displayOnly: undefined }).length).toBeGreaterThan(4);
  });
  test('its display is not proposed again', () => {
    const problem = stuck(2400);
    const ids = proposeTests(problem, posteriorOf(problem), EVERYTHING_AT_HAND, 20).map((p) => p.measurement);
    expect(ids.filter((id) => id.startsWith('displayed'))).toEqual([]);
  });
  test('dashes are a reading: with an open sensor they fit, with everything plugged in and sound they do not', () => {
    const open = problemWith(
      [
        ['displayed', Infinity],
        ['sensor-ohms', Infinity],
        ['open-voltage', 5],
      ],
      at(20),
    );
    expect(said(open).title).toBe('Sensor open');
    const dark = posteriorOf(problemWith([['displayed', Infinity]], at(20)));
    expect(dark.faults.find((f) => f.fault.id === 'healthy')!.probability).toBeLessThan(0.03);
  });
  test('a known substitute counts as known', () => {
    const circuit = { ...engine, display: { ...engine.display, substituteC: 80 } };
    const shows = (c: number) => share(problemWith([['displayed-unplugged', c]], at(20, { circuit })), 'healthy');
    expect(shows(80)).toBeGreaterThan(2 * shows(60));
  });
});

describe('what a sound circuit displays', () => {
  const circuits = CATALOGUE_CIRCUITS.filter((c) => c.pullUpOhm !== null);
  test.each(circuits.map((c) => [c.id, c.display.minC > -10 ? 20 : 5] as const))(
    '%s: no wider than sensor, thermometer and pull-up make it',
    (id, cold) => {
      const circuit = catalogueCircuit(id);
      for (const t of [cold, 35, 60]) {
        const problem = { ...problemWith([], at(t, { circuit })), instruments: GENERIC_INSTRUMENTS };
        const [range] = healthyRanges(problem, [
          { measurement: measurementById('displayed'), conditions: {}, state: 'steady' },
        ]);
        const { curve } = circuit;
        const perK = Math.abs(Math.log(curve.resistanceOhm(t + 0.5) / curve.resistanceOhm(t - 0.5)));
        const sensorK = (2 * toleranceAt(curve, t)) / perK;
        // The bars of the healthy width: for sensors of a low slope what 1 % of the pull-up gives and 1 K more, else 2.5 K.
        const rest = curve.slope === 'ntc' ? 2.5 : 0.01 / perK + 1;
        const width = Math.max(t - range.low, range.high - t);
        expect(width, `${id} at ${t}`).toBeLessThanOrEqual(sensorK + 3 + rest);
        expect(width).toBeGreaterThan(3);
        if (width < 6) expect(range.high).toBeLessThan(t + 6);
      }
    },
  );
});

describe('temperatures that are wrong in one direction', () => {
  test('infra-red on bare metal reads towards the surroundings: too little on a hot pipe, too much on a cold coil', () => {
    const kit = { ...genericKit(), thermometer: 'infra-red-shiny' as const };
    const [hot, cold] = [thermometerAt(kit, 70), thermometerAt(kit, -5)];
    expect(hot.upK! / hot.downK!).toBeGreaterThan(5);
    expect(cold.downK! / cold.upK!).toBeGreaterThan(2);
    const limit = { ...kit, thermometerK: { text: '2', value: 2 } };
    expect(thermometerAt(limit, 70).upK).toBeUndefined();
    // 40 °C by infra-red on a bare housing at 90 °C, everything else right.
    const problem = problemWith(
      [
        ['displayed', 90],
        ['sensor-ohms', 232],
        ['open-voltage', 5],
        ['loaded-voltage', 0.43],
      ],
      { circuit: engine, thermometers: { steady: thermometerAt(kit, 40) } },
    );
    expect(said(problem).state).toBe('fits');
    const trusted = { ...problem, thermometers: { steady: { readC: 40, sigmaK: 1.5 } } };
    expect(share(trusted, 'healthy')).toBeLessThan(0.01);
  });
  test('display, ohms and volts against the thermometer: thermometer and place are named, and what to do', () => {
    const problem = problemWith(
      [
        ['displayed', 40],
        ['sensor-ohms', 1120],
        ['loaded-voltage', 1.55],
        ['open-voltage', 5],
      ],
      at(80),
    );
    expect(said(problem).detail).toMatch(/only the thermometer does not\..*better method.*check the level/);
  });
});

describe('no thermometer', () => {
  test('at any temperature at which display, ohms and volts agree, a sound circuit stays possible', () => {
    for (const [c, ohm, volts] of [
      [-10, 9943, 4.0],
      [90, 230, 0.423],
    ] as const) {
      const readings = [
        ['displayed', c],
        ['sensor-ohms', ohm],
        ['open-voltage', 5],
        ['loaded-voltage', volts],
      ] as const;
      const problem = problemWith(readings, { circuit: engine, thermometers: {} });
      expect(share(problem, 'healthy'), String(c)).toBeGreaterThan(0.05);
    }
  });
});

describe('claims no stronger than the figures', () => {
  const sound = [
    ['displayed', 20],
    ['open-voltage', 5.01],
    ['sensor-ohms', 2440],
    ['loaded-voltage', 2.47],
    ['return-drop', 0.002],
  ] as const;
  test('everything measured fits: nothing wrong found so far, and what is not tested yet', () => {
    const few = said(problemWith(sound.slice(0, 3), at(20)));
    expect(few).toMatchObject({ state: 'fits', title: 'Nothing wrong found so far' });
    expect(few.detail).toContain('Not tested yet: ');
    expect(few.detail).toContain('a reading when hot');
    expect(share(problemWith(sound, at(20)), 'wiring')).toBeLessThan(0.1);
  });
  test('a group that is firm with its kind open: the group is named, the kinds are told with their odds', () => {
    const { state, title, detail } = said(
      problemWith(
        [
          ['sensor-ohms', 2440],
          ['displayed', -40],
        ],
        at(20),
      ),
    );
    expect([state, title]).toEqual(['firm', 'Wiring fault']);
    expect(detail).toMatch(/^Which one is open: .* %, .* %\./);
  });
});

describe('what comes and goes', () => {
  const cold = problemWith(
    [
      ['displayed', 20],
      ['open-voltage', 5],
      ['sensor-ohms', 2440],
    ],
    at(20, { comesAndGoes: ['hot'] }),
  );
  test('a reading when hot is proposed, with everything plugged in', () => {
    const [first] = proposeTests(cold, posteriorOf(cold), EVERYTHING_AT_HAND);
    expect(first.state).toBe('hot');
    expect(['scan', 'plugged']).toContain(measurementById(first.measurement).setup);
  });
  test('nothing is unplugged before it was caught failing', () => {
    const fresh = { ...cold, readings: [], comesAndGoes: ['wiggling'] as const };
    const all = proposeTests(fresh, posteriorOf(fresh), EVERYTHING_AT_HAND, 30);
    expect(all.length).toBeGreaterThan(1);
    for (const p of all) expect(['scan', 'plugged']).toContain(measurementById(p.measurement).setup);
    const caught = {
      ...cold,
      readings: [...cold.readings, { ...cold.readings[0], id: 'w', value: -40, state: 'hot' as const }],
    };
    const after = proposeTests(caught, posteriorOf(caught), EVERYTHING_AT_HAND, 30);
    expect(after.some((p) => !['scan', 'plugged'].includes(measurementById(p.measurement).setup))).toBe(true);
  });
  test('a display that goes to its end only when hot is a fault that comes with heat', () => {
    const caught = {
      ...cold,
      readings: [
        ...cold.readings,
        { id: 'hot', measurement: 'displayed', value: -40, conditions: {}, state: 'hot' as const },
      ],
    };
    const [first] = assess(caught).suspects;
    expect(first.onlyIn).toBe('hot');
  });
});

test('a shared return carries the neighbours’ currents: 500 Ω is estimated as about 500 Ω', () => {
  const circuit = coolantCircuit({ shares: 'return', connectors: 1 });
  // By hand: 5 V over 2.49 kΩ and 2.4 kΩ three times in parallel, into 500 Ω: 1.174 V across it, 3.1 V at the pin.
  const each = 1 / (2490 + 2400);
  const drop = (5 * 500 * 3 * each) / (1 + 500 * 3 * each);
  const problem = problemWith(
    [
      ['sensor-ohms', 2400],
      ['return-drop', Number(drop.toFixed(3))],
      ['open-voltage', 5],
      ['neighbour-displayed', 2, { airC: 20, ownK: 1.5 }],
    ],
    { circuit, thermometers: { steady: { readC: 20, sigmaK: 1.5 } } },
  );
  const suspect = assess(problem).suspects.find((s) => s.fault === 'return-resistive')!;
  expect(suspect.probability).toBeGreaterThan(0.5);
  expect(suspect.size!.middle).toBeGreaterThan(350);
  expect(suspect.size!.middle).toBeLessThan(700);
});

test('no test of less than 0.05 bit is ever proposed', () => {
  for (const readings of [[], [['displayed', 20]], [['sensor-ohms', Infinity]]] as const) {
    const problem = problemWith(readings, at(20));
    for (const p of proposeTests(problem, posteriorOf(problem), EVERYTHING_AT_HAND, 30))
      expect(p.bits).toBeGreaterThan(0.05);
  }
});
