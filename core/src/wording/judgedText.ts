import type { MachineField } from '../base/units/vocabulary.ts';
import type { GlobalRisks, Judged } from '../tools/judging/judgeResistance.ts';
import {
  formatInterval,
  formatOhm,
  formatProbability,
  formatTemperature,
  type TemperatureUnit,
  shownDifference,
} from '../base/units/format.ts';
import { fixed } from '../base/units/writing.ts';

/** What a display that is off by so much does to the machine. Common practice, no source. */
const EFFECT: Record<MachineField, { cold: string; hot: string }> = {
  engine: {
    cold: 'it runs rich, starts badly when hot, fans come late or never',
    hot: 'it runs lean, fans run early, power may be cut',
  },
  climate: { cold: 'the compressor starts late or never', hot: 'the coil ices up before anybody notices' },
  boiler: { cold: 'it heats too much', hot: 'it heats too little or stays off' },
};

/** What the rule does over many parts. */
function risksText({ consumer, producer }: GlobalRisks): string {
  const of = (share: number): string => (share < 0.0005 ? 'none' : String(Math.round(1000 * share)));
  return `Of 1000 parts judged like this, ${of(consumer)} would pass although outside, ${of(producer)} would not pass although inside.`;
}

/** A judged resistance in words, line by line; odd lines speak against the part. */
export function judgedText(j: Judged, field: MachineField, unit: TemperatureUnit): { text: string; odd: boolean }[] {
  if (!j.ok)
    return [
      {
        text: `Outside this curve (${formatTemperature(j.minC, unit)} … ${formatTemperature(j.maxC, unit)}).`,
        odd: true,
      },
    ];
  const should = `Should be ${formatOhm(j.nominalOhm)} (${formatInterval(j.tolerance, 'ohms', unit)}).`;
  const inside = `Inside with ${formatProbability(j.probability)}.`;
  const empty = j.acceptance.low > j.acceptance.high;
  const rule = empty
    ? 'Meter and thermometer are too coarse to pass any part of this tolerance: use a stirred bath.'
    : `To pass at 95 % it must read ${formatInterval(j.acceptance, 'ohms', unit)}. ${risksText(j.risks)}`;
  const decision = { accept: 'Passes.', reject: 'Fails.', open: 'Open: neither passed nor failed at 95 %.' }[
    j.decision
  ];
  const off = shownDifference(Math.abs(j.errorK), unit);
  const lines = [
    { text: `${decision} ${inside} ${should}`, odd: j.decision !== 'accept' },
    { text: rule, odd: empty },
  ];
  if (off < 0.5) lines.push({ text: 'The display is not moved by it.', odd: false });
  else {
    const way = j.errorK < 0 ? 'cold' : 'hot';
    const sure = Math.abs(j.errorK) > 2 * j.errorSigmaK;
    lines.push({
      text: `The display reads about ${fixed(off, 1)} °${unit} too ${way}${sure ? '' : ', within what meter and thermometer leave open'}${Math.abs(j.errorK) > 5 ? `: ${EFFECT[field][way]}` : ''}.`,
      odd: sure && Math.abs(j.errorK) > 5,
    });
  }
  return lines;
}
