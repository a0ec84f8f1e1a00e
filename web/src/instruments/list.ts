import { listWords as say } from '@mellow-probe/core/wording/screens/instruments';
import { benchMeter, type MeterFunction } from '@mellow-probe/core/intake/instruments/benchMeter';
import { busLog } from '@mellow-probe/core/intake/instruments/busLog';
import { decadeBox } from '@mellow-probe/core/intake/instruments/decadeBox';
import type { Driver } from '@mellow-probe/core/intake/instruments/heard';
import { thermometerLine } from '@mellow-probe/core/intake/instruments/thermometerLine';
import { vehicleAdapter } from '@mellow-probe/core/intake/instruments/vehicleAdapter';

/** The kinds of instrument. A new one is a driver in core and one entry here. */
export const INSTRUMENT_IDS = ['meter', 'adapter', 'bus', 'thermometer', 'box'] as const;
export type InstrumentId = (typeof INSTRUMENT_IDS)[number];

/** A driver with what else it can do. */
export interface Running extends Driver {
  use?(wanted: MeterFunction): void;
  put?(ohm: number | null): void;
}

export interface Instrument {
  id: InstrumentId;
  name: string;
  about: string;
  baudRate: number;
  /** `everyS`: how often it is asked. */
  make(everyS: number): Running;
}

export const INSTRUMENTS: readonly Instrument[] = [
  { id: 'meter', name: say.benchMeter, about: say.meterKind, baudRate: 9600, make: benchMeter },
  {
    id: 'adapter',
    name: say.vehicleAdapter,
    about: say.everyTemperature,
    baudRate: 115_200,
    make: vehicleAdapter,
  },
  { id: 'thermometer', name: say.thermometer, about: say.thermometerKind, baudRate: 9600, make: thermometerLine },
  { id: 'bus', name: say.heavyDutyBus, about: say.listenedTo, baudRate: 115_200, make: busLog },
  { id: 'box', name: say.decadeBox, about: say.boxKind, baudRate: 9600, make: decadeBox },
];

/** Throws on an id that is not there. */
export function instrument(id: InstrumentId): Instrument {
  const found = INSTRUMENTS.find((i) => i.id === id);
  if (!found) throw new Error(`instrument: no instrument "${id}"`);
  return found;
}
