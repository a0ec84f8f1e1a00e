import type { MachineField, MachineState } from '../../base/units/vocabulary.ts';

/** A complaint of the trade, and which way it says that the reading lies. */
export interface Symptom {
  id: string;
  name: string;
  /** null: of any machine. */
  field: MachineField | null;
  reads: 'cold' | 'hot' | 'either';
  /** States of the machine in which alone it shows, where it comes and goes. */
  shows?: readonly MachineState[];
}

/** Source: common practice, no source. */
export const SYMPTOMS: readonly Symptom[] = [
  symptom('rich', 'Rich mixture, black smoke, sooty tailpipe', 'engine', 'cold'),
  symptom('hard-start', 'Hard starting, worse when hot', 'engine', 'cold'),
  symptom('fouled-plugs', 'Fouled plugs, high consumption, rough idle', 'engine', 'cold'),
  symptom('fans-never', 'Fans never come on, real overheating', 'engine', 'cold'),
  symptom('gauge-high', 'Gauge high although hoses can be touched', 'engine', 'hot'),
  symptom('fans-from-cold', 'Fans run on a cold engine', 'engine', 'hot'),
  symptom('lean', 'Runs lean, power cut', 'engine', 'hot'),
  { ...symptom('gauge-jumps', 'Gauge or value jumps', 'engine', 'either'), shows: ['hot', 'wiggling'] },
  symptom('compressor-never', 'Compressor never starts', 'climate', 'cold'),
  symptom('icing', 'Coil ices up', 'climate', 'hot'),
  symptom('cabin-too-warm', 'Cools too much, room shown warmer than it is', 'climate', 'hot'),
  symptom('cabin-too-cold', 'Heats too much, room shown colder than it is', 'climate', 'cold'),
  symptom('display-dashes', 'Display shows dashes or a frozen value', 'climate', 'either'),
  symptom('no-heat', 'No heat although it is cold outside', 'boiler', 'hot'),
  symptom('too-much-heat', 'Too much heat, boiler never stops', 'boiler', 'cold'),
  symptom('lockout', 'Locks out on a sensor code', 'boiler', 'either'),
  symptom('water-scalds', 'Hot water far above its setting', 'boiler', 'cold'),
  symptom('water-lukewarm', 'Hot water never reaches its setting', 'boiler', 'hot'),
  symptom('reads-cold', 'Reads too cold', null, 'cold'),
  symptom('reads-hot', 'Reads too hot', null, 'hot'),
  symptom('end-cold', 'Stuck at the cold end, about −40', null, 'cold'),
  symptom('end-hot', 'Stuck at the hot end', null, 'hot'),
  symptom('stuck', 'Does not move', null, 'either'),
  symptom('dashes', 'Dashes or nothing shown', null, 'either'),
  { ...symptom('jumps', 'Jumps, comes and goes', null, 'either'), shows: ['hot', 'wiggling'] },
  { ...symptom('only-hot', 'Only when hot', null, 'either'), shows: ['hot'] },
  { ...symptom('only-wet', 'Only when wet or shaken', null, 'either'), shows: ['wiggling'] },
  symptom('warning-light', 'Warning light', null, 'either'),
];

function symptom(id: string, name: string, field: Symptom['field'], reads: Symptom['reads']): Symptom {
  return { id, name, field, reads };
}

/** States of the machine in which alone the complaint shows, where these symptoms say that it comes and goes. */
export function comesAndGoes(ids: readonly string[]): MachineState[] {
  const said = SYMPTOMS.filter((s) => ids.includes(s.id)).flatMap((s) => s.shows ?? []);
  return [...new Set(said)];
}

/** Which way the symptoms say the reading lies; 'both' when they contradict each other, null when they say nothing. */
export function directionOf(ids: readonly string[]): 'cold' | 'hot' | 'both' | null {
  const ways = new Set(SYMPTOMS.filter((s) => ids.includes(s.id) && s.reads !== 'either').map((s) => s.reads));
  if (ways.size > 1) return 'both';
  return ([...ways][0] as 'cold' | 'hot' | undefined) ?? null;
}
