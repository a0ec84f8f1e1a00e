import type { CodeState } from '../units/vocabulary.ts';

/** What a trouble code says of a circuit, in the words of this program. Structure of the codes: SAE J2012 / ISO 15031-6, from memory. */
export interface TroubleCode {
  code: string;
  /** What is measured. */
  what: string;
  says: CodeMeaning;
  /** Sensor circuit, reference supply, a condition of the machine, or no temperature at all. */
  kind: 'sensor' | 'reference' | 'condition' | 'not-temperature';
}

/**
 * 'low', 'high': the voltage at the module's pin; 'ohms-low', 'ohms-high': the resistance it sees; the others as they say. 'other': nothing of a
 * circuit.
 */
export type CodeMeaning =
  | 'circuit'
  | 'range'
  | 'low'
  | 'high'
  | 'low-or-open'
  | 'high-or-open'
  | 'ohms-low'
  | 'ohms-high'
  | 'intermittent'
  | 'open'
  | 'other';

const FIVE: readonly CodeMeaning[] = ['circuit', 'range', 'low', 'high', 'intermittent'];
const THREE: readonly CodeMeaning[] = ['circuit', 'low', 'high'];

/** Runs of codes: the first one's number in hexadecimal digits as written, what it is about, and the meanings that follow each other. */
const RUNS: readonly [first: string, what: string, meanings: readonly CodeMeaning[], kind?: TroubleCode['kind']][] = [
  ['P0070', 'outside air temperature', FIVE],
  ['P0095', 'intake air temperature, sensor 2', FIVE],
  ['P0110', 'intake air temperature, sensor 1', FIVE],
  ['P0115', 'engine coolant temperature, sensor 1', FIVE],
  ['P0180', 'fuel temperature, sensor A', FIVE],
  ['P0185', 'fuel temperature, sensor B', FIVE],
  ['P0195', 'engine oil temperature', FIVE],
  ['P0535', 'evaporator temperature', FIVE],
  ['P0544', 'exhaust gas temperature, bank 1 sensor 1', THREE],
  ['P0547', 'exhaust gas temperature, bank 2 sensor 1', THREE],
  ['P0710', 'gearbox oil temperature', FIVE],
  ['P2031', 'exhaust gas temperature, bank 1 sensor 2', THREE],
  ['P2034', 'exhaust gas temperature, bank 2 sensor 2', THREE],
  ['P2080', 'exhaust gas temperature, bank 1 sensor 1', ['range', 'intermittent']],
  ['P2082', 'exhaust gas temperature, bank 2 sensor 1', ['range', 'intermittent']],
  ['P2084', 'exhaust gas temperature, bank 1 sensor 2', ['range', 'intermittent']],
  ['P2086', 'exhaust gas temperature, bank 2 sensor 2', ['range', 'intermittent']],
  ['P2182', 'engine coolant temperature, sensor 2', FIVE],
  ['P242A', 'exhaust gas temperature, bank 1 sensor 3', FIVE],
  ['P0641', 'sensor reference voltage A', ['open', 'low', 'high'], 'reference'],
  ['P0651', 'sensor reference voltage B', ['open', 'low', 'high'], 'reference'],
  ['P0697', 'sensor reference voltage C', ['open', 'low', 'high'], 'reference'],
  ['P0125', 'coolant too cold for closed-loop control', ['other', 'other'], 'condition'],
  ['P0127', 'intake air too hot', ['other'], 'condition'],
  ['P0128', 'coolant stays below the thermostat’s temperature', ['other'], 'condition'],
  ['P0217', 'engine too hot', ['other'], 'condition'],
  ['P0218', 'gearbox oil too hot', ['other'], 'condition'],
  ['P0530', 'refrigerant pressure sensor', ['other', 'other', 'other', 'other'], 'not-temperature'],
  ['P0534', 'loss of refrigerant charge', ['other'], 'not-temperature'],
];

const CODES: ReadonlyMap<string, TroubleCode> = new Map(
  RUNS.flatMap(([first, what, meanings, kind = 'sensor']) =>
    meanings.map((says, i) => {
      const code = `P${(parseInt(first.slice(1), 16) + i).toString(16).toUpperCase().padStart(4, '0')}`;
      return [code, { code, what, says, kind }] as const;
    }),
  ),
);

/** Last two digits of the longer codes: failure type bytes of ISO 15031-6 / J2012, from memory. */
const FAILURE_TYPES: Readonly<Record<string, CodeMeaning>> = {
  '11': 'low',
  '12': 'high',
  '13': 'open',
  '14': 'low-or-open',
  '15': 'high-or-open',
  '16': 'low',
  '17': 'high',
  '1A': 'ohms-low',
  '1B': 'ohms-high',
  '1F': 'intermittent',
  '23': 'low',
  '24': 'high',
  '29': 'range',
  '64': 'range',
};

