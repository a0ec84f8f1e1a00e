import type { CatalogueCircuit } from '../catalogue/parts/circuits.ts';
import type { CurveModel } from '../circuit/curves/curveModel.ts';
import { formatInterval, formatOhm, formatTemperature, type TemperatureUnit } from '../base/units/format.ts';

const LAYOUTS = {
  'pull-up': 'sensor to ground',
  'pull-down': 'sensor to the reference',
  'one-wire': 'one wire, return by the body',
} as const;

/** The second line of a circuit in a list: how it is built and what its display spans. */
export function circuitLine({ layout, display }: CatalogueCircuit, unit: TemperatureUnit): string {
  return `${LAYOUTS[layout]}, shows ${formatInterval({ low: display.minC, high: display.maxC }, 'celsius', unit)}`;
}

/** Where a curve is shown in a list, °C: cold, room, hot; those outside it are left out. */
const AT = [0, 25, 80] as const;

/** The second line of a curve in a list: its ohms cold, at room temperature and hot. */
export function curveLine(model: CurveModel, unit: TemperatureUnit): string {
  return AT.filter((t) => t >= model.minC && t <= model.maxC)
    .map((t) => `${formatOhm(model.resistanceOhm(t))} at ${formatTemperature(t, unit)}`)
    .join(' · ');
}
