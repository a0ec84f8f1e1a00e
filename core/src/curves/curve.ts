import { z } from 'zod';
import { betaModel, betaSchema } from './beta.ts';
import type { CurveModel } from './curveModel.ts';
import { nickelModel, nickelSchema } from './nickel.ts';
import { platinumModel, platinumSchema } from './platinum.ts';
import { siliconPtcModel, siliconPtcSchema } from './siliconPtc.ts';
import { steinhartHartModel, steinhartHartSchema } from './steinhartHart.ts';
import { tableModel, tableSchema } from './table.ts';

/** Every kind of sensor curve, as data. A new kind is one file, one line here and one in `curveModel`. */
export const curveSchema = z.discriminatedUnion('kind', [
  betaSchema,
  steinhartHartSchema,
  tableSchema,
  platinumSchema,
  nickelSchema,
  siliconPtcSchema,
]);
export type Curve = z.infer<typeof curveSchema>;

/** The working model of a curve. */
export function curveModel(curve: Curve): CurveModel {
  switch (curve.kind) {
    case 'beta':
      return betaModel(curve);
    case 'steinhart-hart':
      return steinhartHartModel(curve);
    case 'table':
      return tableModel(curve);
    case 'platinum':
      return platinumModel(curve);
    case 'nickel':
      return nickelModel(curve);
    case 'silicon-ptc':
      return siliconPtcModel(curve);
  }
}

export type Converted =
  { ok: true; value: number } | { ok: false; reason: 'outside-curve'; minC: number; maxC: number };

/** Resistance (Ω) at a temperature (°C), refused outside the range in which the curve is known. */
export function resistanceAt(model: CurveModel, temperatureC: number): Converted {
  const inside = temperatureC >= model.minC - 1e-9 && temperatureC <= model.maxC + 1e-9;
  if (!inside) return { ok: false, reason: 'outside-curve', minC: model.minC, maxC: model.maxC };
  return { ok: true, value: model.resistanceOhm(temperatureC) };
}

/** Temperature (°C) of a resistance (Ω), refused outside the range in which the curve is known. */
export function temperatureOf(model: CurveModel, resistanceOhm: number): Converted {
  const value = model.temperatureC(resistanceOhm);
  const inside = value >= model.minC - 1e-9 && value <= model.maxC + 1e-9;
  return inside ? { ok: true, value } : { ok: false, reason: 'outside-curve', minC: model.minC, maxC: model.maxC };
}
