// The shelf's computations: fits, identification, and a million conversions beside the same in numpy.
import { spawnSync } from 'node:child_process';
import { CATALOGUE_CURVES } from '../core/src/catalogue/parts/curves.ts';
import { chooseFit } from '../core/src/circuit/curves/chooseFit.ts';
import { curveModel } from '../core/src/circuit/curves/curve.ts';
import { type CurveModel, temperaturesOf } from '../core/src/circuit/curves/curveModel.ts';
import { identifySensor } from '../core/src/tools/identify/identifySensor.ts';

const median = (list: number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const timed = (work: () => void): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

const sh = { kind: 'steinhart-hart', a: 1.129241e-3, b: 2.341077e-4, c: 8.775468e-8, minC: -40, maxC: 125 } as const;
const exact = curveModel(sh);
const rows = Array.from({ length: 200 }, (_, i) => {
  const temperatureC = -40 + (165 * i) / 199;
  return {
    line: i + 1,
    temperatureC,
    resistanceOhm: Number(exact.resistanceOhm(temperatureC).toPrecision(5)) * (i === 120 ? 1.012 : 1),
    minOhm: null,
    maxOhm: null,
  };
}).filter((r, i, all) => i === 0 || r.resistanceOhm < all[i - 1].resistanceOhm);
const fits = Array.from({ length: 15 }, () => timed(() => chooseFit(rows)));
console.log(
  `fitting ${rows.length} points, choice of form and search for mistyped rows: median ${median(fits.slice(3)).toFixed(1)} ms (bar: 50 ms)`,
);

const shelf = CATALOGUE_CURVES.map((c) => ({ id: c.id, name: c.name, model: curveModel(c.curve) }));
const pairs = [21, 60].map((t) => ({
  temperatureC: t,
  temperatureSigmaK: 1,
  resistanceOhm: exact.resistanceOhm(t),
  resistanceSigmaOhm: 10,
}));
const identified = Array.from({ length: 30 }, () => timed(() => identifySensor(pairs, shelf, { lowC: 0, highC: 95 })));
console.log(
  `identification over ${shelf.length} curves: median ${median(identified.slice(5)).toFixed(2)} ms (bar: 50 ms)`,
);

// The least of fifteen on either side: other work on the machine only ever adds.
const N = 1_000_000;
const ohms = Float64Array.from({ length: N }, (_, i) => 100 * Math.pow(1000, i / N));
const points = Array.from({ length: 34 }, (_, i) => ({
  temperatureC: -40 + 5 * i,
  resistanceOhm: exact.resistanceOhm(-40 + 5 * i),
}));
const convert = (model: CurveModel): number =>
  Math.min(...Array.from({ length: 15 }, () => timed(() => temperaturesOf(model, ohms))));
const ours = { sh: convert(exact), table: convert(curveModel({ kind: 'table', points })) };
const program = `
import numpy as np, time, json
r = 100.0 * 1000.0 ** (np.arange(${N}) / ${N})
def least(f):
    ts = []
    for _ in range(15):
        s = time.perf_counter(); f(); ts.append(1000 * (time.perf_counter() - s))
    return min(ts)
def sh():
    l = np.log(r); return 1 / (${sh.a} + ${sh.b} * l + ${sh.c} * l ** 3) - 273.15
p = np.array(${JSON.stringify(points.map((q) => [q.temperatureC, q.resistanceOhm]))})
lx = np.log(p[::-1, 1]); iy = 1 / (p[::-1, 0] + 273.15)
def table():
    return 1 / np.interp(np.log(r), lx, iy) - 273.15
print(json.dumps({"sh": least(sh), "table": least(table)}))`;
const run = spawnSync('/usr/bin/python3', ['-c', program], { encoding: 'utf8' });
if (run.status !== 0) throw new Error(run.stderr);
const numpy = JSON.parse(run.stdout) as typeof ours;
for (const kind of ['sh', 'table'] as const) {
  console.log(
    `a million conversions R→T, ${kind === 'sh' ? 'Steinhart–Hart' : 'table of 34 points'}: ${(ours[kind] / numpy[kind]).toFixed(2)} times numpy's time (bar: 2)`,
  );
}
