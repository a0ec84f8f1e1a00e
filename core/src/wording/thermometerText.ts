import { thermometerSigmaK } from '../catalogue/kit/instrumentsOf.ts';
import { genericKit, type Kit } from '../catalogue/kit/kitSchema.ts';
import { THERMOMETER_KINDS, type ThermometerKind } from '../base/units/vocabulary.ts';
import { significant } from '../base/units/writing.ts';

/** What the kinds of thermometer are called. */
export const THERMOMETER_NAMES: Readonly<Record<ThermometerKind, string>> = {
  thermocouple: 'thermocouple, taped on',
  glass: 'glass, dipped',
  'infra-red': 'infra-red on a dull surface',
  'infra-red-shiny': 'infra-red on bare metal',
  'pipe-clamp': 'clamp on the outside of a pipe',
  display: 'another display of the machine',
  hand: 'the hand',
  other: 'another',
};

/** How far a thermometer of this kind may be off (2σ), K, in words; its limit where the kit states one for its own. */
export function withinText(kit: Kit, kind: ThermometerKind): string {
  if (kind === 'infra-red-shiny') return 'may be far off, towards the room';
  const own = kit.thermometer === kind ? kit : { ...genericKit(), thermometer: kind };
  const within = `± ${significant(2 * thermometerSigmaK(own), 2)} K`;
  return kind === 'pipe-clamp' ? `${within}, more towards the air` : within;
}

/** The kinds with how far each may be off, to choose from. */
export const thermometerChoices = (kit: Kit): { value: ThermometerKind; label: string }[] =>
  THERMOMETER_KINDS.map((value) => ({ value, label: `${THERMOMETER_NAMES[value]}: ${withinText(kit, value)}` }));
