import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ngspice, type Network } from '../../../test/ngspice.ts';
import { coolantCircuit } from '../../../test/problems.ts';
import { reference } from '../../../test/reference.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { elementsOf, pointAt } from './chain.ts';
import { neighbourC } from './neighbourC.ts';
import { partedVolts } from './partedVolts.ts';
import { SolvedCircuit, type Plug, type Probe } from './solvedCircuit.ts';
import { type CircuitState, copyState, METER_INPUT_OHM, nominalState } from './sensorCircuit.ts';
import { type Layout } from '../../base/units/vocabulary.ts';
import { solveStarMesh } from './starMesh.ts';

const LAYOUTS: Layout[] = ['pull-up', 'pull-down', 'one-wire'];
const PROBES: Probe[] = ['chassis', 'reference', 'supply', 'moduleGround', 'modulePin', 'signal', 'return'];

/** A random circuit, faults of any size and of every kind at once. */
function randomState(random: () => number, layout: Layout): CircuitState {
  const log = (low: number, high: number): number => low * Math.pow(high / low, random());
  const maybe = (value: number): number => (random() < 0.5 ? value : 0);
  return {
    ...nominalState(coolantCircuit({ layout }), 10 + 60 * random(), log(300, 1e5)),
    referenceV: 5.2 * random(),
    signalOhm: log(0.05, 1.5),
    returnOhm: log(0.05, 1.5),
    signalFaultOhm: maybe(log(1, 1e9)),
    returnFaultOhm: maybe(log(1, 1e9)),
    groundOffsetV: 2 * (random() - 0.5),
    leakGroundS: maybe(1 / log(0.1, 1e6)),
    leakReturnS: maybe(1 / log(0.1, 1e6)),
    leakSupplyS: maybe(1 / log(0.1, 1e6)),
    sensorFixedOhm: log(0.1, 1e9),
  };
}

/** The same circuit as a net list. */
function netlist(s: CircuitState, plug: Plug, red: Probe, black: Probe): Network {
  const node = (p: Probe): string => (p === 'chassis' ? '0' : p);
  const far = { 'pull-up': 'moduleGround', 'pull-down': 'reference', 'one-wire': 'chassis' }[s.layout] as Probe;
  const resistors = [
    { from: 'modulePin', to: node('moduleGround'), ohm: s.inputOhm },
    { from: 'modulePin', to: node(s.layout === 'pull-down' ? 'moduleGround' : 'reference'), ohm: s.pullUpOhm },
    { from: 'modulePin', to: 'signal', ohm: s.signalOhm + s.signalFaultOhm },
    { from: node(far), to: 'return', ohm: s.returnOhm + s.returnFaultOhm },
    { from: node(red), to: node(black), ohm: METER_INPUT_OHM },
  ];
  if (plug === 'sensor') resistors.push({ from: 'signal', to: 'return', ohm: s.sensorFixedOhm });
  else if (plug === 'bridge') resistors.push({ from: 'signal', to: 'return', ohm: 0.02 });
  else if (plug !== 'open') resistors.push({ from: 'signal', to: 'return', ohm: plug });
  if (s.leakGroundS) resistors.push({ from: 'signal', to: '0', ohm: 1 / s.leakGroundS });
  if (s.leakReturnS) resistors.push({ from: 'signal', to: 'return', ohm: 1 / s.leakReturnS });
  if (s.leakSupplyS) resistors.push({ from: 'signal', to: 'supply', ohm: 1 / s.leakSupplyS });
  return {
    sources: [
      { from: 'reference', volt: s.groundOffsetV + s.referenceV },
      { from: 'supply', volt: s.supplyV },
      { from: 'moduleGround', volt: s.groundOffsetV },
    ],
    resistors,
  };
}

