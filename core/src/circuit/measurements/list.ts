import { connectorOhms } from './connectorOhms.ts';
import { connectorVoltage } from './connectorVoltage.ts';
import { contactDrop } from './contactDrop.ts';
import { deadWireVoltage } from './deadWireVoltage.ts';
import { displayedBridged } from './displayedBridged.ts';
import { displayedPluggedIn } from './displayedPluggedIn.ts';
import { displayedSubstituted } from './displayedSubstituted.ts';
import { displayedUnplugged } from './displayedUnplugged.ts';
import { isolationSignalGround } from './isolationSignalGround.ts';
import { isolationSignalReturn } from './isolationSignalReturn.ts';
import { knownGoodOhms } from './knownGoodOhms.ts';
import { loadedVoltageChassis } from './loadedVoltageChassis.ts';
import { loadedVoltageReturn } from './loadedVoltageReturn.ts';
import { loopOhms } from './loopOhms.ts';
import type { Measurement } from './measurement.ts';
import { neighbourDisplayed } from './neighbourDisplayed.ts';
import { neighbourReference } from './neighbourReference.ts';
import { openVoltageChassis } from './openVoltageChassis.ts';
import { openVoltageReturn } from './openVoltageReturn.ts';
import { openVoltageReturnBridged } from './openVoltageReturnBridged.ts';
import { panelOhms } from './panelOhms.ts';
import { partedVoltage } from './partedVoltage.ts';
import { pinToBody } from './pinToBody.ts';
import { referenceAlone } from './referenceAlone.ts';
import { returnDrop } from './returnDrop.ts';
import { returnWireOhms } from './returnWireOhms.ts';
import { sensorOhmsInBath } from './sensorOhmsInBath.ts';
import { sensorOhmsInPlace } from './sensorOhmsInPlace.ts';
import { sensorOhmsOff } from './sensorOhmsOff.ts';
import { signalWireOhms } from './signalWireOhms.ts';
import { supplyToReturn } from './supplyToReturn.ts';

/** Every test, in the order of work. A new one is one file and one line here. */
export const MEASUREMENTS: readonly Measurement[] = [
  displayedPluggedIn,
  displayedUnplugged,
  displayedBridged,
  displayedSubstituted,
  openVoltageChassis,
  openVoltageReturn,
  supplyToReturn,
  openVoltageReturnBridged,
  loadedVoltageChassis,
  loadedVoltageReturn,
  returnDrop,
  neighbourReference,
  referenceAlone,
  sensorOhmsInPlace,
  pinToBody,
  sensorOhmsOff,
  sensorOhmsInBath,
  knownGoodOhms,
  panelOhms,
  signalWireOhms,
  returnWireOhms,
  isolationSignalGround,
  isolationSignalReturn,
  deadWireVoltage,
  loopOhms,
  connectorVoltage,
  connectorOhms,
  contactDrop,
  partedVoltage,
  neighbourDisplayed,
];

const byId = new Map(MEASUREMENTS.map((m) => [m.id, m]));

/** The test of that id; throws on an id that is not in the list (files are checked at the door). */
export function measurementById(id: string): Measurement {
  const found = byId.get(id);
  if (!found) throw new Error(`measurementById: no measurement "${id}"`);
  return found;
}

export function isMeasurementId(id: string): boolean {
  return byId.has(id);
}
