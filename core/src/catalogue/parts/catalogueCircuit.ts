import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import { YARD_SPREAD } from '../../circuit/network/spread.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { CATALOGUE_CIRCUITS, SUBSTITUTES, workingRange } from './circuits.ts';
import { catalogueCurve } from './curves.ts';

/** A circuit of the catalogue as the engine takes it. Throws on an id that is not there. */
export function catalogueCircuit(id: string): SensorCircuit {
  const entry = CATALOGUE_CIRCUITS.find((c) => c.id === id);
  if (!entry) throw new Error(`catalogueCircuit: no circuit "${id}"`);
  return {
    layout: entry.layout,
    referenceV: entry.referenceV,
    pullUpOhm: entry.pullUpOhm,
    hotPullUpOhm: null,
    switchRatio: 0,
    curve: curveModel(catalogueCurve(entry.curveId)!.curve),
    display: {
      ...entry.display,
      resolutionC: 1,
      substituteC: null,
      substitutes: SUBSTITUTES[entry.field],
      ratiometric: null,
    },
    supplyV: entry.supplyV,
    worksC: workingRange(entry.field, entry.display),
    wireMinOhm: 0.05,
    wireMaxOhm: 1.5,
    connectors: 0,
    spread: YARD_SPREAD,
  };
}
