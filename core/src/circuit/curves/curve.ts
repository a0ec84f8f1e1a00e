import { z } from 'zod';
import { band } from './band.ts';
import { beta } from './beta.ts';
import type { CurveKind, TypedForm } from './curveKind.ts';
import type { CurveModel } from './curveModel.ts';
import { ntcNetwork } from './ntcNetwork.ts';
import { nickel } from './nickel.ts';
import { platinum } from './platinum.ts';
import { siliconPtc } from './siliconPtc.ts';
import { steinhartHart } from './steinhartHart.ts';
import { table } from './table.ts';
import { unknownCurve } from './unknownCurve.ts';

/** Every kind of sensor curve. A new one is one file and one line here. */
export const CURVE_KINDS = [
  beta,
  steinhartHart,
  ntcNetwork,
  table,
  platinum,
  nickel,
  siliconPtc,
  band,
  unknownCurve,
] as const;

/** Schema of any curve, as data. */
export const curveSchema = z.discriminatedUnion(
  'kind',
  CURVE_KINDS.map((k) => k.schema) as unknown as Schemas<typeof CURVE_KINDS>,
);
type Schemas<K> = { [I in keyof K]: K[I] extends { schema: infer S } ? S : never };
export type Curve = z.infer<(typeof CURVE_KINDS)[number]['schema']>;

const byKind = new Map<string, CurveKind>(CURVE_KINDS.map((k) => [k.kind, k as unknown as CurveKind]));

/** The working model of a curve. Throws on a kind that is not in the list (files are checked at the door). */
export function curveModel(curve: Curve): CurveModel {
  const kind = byKind.get(curve.kind);
  if (!kind) throw new Error(`curveModel: no curve kind "${String(curve.kind)}"`);
  return kind.model(curve);
}

/** Every form in which a curve can be typed, with its kind. */
export const TYPED_FORMS: readonly (TypedForm & { kind: string })[] = CURVE_KINDS.flatMap((k) =>
  k.typed.map((form) => ({ ...form, kind: k.kind })),
);

/** The typed form of a kind, or null where there is none of that name. */
export function typedForm(kind: string, id: string): (TypedForm & { kind: string }) | null {
  return TYPED_FORMS.find((form) => form.kind === kind && form.id === id) ?? null;
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
