import { elementsOf } from '../../circuit/network/chain.ts';
import { STRANDS, type Strand, placeWeightsOf } from '../../circuit/network/placeWeights.ts';
import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import type { Stretch } from '../../circuit/faults/fault.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { ReadingInput } from './problem.ts';

type Taken = Pick<ReadingInput, 'measurement' | 'conditions'>;

/**
 * The stretches of the way that these readings tell apart, by strand: between two neighbouring points that were looked at, every place explains them
 * alike, so one hypothesis stands for all of them with the sum of their weights.
 */
export function stretchesOf(circuit: SensorCircuit, readings: readonly Taken[]): Record<Strand, Stretch[]> {
  const end = elementsOf(circuit.connectors);
  const weights = placeWeightsOf(circuit);
  const of = (strand: Strand): Stretch[] => {
    const parting = readings.flatMap(
      ({ measurement, conditions }) => measurementById(measurement).parts?.(strand, conditions) ?? [],
    );
    const borders = [...new Set([0, ...parting.filter((p) => p > 0 && p < end), end])].sort((a, b) => a - b);
    const sum = (from: number, to: number): number => weights[strand].slice(from, to).reduce((a, b) => a + b, 0);
    const total = sum(0, end);
    return borders.slice(1).map((to, i) => {
      const from = borders[i];
      return { from, to, share: sum(from, to) / total, name: borders.length > 2 ? stretchName(from, to, end) : '' };
    });
  };
  return Object.fromEntries(STRANDS.map((strand) => [strand, of(strand)])) as Record<Strand, Stretch[]>;
}

function stretchName(from: number, to: number, end: number): string {
  if (end === elementsOf(0)) return from === 0 ? 'in the part that is shared' : 'in its own part';
  if (to === from + 1 && from % 2 === 0) return `in connector ${from / 2}`;
  const start = from === 0 ? 'module' : `connector ${Math.floor(from / 2)}`;
  return `between ${start} and ${to === end ? 'sensor plug' : `connector ${Math.floor(to / 2)}`}`;
}
