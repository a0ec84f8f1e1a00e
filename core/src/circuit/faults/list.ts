import type { Fault } from './fault.ts';
import { groundOffset } from './groundOffset.ts';
import { healthy } from './healthy.ts';
import { inputConversion } from './inputConversion.ts';
import { placement } from './placement.ts';
import { pullUpDrift } from './pullUpDrift.ts';
import { referenceHigh } from './referenceHigh.ts';
import { referenceLow } from './referenceLow.ts';
import { referenceMissing } from './referenceMissing.ts';
import { returnOpen } from './returnOpen.ts';
import { returnResistive } from './returnResistive.ts';
import { sensorHigh } from './sensorHigh.ts';
import { sensorLow } from './sensorLow.ts';
import { sensorOpen } from './sensorOpen.ts';
import { sensorShort } from './sensorShort.ts';
import { sensorToBody } from './sensorToBody.ts';
import { sensorWrongType } from './sensorWrongType.ts';
import { signalOpen } from './signalOpen.ts';
import { signalResistive } from './signalResistive.ts';
import { signalToGround } from './signalToGround.ts';
import { signalToReturn } from './signalToReturn.ts';
import { signalToSupply } from './signalToSupply.ts';

/** Every fault the verdict weighs. A new one is one file and one line here. */
export const FAULTS: readonly Fault[] = [
  healthy,
  sensorOpen,
  sensorShort,
  sensorHigh,
  sensorLow,
  sensorWrongType,
  sensorToBody,
  signalOpen,
  returnOpen,
  signalResistive,
  returnResistive,
  signalToGround,
  signalToReturn,
  signalToSupply,
  groundOffset,
  referenceLow,
  referenceMissing,
  referenceHigh,
  pullUpDrift,
  inputConversion,
  placement,
];

const byId = new Map(FAULTS.map((f) => [f.id, f]));

/** The fault of that id; throws on an id that is not in the list. */
export function faultById(id: string): Fault {
  const found = byId.get(id);
  if (!found) throw new Error(`faultById: no fault "${id}"`);
  return found;
}
