import { catalogueCurve } from '../../catalogue/parts/curves.ts';
import { comparisonView, type ComparisonView } from '../../tools/comparing/comparisonView.ts';
import type { Pair } from '../../tools/comparing/comparePairs.ts';
import { curveModel, typedForm } from '../../circuit/curves/curve.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import { circuitCurve } from './circuitCurve.ts';
import { readPair } from './readFigure.ts';
import type { Job } from './jobSchema.ts';

/** The pairs of a job that can be read, with the curve they are held against; null while the curve is not complete or no pair can be read. */
export function readPairs(job: Job): { pairs: Pair[]; model: CurveModel } | null {
  const curve = circuitCurve(job.circuit.curve);
  if (!curve) return null;
  const pairs = job.comparison.pairs.flatMap((p): Pair[] => {
    const { bathC, ohm } = readPair(p);
    if (typeof bathC !== 'number' || typeof ohm !== 'number') return [];
    return [{ id: p.id, sensor: p.sensor, phase: p.phase, temperatureC: bathC, resistanceOhm: ohm }];
  });
  return pairs.length === 0 ? null : { pairs, model: curveModel(curve) };
}

/** The comparison of a job, judged; null where `readPairs` is. */
export function comparePairsOf(job: Job): ComparisonView | null {
  const read = readPairs(job);
  return read && comparisonView(read.pairs, read.model);
}

/** Name of a catalogue curve, or what the choice itself says. */
export function curveName(choice: Job['circuit']['curve']): string {
  if (choice.source === 'catalogue') return catalogueCurve(choice.id)?.name ?? choice.id;
  if (choice.source === 'typed') {
    const form = typedForm(choice.kind, choice.form)!;
    return `${form.name}: ${form.figures.map((f) => `${f.name} ${choice.figures[f.key]?.text || '?'}`).join(', ')}`;
  }
  if (choice.source === 'unknown') return 'not known';
  if (choice.source === 'band')
    return choice.bands
      .filter((b) => b.resistanceOhm.text.trim() !== '')
      .map((b) => `${b.resistanceOhm.text.trim()} at ${b.temperatureC.text.trim() || '?'}`)
      .join(', ');
  return choice.source === 'given'
    ? choice.name
    : `table of ${choice.points.filter((p) => p.temperatureC.value !== null).length} points`;
}
