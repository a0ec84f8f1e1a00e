import { nowIso } from '../../browser/newId.ts';
import { workshop } from '../../browser/workshop.ts';
import { readWord, writePreference } from './preferences.ts';

const NAME = `lastBackup.${workshop}`;

/** When the last backup of the checks was written on this device, ISO 8601; empty: never. */
export const lastBackup = (): string => readWord(NAME, '');
export const noteBackup = (): void => writePreference(NAME, nowIso());