/** What a heavy-duty failure mode says (J1939 FMI, from memory). */
const FAILURE_MODES: Readonly<Record<number, CodeMeaning>> = {
  0: 'other',
  1: 'other',
  2: 'intermittent',
  3: 'high',
  4: 'low',
  5: 'open',
  6: 'low',
  10: 'intermittent',
  13: 'range',
};
const PARAMETERS: Readonly<Record<number, string>> = {
  110: 'engine coolant temperature',
  105: 'intake manifold temperature',
  174: 'fuel temperature',
  175: 'engine oil temperature',
  171: 'outside air temperature',
};

/**
 * Reads a code as typed: `P0118`, `p0118-15`, `P011815`, `SPN 110 FMI 3`, `110/3`. Null when it is none that is known; makers' own codes are not.
 * @example decodeCode('P0118')?.says // 'high'
 */
export function decodeCode(text: string): TroubleCode | null {
  const clean = text.trim().toUpperCase();
  const heavy = /^(?:SPN\s*)?(\d{2,6})\s*(?:[/-]|\s*FMI)\s*(\d{1,2})$/.exec(clean);
  if (heavy) {
    const [what, says] = [PARAMETERS[Number(heavy[1])], FAILURE_MODES[Number(heavy[2])]];
    return what && says
      ? { code: `SPN ${heavy[1]} FMI ${heavy[2]}`, what, says, kind: says === 'other' ? 'condition' : 'sensor' }
      : null;
  }
  const match = /^(P[0-3][0-9A-F]{3})(?:[\s:.-]*([0-9A-F]{2}))?$/.exec(clean);
  const known = match && CODES.get(match[1]);
  if (!known) return null;
  const byte = match[2];
  if (byte === undefined || byte === '00') return known;
  const says = FAILURE_TYPES[byte];
  return says && known.kind === 'sensor'
    ? { ...known, code: `${match[1]}-${byte}`, says }
    : { ...known, code: `${match[1]}-${byte}` };
}

/** Every code that is known, for contract tests and lists. */
export function knownCodes(): readonly TroubleCode[] {
  return [...CODES.values()];
}

/** A code as it was typed, with the state in which it was read. */
interface ReadCode {
  code: string;
  state: CodeState;
}

/** The codes that speak of a sensor's circuit, each meaning once, with the state that weighs most. */
export function sensorCodes(codes: readonly ReadCode[]): (TroubleCode & { state: CodeState })[] {
  const found = new Map<string, TroubleCode & { state: CodeState }>();
  for (const { code, state } of codes) {
    const known = decodeCode(code);
    if (known?.kind !== 'sensor' || known.says === 'other') continue;
    const key = `${known.what} ${known.says}`;
    const before = found.get(key);
    if (!before || STRENGTH.indexOf(state) > STRENGTH.indexOf(before.state)) found.set(key, { ...known, state });
  }
  return [...found.values()];
}

/** From the state that weighs least to the one that weighs most. */
const STRENGTH: readonly CodeState[] = ['past', 'sporadic', 'present', 'came-back'];

/** Do the codes point at what circuits share: a code of a reference, or codes of two or more circuits? */
export function pointAtShared(codes: readonly ReadCode[]): boolean {
  const known = codes.flatMap(({ code }) => decodeCode(code) ?? []);
  const circuits = new Set(known.filter((c) => c.kind === 'sensor').map((c) => c.what));
  return circuits.size > 1 || known.some((c) => c.kind === 'reference');
}

/** Words by which a circuit's name and a code's subject tell which sensor they mean. */
const SUBJECTS: readonly RegExp[] = [
  /coolant/i,
  /intake|inlet/i,
  /engine oil/i,
  /fuel/i,
  /outside|outdoor|ambient/i,
  /evaporator/i,
  /exhaust/i,
  /gearbox|transmission/i,
];

/**
 * Does a code speak of another sensor than the circuit of this name? False where either does not say which it means.
 *
 * @example speaksOfAnother({ what: 'engine oil temperature' }, 'Engine coolant · 5 V') // true
 */
export function speaksOfAnother({ what }: Pick<TroubleCode, 'what'>, circuitName: string): boolean {
  const [mine, its] = [circuitName, what].map((text) => SUBJECTS.findIndex((s) => s.test(text)));
  return mine >= 0 && its >= 0 && mine !== its;
}