describe('star–mesh elimination', () => {
  test('the fifteen circuits of ngspice 39 (table), 1e-8 V', () => {
    const rows = reference('ngspice-networks.csv');
    expect(rows).toHaveLength(15);
    for (const row of rows) {
      const n = (key: string): number => Number(row[key]);
      // Known: chassis, reference (here above chassis), battery, module ground (its lift as ngspice has it); unknown: pin, signal, return.
      const [chassis, vref, battery, ground, pin, signal, back] = [0, 1, 2, 3, 4, 5, 6];
      const g = new Float64Array(49);
      const join = (a: number, b: number, ohm: number): number => (g[Math.max(a, b) * 7 + Math.min(a, b)] += 1 / ohm);
      join(vref, pin, n('Rpu'));
      join(pin, chassis, n('Rmeter_at_ecu'));
      join(pin, signal, n('Rsig'));
      join(signal, back, n('Rs'));
      join(signal, back, n('Rparallel'));
      join(back, ground, n('Rret'));
      join(signal, chassis, n('Rleak_sig_gnd'));
      join(signal, battery, n('Rleak_sig_bat'));
      const v = Float64Array.of(0, n('Vref'), n('Vbat'), n('V_egnd'), 0, 0, 0);
      solveStarMesh(g, 7, 4, v);
      for (const [node, column] of [
        [pin, 'V_ecu'],
        [signal, 'V_sig'],
        [back, 'V_ret'],
      ] as const) {
        expect(Math.abs(v[node] - n(column)), `${row.case} ${column}`).toBeLessThan(1e-8);
      }
    }
  });

  test('live ngspice on 240 random faulty networks with probes in every position, 1e-8 V', () => {
    const random = seededUniform(20);
    const plugs: Plug[] = ['sensor', 'open', 'bridge', 1000];
    const pairs = PROBES.flatMap((red) =>
      PROBES.filter((black) => black !== red).map((black) => [red, black] as const),
    );
    const cases = Array.from({ length: 240 }, (_, i) => {
      const state = randomState(random, LAYOUTS[i % 3]);
      const [red, black] = pairs[i % pairs.length];
      return { state, plug: plugs[i % 4], red, black };
    });
    const theirs = ngspice(
      cases.map((c) => netlist(c.state, c.plug, c.red, c.black)),
      PROBES.slice(1),
    );
    const solved = new SolvedCircuit();
    cases.forEach(({ state, plug, red, black }, i) => {
      const at = (p: Probe): number => (p === 'chassis' ? 0 : theirs[i][p]);
      expect(Math.abs(solved.set(state).volts(plug, red, black) - (at(red) - at(black)))).toBeLessThan(1e-8);
    });
  });

  test('every node lies between the lowest and the highest source, however extreme the network', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e9 }), fc.constantFrom(...LAYOUTS), (seed, layout) => {
        const state = randomState(seededUniform(seed), layout);
        const solved = new SolvedCircuit().set(state);
        const sources = [0, state.supplyV, state.groundOffsetV, state.groundOffsetV + state.referenceV];
        for (const probe of ['modulePin', 'signal', 'return'] as const) {
          const v = solved.volts('sensor', probe, 'chassis');
          expect(v).toBeGreaterThanOrEqual(Math.min(...sources) - 1e-9);
          expect(v).toBeLessThanOrEqual(Math.max(...sources) + 1e-9);
        }
      }),
      { numRuns: 200, seed: 3 },
    );
  });
});

