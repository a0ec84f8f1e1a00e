import type { LineFault } from '../intake/instruments/heard.ts';
import type { StandStill } from '../intake/instruments/standStill.ts';
import type { CycleVerdict } from '../intake/logs/heatCycle.ts';
import { formatQuantity, type TemperatureUnit } from '../base/units/format.ts';
import type { Quantity } from '../base/units/quantity.ts';
import { kelvinText } from './logText.ts';
import { fixed } from '../base/units/writing.ts';

const LINE_FAULTS: Record<LineFault, string> = {
  silent: 'no answer in time',
  garbled: 'an answer that cannot be read',
  half: 'half an answer',
  unasked: 'an answer to nothing that was asked',
  refused: 'it says that it cannot',
  gone: 'the line is gone',
};
/** What went wrong on a line, with what came. */
export const lineFaultText = (fault: LineFault, text: string): string =>
  `${LINE_FAULTS[fault]}${text === '' ? '' : `: “${text}”`}`;

/** How little a steady value moved. A display that shows one figure all the time is unchanged: within nothing at all would claim more. */
function steadyText(
  { spread, overS }: { spread: number; overS: number },
  quantity: Quantity,
  unit: TemperatureUnit,
): string {
  const time = `${fixed(overS, 0)} s`;
  if (spread === 0) return `unchanged for ${time}`;
  if (quantity === 'celsius') return `${time} within ±${kelvinText(Math.max(spread, 0.1), unit)}`;
  if (quantity === 'volts') return `${time} within ±${fixed(Math.max(spread, 0.001), 3)} V`;
  return `${time} within ±${formatQuantity(spread, quantity, unit)}`;
}

/** Does a value stand still, in words. */
export function standStillText(s: StandStill, quantity: Quantity, unit: TemperatureUnit): string {
  if (s.still) return `steady: ${steadyText(s, quantity, unit)}`;
  if (s.why === 'few') return 'too few values yet';
  const amount =
    quantity === 'celsius' ? kelvinText(Math.abs(s.amount), unit) : formatQuantity(Math.abs(s.amount), quantity, unit);
  return s.why === 'moving' ? `${s.amount > 0 ? 'rising' : 'falling'} by ${amount} a minute` : 'jumps about';
}

/** What a heat cycle said, and what to do next. */
export function cycleText(v: CycleVerdict, unit: TemperatureUnit): string {
  switch (v.verdict) {
    case 'unfinished':
      return {
        before: 'Read it cold first.',
        hot: 'Warm it by 25 K at least, let it settle, and read it hot.',
        after: 'Let it cool, wait ten minutes from the heat, and read it again.',
      }[v.missing];
    case 'not-told':
      return {
        'little-heat': 'It was warmed by less than 25 K: that is not enough. Warm it further.',
        'too-soon': 'Read again too soon: some change only minutes after the heat. Wait.',
        'no-thermometer':
          'Without a thermometer beside it nothing can be said: connect one, or write down what it shows.',
      }[v.why];
    case 'sound':
      return `It came back: ${kelvinText(Math.abs(v.shiftK), unit)} from where it was. This sensor passes a heat cycle.`;
    case 'wrong-from-the-start':
      return `It is ${kelvinText(Math.abs(v.offK), unit)} off before any heat: that is no matter of heat. Test the circuit first.`;
    case 'fails-hot':
      return `Hot, it is ${kelvinText(Math.abs(v.offK), unit)} off, and was not when cold: it fails only hot. The sensor, or a joint that opens with heat; its own ohms while hot tell which.`;
    case 'fails-after-heat':
      return `After the heat it is ${kelvinText(Math.abs(v.offK), unit)} off, and was not before: it fails after a heat cycle. Such a sensor is bad, however well it read cold.`;
  }
}
