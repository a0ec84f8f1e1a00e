import type { z } from 'zod';
import type { FieldQuantity } from '../../base/units/quantity.ts';
import type { CurveModel } from './curveModel.ts';

/** One figure of a curve as a person types it; `key` is its name in the schema, the bounds are in the unit of the quantity. */
export interface CurveFigure {
  key: string;
  name: string;
  quantity: FieldQuantity;
  low: number;
  high: number;
}

/** How a curve of a kind can be typed: under which name, with which figures, and what of the schema is fixed by the name. */
export interface TypedForm {
  /** Within its kind; '' where the kind has one form only. */
  id: string;
  name: string;
  figures: readonly CurveFigure[];
  fixed: Readonly<Record<string, string>>;
  /** Figures that make a sound curve in this form; the contract tests type them. */
  example: Readonly<Record<string, number>>;
}

/**
 * One kind of sensor curve. Data is checked by `schema`, and turned into what every curve can do by `model`. `examples` stand for the kind in
 * the contract tests. `typed` are the ways in which it can be chosen and typed on a job; a kind that is only pasted or fitted has none.
 */
export interface CurveKind<S extends z.ZodType<{ kind: string }> = z.ZodType<{ kind: string }>> {
  readonly kind: z.infer<S>['kind'];
  readonly name: string;
  readonly schema: S;
  model(curve: z.infer<S>): CurveModel;
  readonly examples: readonly z.infer<S>[];
  readonly typed: readonly TypedForm[];
}

/** Ω of a sensor at its base temperature, as typed. */
export const baseOhm = (key: string, name: string): CurveFigure => ({
  key,
  name,
  quantity: 'ohms',
  low: 0.1,
  high: 100e6,
});

/** B of an NTC, K, as typed. */
export const BETA_FIGURE: CurveFigure = { key: 'betaK', name: 'B (K)', quantity: 'number', low: 500, high: 10_000 };
