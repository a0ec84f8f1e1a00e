import type { MachineField } from '../../base/units/vocabulary.ts';

/** A complaint of the trade, and which way it says that the reading lies. */
export interface Symptom {
  id: string;
  name: string;
  field: MachineField;
  reads: 'cold' | 'hot' | 'either';
}

/** Source: common practice, no source. */
export const SYMPTOMS: readonly Symptom[] = [
  symptom('rich', 'Rich mixture, black smoke, sooty tailpipe', 'engine', 'cold'),
  symptom('hard-start', 'Hard starting, worse when hot', 'engine', 'cold'),
  symptom('fouled-plugs', 'Fouled plugs, high consumption, rough idle', 'engine', 'cold'),
  symptom('fans-never', 'Fans never come on, real overheating', 'engine', 'cold'),
  symptom('gauge-high', 'Gauge high although hoses can be touched', 'engine', 'hot'),
  symptom('fans-from-cold', 'Fans run from cold', 'engine', 'hot'),
  symptom('lean', 'Runs lean, power cut', 'engine', 'hot'),
  symptom('gauge-jumps', 'Gauge or value jumps', 'engine', 'either'),
  symptom('compressor-never', 'Compressor is never let in', 'climate', 'cold'),
  symptom('icing', 'Coil ices up', 'climate', 'hot'),
  symptom('cabin-too-warm', 'Cools too much, room shown warmer than it is', 'climate', 'hot'),
  symptom('cabin-too-cold', 'Heats too much, room shown colder than it is', 'climate', 'cold'),
  symptom('display-dashes', 'Display shows dashes or a frozen value', 'climate', 'either'),
  symptom('no-heat', 'No heat although it is cold outside', 'boiler', 'hot'),
  symptom('too-much-heat', 'Too much heat, boiler never rests', 'boiler', 'cold'),
  symptom('lockout', 'Locks out on a sensor code', 'boiler', 'either'),
  symptom('water-scalds', 'Hot water far above its setting', 'boiler', 'cold'),
  symptom('water-lukewarm', 'Hot water never reaches its setting', 'boiler', 'hot'),
];

function symptom(id: string, name: string, field: MachineField, reads: Symptom['reads']): Symptom {
  return { id, name, field, reads };
}

/** Which way the symptoms say the reading lies; 'both' when they contradict each other, null when they say nothing. */
export function directionOf(ids: readonly string[]): 'cold' | 'hot' | 'both' | null {
  const ways = new Set(SYMPTOMS.filter((s) => ids.includes(s.id) && s.reads !== 'either').map((s) => s.reads));
  if (ways.size > 1) return 'both';
  return ([...ways][0] as 'cold' | 'hot' | undefined) ?? null;
}
