import Papa from 'papaparse';
import { MOST_CONNECTORS } from '../network/chain.ts';
import { entryOf } from '../../base/units/entry.ts';
import { LONGEST } from '../../base/units/bounds.ts';
import { newStop, type Stop } from './harnessSchema.ts';

/** What a pasted list gave, and what of it could not be taken. */
export interface PastedHarness {
  stops: Stop[];
  /** Lines that were left out, and why. */
  problems: { line: number; why: string }[];
}

/** What a column holds, by its head. */
const HEADS = {
  name: /name|connector|plug|stop/i,
  where: /where|place|location/i,
  minutes: /min|reach|time/i,
  lengthM: /length|metre|meter|\bm\b/i,
  signalPin: /signal.*pin|pin.*signal|^pin/i,
  returnPin: /return.*pin|pin.*return/i,
  signalColour: /signal.*colou?r|colou?r.*signal|^colou?r/i,
  returnColour: /return.*colou?r|colou?r.*return/i,
} as const;
type Head = keyof typeof HEADS;
/** The columns of a list without a head. */
const PLAIN: readonly Head[] = [
  'name',
  'where',
  'minutes',
  'lengthM',
  'signalPin',
  'returnPin',
  'signalColour',
  'returnColour',
];

/**
 * Connectors from a list as a sheet copies it: a line each, from the module; columns by their heads, or without a head name, where, minutes to
 * reach, metres to the next. A word "splice" in the name makes a splice. `idOf` gives each its id.
 */
export function pastedHarness(text: string, idOf: (index: number) => string): PastedHarness {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const cell = (row: readonly string[], i: number): string => (i < 0 ? '' : (row[i] ?? '').trim());
  const heads = headsOf(data[0] ?? []);
  const rows = heads ? data.slice(1) : data;
  const columns = heads ?? Object.fromEntries(PLAIN.map((head, i) => [head, i]));
  const problems: PastedHarness['problems'] = [];
  const stops: Stop[] = [];
  rows.forEach((row, i) => {
    const line = i + (heads ? 2 : 1);
    const at = (head: Head): string => cell(row, columns[head] ?? -1).slice(0, LONGEST.line);
    if (stops.length >= MOST_CONNECTORS) {
      problems.push({ line, why: `more than ${MOST_CONNECTORS} connectors` });
      return;
    }
    const stop = newStop(idOf(stops.length), /splice/i.test(at('name')) ? 'splice' : 'connector');
    for (const [head, entry] of [
      ['minutes', stop.minutes],
      ['lengthM', stop.run.lengthM],
    ] as const) {
      const typed = at(head).replace(/\s*(min(utes)?|m|metres?)\.?$/i, '');
      const read = entryOf(typed, 'number', 'C');
      if (at(head) !== '' && !(read.value !== null && read.value > 0))
        problems.push({ line, why: `“${at(head)}” is no figure` });
      else Object.assign(entry, read);
    }
    stop.name = at('name');
    stop.where = at('where');
    stop.pins = { signal: at('signalPin'), return: at('returnPin') };
    stop.run.colours = { signal: at('signalColour'), return: at('returnColour') };
    stops.push(stop);
  });
  return { stops, problems };
}

/** Which column holds what, where the first line is a head; else null. */
function headsOf(first: readonly string[]): Partial<Record<Head, number>> | null {
  const found: Partial<Record<Head, number>> = {};
  // The narrower names first: "signal pin" is no "pin" of its own.
  const order: readonly Head[] = [
    'returnPin',
    'signalPin',
    'returnColour',
    'signalColour',
    'minutes',
    'lengthM',
    'where',
    'name',
  ];
  first.forEach((title, i) => {
    const head = order.find((h) => found[h] === undefined && HEADS[h].test(title));
    if (head) found[head] = i;
  });
  return Object.keys(found).length >= 2 ? found : null;
}
