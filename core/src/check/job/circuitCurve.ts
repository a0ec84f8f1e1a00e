import { catalogueCurve } from '../../catalogue/parts/curves.ts';
import { type Curve, curveModel, curveSchema, typedForm } from '../../circuit/curves/curve.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import { tableFault } from '../../circuit/curves/table.ts';
import type { FieldQuantity } from '../../base/units/quantity.ts';
import type { CurveChoice } from './circuitSchema.ts';
import { ohmBand } from '../../base/units/ohmBand.ts';
import { blank, type Entry } from '../../base/units/entry.ts';
import type { Issue } from './fieldIssue.ts';
import { readFigure } from './readFigure.ts';

/** The curve a circuit chose, or null while it is not complete. */
export function circuitCurve(choice: CurveChoice): Curve | null {
  return curveOf(choice, [], '');
}

/** The curve a job chose, as a model; null with issues where it is not one. */
export function readCurve(choice: CurveChoice, issues: Issue[]): CurveModel | null {
  const path = 'circuit.curve';
  const curve = curveOf(choice, issues, path);
  return curve ? curveModel(curve) : null;
}

/** Reads a figure of the curve within bounds; what is wrong with it goes to the issues, and it is null then. */
type Read = (at: string, entry: Entry, quantity: FieldQuantity, low: number, high: number) => number | null;

type Choice<S extends CurveChoice['source']> = Extract<CurveChoice, { source: S }>;

function curveOf(choice: CurveChoice, issues: Issue[], path: string): Curve | null {
  const read: Read = (at, entry, quantity, low, high) => {
    const value = readFigure(entry, quantity, low, high);
    if (typeof value === 'number') return value;
    issues.push({ path: `${path}.${at}`, issue: value });
    return null;
  };
  switch (choice.source) {
    case 'given':
      return choice.curve;
    case 'catalogue': {
      const entry = catalogueCurve(choice.id);
      if (!entry) issues.push({ path, issue: { ok: false, reason: 'unknown-curve' } });
      return entry?.curve ?? null;
    }
    case 'typed':
      return typedCurve(choice, issues, path, read);
    case 'unknown':
      return { kind: 'unknown' };
    case 'band':
      return bandOf(choice, issues, path, read);
    case 'points':
      return pointsCurve(choice, issues, path, read);
  }
}

function typedCurve(choice: Choice<'typed'>, issues: Issue[], path: string, read: Read): Curve | null {
  const form = typedForm(choice.kind, choice.form)!;
  const figures = form.figures.map(
    (f) => [f.key, read(`figures.${f.key}`, choice.figures[f.key] ?? blank(), f.quantity, f.low, f.high)] as const,
  );
  if (figures.some(([, value]) => value === null)) return null;
  const curve = curveSchema.safeParse({ kind: form.kind, ...form.fixed, ...Object.fromEntries(figures) });
  if (curve.success && runsOneWay(curveModel(curve.data))) return curve.data;
  issues.push({ path: `${path}.figures.${form.figures[0].key}`, issue: { ok: false, reason: 'not-monotone' } });
  return null;
}

function pointsCurve(choice: Choice<'points'>, issues: Issue[], path: string, read: Read): Curve | null {
  const points = choice.points
    .map((p, i) => ({ p, i }))
    .filter(({ p }) => p.temperatureC.text.trim() !== '' || p.resistanceOhm.text.trim() !== '')
    .map(({ p, i }) => ({
      row: i,
      temperatureC: read(`points.${i}.temperatureC`, p.temperatureC, 'celsius', -200, 1200),
      resistanceOhm: read(`points.${i}.resistanceOhm`, p.resistanceOhm, 'ohms', 0.01, 1e9),
    }));
  if (points.length < 2) {
    issues.push({ path, issue: { ok: false, reason: 'too-few-points' } });
    return null;
  }
  if (points.some((p) => p.temperatureC === null || p.resistanceOhm === null)) return null;
  const sorted = points.map((p) => ({ row: p.row, temperatureC: p.temperatureC!, resistanceOhm: p.resistanceOhm! }));
  sorted.sort((a, b) => a.temperatureC - b.temperatureC);
  const fault = tableFault(sorted);
  if (fault) {
    const { row } = sorted[fault.row];
    const reason = fault.reason === 'temperatures not ascending' ? 'equal-points' : 'not-monotone';
    issues.push({
      path: `${path}.points.${row}.${reason === 'equal-points' ? 'temperatureC' : 'resistanceOhm'}`,
      issue: { ok: false, reason },
    });
    return null;
  }
  return { kind: 'table', points: sorted.map(({ temperatureC, resistanceOhm }) => ({ temperatureC, resistanceOhm })) };
}

/** A specification of a line or two; an empty second line is left out. */
function bandOf({ slope, bands }: Choice<'band'>, issues: Issue[], path: string, read: Read): Curve | null {
  const empty = (entry: Entry): boolean => entry.text.trim() === '';
  const lines = bands
    .map((line, row) => ({ ...line, row }))
    .filter((line, i) => i === 0 || !empty(line.temperatureC) || !empty(line.resistanceOhm))
    .map(({ temperatureC, resistanceOhm, row }) => {
      const at = read(`bands.${row}.temperatureC`, temperatureC, 'told-celsius', -80, 1000);
      const middle = read(`bands.${row}.resistanceOhm`, resistanceOhm, 'ohm-band', 0.01, 1e9);
      const band = ohmBand(resistanceOhm.text);
      return at === null || middle === null || !band.ok ? null : { temperatureC: at, ...band.band };
    });
  if (lines.length === 0) issues.push({ path: `${path}.bands`, issue: { ok: false, reason: 'empty' } });
  if (lines.length === 0 || lines.some((line) => line === null)) return null;
  const curve = curveSchema.safeParse({ kind: 'band', slope, bands: lines.slice(0, 2) });
  if (!curve.success) return null;
  const [first, second] = lines;
  const falls = second && (second.lowOhm - first!.lowOhm) * (second.temperatureC - first!.temperatureC) < 0;
  if (second && (second.temperatureC === first!.temperatureC || falls !== (slope === 'ntc'))) {
    issues.push({ path: `${path}.bands.1.resistanceOhm`, issue: { ok: false, reason: 'not-monotone' } });
    return null;
  }
  return curve.data;
}

/** Does a typed curve go one way from end to end, with figures a meter can show? Coefficients with a slip in them do not. */
function runsOneWay(model: CurveModel): boolean {
  const sign = model.slope === 'ntc' ? -1 : 1;
  const steps = Array.from({ length: 17 }, (_, i) => model.minC + ((model.maxC - model.minC) * i) / 16);
  const ohms = steps.map((t) => model.resistanceOhm(t));
  return (
    model.minC < model.maxC && ohms.every((r, i) => r > 1e-3 && r < 1e10 && (i === 0 || sign * (r - ohms[i - 1]) > 0))
  );
}
