import type { MachineState } from '../base/units/vocabulary.ts';

/** How a test is done in a state of the machine, after its name; empty as found. */
export const stateName = (state: MachineState): string =>
  state === 'hot' ? 'when hot' : state === 'wiggling' ? 'while wiggling' : '';

/** How to bring the machine into a state, and what to mind; null as found. */
export function stateCaution(state: MachineState): string | null {
  switch (state) {
    case 'steady':
      return null;
    case 'hot':
      return 'Warm it by normal running, or the sensor with warm air or water below its rating. No flame, and nothing near fuel or refrigerant pipes. Warm exhaust sensors by running only.';
    case 'wiggling':
      return 'Keep clear of fans and belts. Wiggle the harness piece by piece and watch the value. On a boiler, isolate the power before you touch wires.';
  }
}
