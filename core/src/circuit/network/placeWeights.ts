import { elementsOf } from './chain.ts';

/** What a place can be bad in: more resistance in one of the two wires, or a leak of the signal wire. */
export const STRANDS = ['signal', 'return', 'leak'] as const;
export type Strand = (typeof STRANDS)[number];

/** How likely each element of the chain is to be the bad one, against the others; by strand, any scale. */
export type PlaceWeights = Readonly<Record<Strand, readonly number[]>>;

/** Weight of a contact, of a run's crimps and of a metre of its wire. Contacts before wire: common practice, no source. */
export const USUAL = {
  series: { contact: 1, plug: 1.2, module: 0.4, run: 0.15, metre: 0.04 },
  leak: { contact: 0.7, plug: 1.5, module: 0.2, run: 0.25, metre: 0.08 },
} as const;

/** Metres of a run whose length nobody told. */
export const USUAL_RUN_M = 1.5;

/** The weights of a harness of which nothing is known but the number of its connectors. */
export function usualWeights(connectors: number): PlaceWeights {
  const of = (kind: 'series' | 'leak'): number[] => {
    const { contact, plug, module, run, metre } = USUAL[kind];
    return Array.from({ length: elementsOf(connectors) }, (_, e) => {
      if (e % 2 === 1) return run + metre * USUAL_RUN_M;
      return e === 0 ? module : e === 2 * connectors + 2 ? plug : contact;
    });
  };
  return { signal: of('series'), return: of('series'), leak: of('leak') };
}

/** The weights of a circuit: as told, else as usual. */
export const placeWeightsOf = ({
  placeWeights,
  connectors,
}: {
  placeWeights?: PlaceWeights;
  connectors: number;
}): PlaceWeights => placeWeights ?? usualWeights(connectors);

/** The elements of the chain (`chain.ts`; 0 = next to the module) at which the faults of a circuit are. */
export interface FaultPlaces {
  signalFaultAt: number;
  returnFaultAt: number;
  /** Matters only where the harness is parted. */
  leakAt: number;
}

/** Puts the fault of a strand at an element of the chain. */
export function putAt(state: FaultPlaces, strand: Strand, element: number): void {
  if (strand === 'signal') state.signalFaultAt = element;
  else if (strand === 'return') state.returnFaultAt = element;
  else state.leakAt = element;
}