describe('a solved circuit', () => {
  test('a run of connectors without faults between changes nothing but its own share of the wire', () => {
    const random = seededUniform(5);
    const solved = new SolvedCircuit();
    for (let i = 0; i < 60; i++) {
      const direct = randomState(random, LAYOUTS[i % 3]);
      const chained = { ...direct, connectors: 3, signalFaultAt: i % 9, returnFaultAt: (i + 1) % 9 };
      for (const plug of ['sensor', 'open', 'bridge'] as const) {
        const a = solved.set(direct).volts(plug, 'signal', 'chassis');
        expect(solved.set(chained).volts(plug, 'signal', 'chassis')).toBeCloseTo(a, 9);
      }
    }
  });

  test('across a bad joint the voltage steps between the connectors on its two sides', () => {
    const state = {
      ...nominalState(coolantCircuit({ connectors: 3 }), 12, 2490),
      signalFaultOhm: 5000,
      signalFaultAt: 5,
    };
    const solved = new SolvedCircuit().set(state);
    const volts = [2, 4, 6, 8].map((p) => solved.pointVolts('sensor', 'signal', p));
    expect(Math.abs(volts[0] - volts[1])).toBeLessThan(0.001);
    expect(volts[1] - volts[2]).toBeGreaterThan(1);
    expect(Math.abs(volts[2] - volts[3])).toBeLessThan(0.001);
  });

  test('live ngspice on 120 looms as ladders, a meter at any point of either wire, plugged and parted, 1 µV', () => {
    const random = seededUniform(41);
    const cases = Array.from({ length: 120 }, (_, i) => {
      const connectors = 1 + (i % 6);
      const end = elementsOf(connectors);
      const at = (): number => Math.floor(random() * end);
      const state = {
        ...randomState(random, LAYOUTS[i % 3]),
        connectors,
        signalFaultAt: at(),
        returnFaultAt: at(),
        leakAt: at(),
      };
      const wire = i % 2 === 0 ? ('signal' as const) : ('return' as const);
      const position = 1 + Math.floor(random() * connectors);
      const side = random() < 0.5 ? ('module' as const) : ('sensor' as const);
      return { state, wire, position, side, parted: i % 4 === 3 };
    });
    /** The loom element by element: runs have an even share of the copper, the bad element the fault beside it. */
    const ladder = ({ state: s, wire, position, side, parted }: (typeof cases)[number]) => {
      const end = elementsOf(s.connectors);
      const node = (of: string, p: number): string => `${of}p${p}`;
      // A sound contact is no resistor at all: its two points are one node.
      const nodes: Record<string, string> = {};
      const of = (
        name: 'signal' | 'return',
        ohm: number,
        fault: number,
        faultAt: number,
        from: string,
        upTo: number,
      ): Network['resistors'] => {
        nodes[node(name, 0)] = from;
        return Array.from({ length: upTo }, (_, e) => e).flatMap((e) => {
          const own = (e % 2 === 1 ? ohm / (s.connectors + 1) : 0) + (e === faultAt ? fault : 0);
          nodes[node(name, e + 1)] = own > 0 ? node(name, e + 1) : nodes[node(name, e)];
          return own > 0 ? [{ from: nodes[node(name, e)], to: node(name, e + 1), ohm: own }] : [];
        });
      };
      const far = { 'pull-up': 'moduleGround', 'pull-down': 'reference', 'one-wire': '0' }[s.layout];
      const point = pointAt(position, side);
      const upTo = parted ? pointAt(position) : end;
      const resistors = [
        { from: 'modulePin', to: 'moduleGround', ohm: s.inputOhm },
        { from: 'modulePin', to: s.layout === 'pull-down' ? 'moduleGround' : 'reference', ohm: s.pullUpOhm },
        ...of('signal', s.signalOhm, s.signalFaultOhm, s.signalFaultAt, 'modulePin', upTo),
        ...(parted ? [] : of('return', s.returnOhm, s.returnFaultOhm, s.returnFaultAt, far, end)),
      ];
      const at = (name: string, p: number): string => nodes[node(name, p)];
      const read = parted ? at('signal', upTo) : at(wire, point);
      if (read !== '0') resistors.push({ from: read, to: '0', ohm: METER_INPUT_OHM });
      const [tip, back] = parted ? [at('signal', upTo), far] : [at('signal', end), at('return', end)];
      if (!parted) resistors.push({ from: tip, to: back, ohm: s.sensorFixedOhm });
      if (!parted || s.leakAt < upTo) {
        if (s.leakGroundS) resistors.push({ from: tip, to: '0', ohm: 1 / s.leakGroundS });
        if (s.leakReturnS) resistors.push({ from: tip, to: back, ohm: 1 / s.leakReturnS });
        if (s.leakSupplyS) resistors.push({ from: tip, to: 'supply', ohm: 1 / s.leakSupplyS });
      }
      const sources = [
        { from: 'reference', volt: s.groundOffsetV + s.referenceV },
        { from: 'supply', volt: s.supplyV },
        { from: 'moduleGround', volt: s.groundOffsetV },
      ];
      return { network: { sources, resistors }, read };
    };
    const solved = new SolvedCircuit();
    cases.forEach((c) => {
      const { network, read } = ladder(c);
      const theirs = read === '0' ? 0 : ngspice([network], [read])[0][read];
      solved.set(c.state);
      const ours = c.parted
        ? partedVolts(c.state, c.position)
        : solved.pointVolts('sensor', c.wire, pointAt(c.position, c.side));
      expect(Math.abs(ours - theirs), JSON.stringify(c)).toBeLessThan(1e-6);
    });
  });

  test('live ngspice on two circuits with one reference and one bad return: what the sound one displays', () => {
    const random = seededUniform(43);
    for (let i = 0; i < 40; i++) {
      const warmC = -10 + 80 * random();
      const circuit = coolantCircuit({ shares: i % 4 === 0 ? 'reference' : 'both' });
      const state: CircuitState = {
        ...nominalState(circuit, 10 + 60 * random(), 2490),
        referenceV: 1 + 4.2 * random(),
        returnFaultOhm: Math.exp(Math.log(20) + Math.log(5000) * random()),
        returnFaultAt: i % 3 === 2 ? 2 : 0,
        ratiometric: i % 2 === 0,
        returnOhm: 0,
      };
      const solved = new SolvedCircuit().set(state);
      const ohm = circuit.curve.resistanceOhm(warmC);
      const joined = state.sharesReturn && state.returnFaultAt < 2;
      const [v] = ngspice(
        [
          {
            sources: [{ from: 'reference', volt: state.referenceV }],
            resistors: [
              { from: 'reference', to: 'ownPin', ohm: state.pullUpOhm },
              { from: 'ownPin', to: 'ownBack', ohm: state.signalOhm + solved.sensorOhm },
              { from: 'reference', to: 'pin', ohm: 2490 },
              // Of two neighbours one is looked at; the other hangs on the same return.
              { from: 'reference', to: 'third', ohm: 2490 },
              { from: 'third', to: joined ? 'ownBack' : '0', ohm },
              { from: 'pin', to: joined ? 'ownBack' : '0', ohm },
              { from: 'ownBack', to: '0', ohm: state.returnFaultOhm },
            ],
          },
        ],
        ['pin'],
      );
      const share = v.pin / (state.ratiometric ? state.referenceV : 5);
      const shown = circuit.curve.temperatureC((2490 * share) / (1 - share));
      const within = Math.min(150, Math.max(-40, shown));
      // On a reference above the nominal one the share may pass one: the module takes it for open.
      expect(neighbourC(state, solved.sensorOhm, warmC), JSON.stringify(state)).toBeCloseTo(
        share >= 1 ? -40 : within,
        5,
      );
    }
    const alone = new SolvedCircuit().set({
      ...nominalState(coolantCircuit({ shares: 'nothing' }), 12, 2490),
      referenceV: 1,
      returnFaultOhm: 1e9,
    });
    expect(neighbourC(alone.state, alone.sensorOhm, 33)).toBeCloseTo(33, 6);
  });

  test('a scratch circuit is overwritten in every field', () => {
    const fresh = nominalState(coolantCircuit(), 12, 2490);
    const spoiled = Object.fromEntries(Object.keys(fresh).map((key) => [key, 'spoiled'])) as unknown as CircuitState;
    copyState(fresh, spoiled);
    expect(spoiled).toEqual(fresh);
  });

  test('divider map of the Linux device tree mt8195-cherry (1.8 V, 100 kΩ), 0.5 mV', () => {
    const ohm = new Map(
      reference('linux-ntc-resistance.csv')
        .filter((r) => r.part === 'NCP..WF104')
        .map((r) => [r.temp_c, Number(r.ohm)]),
    );
    const rows = reference('linux-divider-map.csv');
    expect(rows.length).toBeGreaterThan(50);
    for (const row of rows) {
      const v = (Number(row.vref_mV) * ohm.get(row.temp_c)!) / (ohm.get(row.temp_c)! + Number(row.pullup_ohm));
      expect(Math.abs(v - Number(row.adc_value))).toBeLessThanOrEqual(0.5001);
      const state = nominalState(coolantCircuit({ referenceV: 1.8 }), 0, 1e5);
      Object.assign(state, { sensorFixedOhm: ohm.get(row.temp_c), inputOhm: 1e15 });
      // The solved circuit has the meter's own 10 MΩ, which the map does not have.
      const loaded = 1 / (1 / ohm.get(row.temp_c)! + 1e-7);
      const expected = (Number(row.vref_mV) * loaded) / (loaded + Number(row.pullup_ohm));
      expect(1000 * new SolvedCircuit().set(state).volts('sensor', 'modulePin', 'moduleGround')).toBeCloseTo(
        expected,
        1,
      );
    }
  });

  test('4.9 kΩ and 1.88 V at 5 V: a pull-up near 8.1 kΩ (common practice, no source)', () => {
    const solved = new SolvedCircuit();
    const volts = (pullUp: number): number =>
      solved
        .set({ ...nominalState(coolantCircuit(), 20, pullUp), sensorFixedOhm: 4900 })
        .volts('sensor', 'signal', 'chassis');
    let [low, high] = [1000, 50_000];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (volts(middle) > 1.88) low = middle;
      else high = middle;
    }
    expect(low).toBeGreaterThan(7900);
    expect(low).toBeLessThan(8300);
  });

  test('the display follows the sensor and stops at its ends', () => {
    const solved = new SolvedCircuit();
    const state = nominalState(coolantCircuit(), 12, 2490);
    expect(solved.set(state).displayedC('sensor')).toBeCloseTo(12, 0);
    expect(solved.displayedC('open')).toBe(-40);
    expect(solved.displayedC('bridge')).toBe(150);
    expect(solved.set({ ...state, display: { ...state.display, substituteC: 60 } }).displayedC('open')).toBe(60);
    expect(solved.set({ ...state, layout: 'pull-down' }).displayedC('sensor')).toBeCloseTo(12, 0);
    const warm = { ...nominalState(coolantCircuit({ hotPullUpOhm: 350, switchRatio: 0.2 }), 90, 2490) };
    expect(solved.set(warm).displayedC('sensor')).toBeCloseTo(90, 0);
  });
});
