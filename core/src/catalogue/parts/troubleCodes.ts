import type { CodeMeaning, CodeState } from '../../base/units/vocabulary.ts';
import { findOwnCode, type OwnCode } from './ownCodes.ts';

/** What a trouble code says of a circuit, in the words of this program. Structure of the codes: SAE J2012 / ISO 15031-6, from memory. */
export interface TroubleCode {
  code: string;
  /** What is measured. */
  what: string;
  says: CodeMeaning;
  /** Sensor circuit, reference supply, a condition of the machine, or no temperature at all. */
  kind: 'sensor' | 'reference' | 'condition' | 'not-temperature' | 'high-voltage';
}

const FIVE: readonly CodeMeaning[] = ['circuit', 'range', 'low', 'high', 'intermittent'];
const FOUR: readonly CodeMeaning[] = ['circuit', 'range', 'low', 'high'];
const THREE: readonly CodeMeaning[] = ['circuit', 'low', 'high'];

/** Runs of codes: the first one's number in hexadecimal digits as written, what it is about, and the meanings that follow each other. */
const RUNS: readonly [first: string, what: string, meanings: readonly CodeMeaning[], kind?: TroubleCode['kind']][] = [
  ['P0070', 'outside air temperature', FIVE],
  ['P007A', 'charge air temperature', FIVE],
  ['P009A', 'intake air against outside air temperature', ['range']],
  ['P00B1', 'radiator coolant temperature', FIVE],
  ['P0095', 'intake air temperature, sensor 2', FIVE],
  ['P0110', 'intake air temperature, sensor 1', FIVE],
  ['P0115', 'engine coolant temperature, sensor 1', FIVE],
  ['P011A', 'engine coolant temperature, sensor 1 against 2', ['range']],
  ['P012F', 'engine coolant against engine oil temperature', ['range']],
  ['P0180', 'fuel temperature, sensor A', FIVE],
  ['P0185', 'fuel temperature, sensor B', FIVE],
  ['P0195', 'engine oil temperature', FIVE],
  ['P040A', 'exhaust recirculation temperature, sensor A', FIVE],
  ['P041A', 'exhaust recirculation temperature, sensor B', FIVE],
  ['P0535', 'evaporator temperature', FIVE],
  ['P0544', 'exhaust gas temperature, bank 1 sensor 1', THREE],
  ['P0547', 'exhaust gas temperature, bank 2 sensor 1', THREE],
  ['P0666', 'module’s own temperature', FOUR],
  ['P0710', 'gearbox oil temperature', FIVE],
  ['P2031', 'exhaust gas temperature, bank 1 sensor 2', THREE],
  ['P2034', 'exhaust gas temperature, bank 2 sensor 2', THREE],
  ['P2080', 'exhaust gas temperature, bank 1 sensor 1', ['range', 'intermittent']],
  ['P2082', 'exhaust gas temperature, bank 2 sensor 1', ['range', 'intermittent']],
  ['P2084', 'exhaust gas temperature, bank 1 sensor 2', ['range', 'intermittent']],
  ['P2086', 'exhaust gas temperature, bank 2 sensor 2', ['range', 'intermittent']],
  ['P2182', 'engine coolant temperature, sensor 2', FIVE],
  ['P2199', 'intake air temperature, sensor 1 against 2', ['range']],
  ['P246E', 'exhaust gas temperature, bank 1 sensor 4', FIVE],
  ['P2740', 'gearbox oil temperature, sensor B', FIVE],
  ['P242A', 'exhaust gas temperature, bank 1 sensor 3', FIVE],
  ['P0641', 'sensor reference voltage A', ['open', 'low', 'high'], 'reference'],
  ['P0651', 'sensor reference voltage B', ['open', 'low', 'high'], 'reference'],
  ['P0697', 'sensor reference voltage C', ['open', 'low', 'high'], 'reference'],
  ['P06A3', 'sensor reference voltage D', ['open', 'low', 'high'], 'reference'],
  ['P0168', 'fuel too hot', ['other'], 'condition'],
  ['P0298', 'engine oil too hot', ['other'], 'condition'],
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
  '1C': 'circuit',
  '1E': 'circuit',
  '1F': 'intermittent',
  '23': 'low',
  '24': 'high',
  '26': 'range',
  '27': 'intermittent',
  '29': 'range',
  '62': 'range',
  '64': 'range',
  '67': 'range',
  '78': 'other',
  '79': 'other',
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
  7: 'other',
  8: 'intermittent',
  9: 'other',
  10: 'intermittent',
  11: 'circuit',
  12: 'circuit',
  13: 'range',
  14: 'circuit',
  15: 'other',
  16: 'other',
  17: 'other',
  18: 'other',
  19: 'other',
  20: 'range',
  21: 'range',
  31: 'other',
};
const PARAMETERS: Readonly<Record<number, string>> = {
  52: 'charge air cooler temperature',
  79: 'road surface temperature',
  90: 'power take-off oil temperature',
  105: 'intake manifold temperature',
  110: 'engine coolant temperature',
  120: 'retarder oil temperature',
  170: 'cab temperature',
  171: 'outside air temperature',
  172: 'intake air temperature',
  173: 'exhaust gas temperature',
  174: 'fuel temperature',
  175: 'engine oil temperature',
  176: 'turbocharger oil temperature',
  177: 'gearbox oil temperature',
  412: 'exhaust recirculation temperature',
  441: 'auxiliary temperature 1',
  442: 'auxiliary temperature 2',
  1636: 'intake manifold temperature, fine',
  1637: 'engine coolant temperature, fine',
  1638: 'hydraulic oil temperature',
  3031: 'reagent tank temperature',
  3241: 'exhaust gas temperature 1',
  3242: 'exhaust filter temperature, inlet',
  3246: 'exhaust filter temperature, outlet',
};

/** Words that a tester prints behind a code, and the state they mean; the count in brackets says how often. */
const STATE_WORDS: readonly (readonly [RegExp, CodeState])[] = [
  [/\b(?:pending|sporadic|intermittent)\b/i, 'sporadic'],
  [/\b(?:stored|history|historic(?:al)?|inactive|passive|past|memory)\b/i, 'past'],
  [/\b(?:present|active|current|confirmed|permanent)\b/i, 'present'],
];

/**
 * Reads a code as typed or as a tester prints it: `P0118`, `p 0118-15`, `P011815`, `P0118:00-0F` (failure type and status), `P0118 pending`,
 * `p0118 (2)`, `SPN 110 FMI 3`, `SPN: 110, FMI: 3`, `110/3`. Null when it is none that is known; makers' own codes are not.
 * @example decodeCode('P0118')?.says // 'high'
 */
export function decodeCode(text: string): TroubleCode | null {
  const clean = STATE_WORDS.reduce((t, [word]) => t.replace(word, ' '), text)
    .replace(/\(\s*(?:x\s*)?\d+\s*(?:x|times)?\s*\)|\bx\s?\d+$/i, ' ')
    .replace(/\(\s*\)|\*+\s*$/g, ' ')
    .replace(/^\s*DTC\b[\s:#.]*/i, '')
    // A maker's own number beside the standard code: "16502/P0118".
    .replace(/^\s*\d{4,6}\s*\/\s*(?=P)/i, '')
    .replace(/^[\s,;:.-]+|[\s,;:.-]+$/g, '')
    .toUpperCase();
  // What a report says behind the code is no part of it; four digits alone are a code without its letter.
  const bare = /^(P\s?[0-3][0-9A-F]{3})\s*[-–:]?\s+[A-Z][A-Z /]{3,}.*$/.exec(clean)?.[1] ?? clean;
  const text4 = withLetterAndZero(bare);
  const highVoltage = /^P\s*(0A[0-9A-F]{2})(?![0-9A-F])/.exec(text4);
  if (highVoltage)
    return { code: `P${highVoltage[1]}`, what: 'high-voltage system', says: 'other', kind: 'high-voltage' };
  const heavy = /^(?:SPN[\s:=]*)?(\d{2,6})\s*(?:[/-]|[\s,;]*FMI[\s:=]*)\s*(\d{1,2})$/.exec(clean);
  if (heavy) {
    const [what, says] = [PARAMETERS[Number(heavy[1])], FAILURE_MODES[Number(heavy[2])]];
    return what && says
      ? { code: `SPN ${heavy[1]} FMI ${heavy[2]}`, what, says, kind: says === 'other' ? 'condition' : 'sensor' }
      : null;
  }
  const match = /^P\s*([0-3][0-9A-F]{3})(?:[\s:.-]*([0-9A-F]{2}))?(?:\s*[-:/]\s*[0-9A-F]{2})?$/.exec(text4);
  const known = match && CODES.get(`P${match[1]}`);
  if (!known) return null;
  const byte = match[2];
  if (byte === undefined || byte === '00') return known;
  const says = FAILURE_TYPES[byte];
  return says && known.kind === 'sensor'
    ? { ...known, code: `${known.code}-${byte}`, says }
    : { ...known, code: `${known.code}-${byte}` };
}

/** Four digits without their letter, or the letter with the first zero left out, as some testers print them. */
function withLetterAndZero(code: string): string {
  if (/^[0-3][0-9A-F]{3}$/.test(code)) return `P${code}`;
  return /^P\s?[0-9A-F]{3}$/.test(code) ? code.replace(/^P\s?/, 'P0') : code;
}

/**
 * The known code that is probably meant where letters stand for digits (O for 0, I or L for 1); null where there is none. It is asked, not used.
 *
 * @example meantCode('PO118') // 'P0118'
 */
export function meantCode(text: string): string | null {
  if (decodeCode(text) !== null) return null;
  const figures = text.trim().slice(1).replace(/o/gi, '0').replace(/[il]/gi, '1');
  return decodeCode(`${text.trim().charAt(0)}${figures}`)?.code ?? null;
}

/**
 * Takes a list of codes apart, as typed or pasted: by lines, commas, semicolons, or blanks before the next code. `state` is what the words behind a
 * code say of it; null where they say nothing. `own`: the user's own codes, which go before those of the standards.
 *
 * @example codesIn('P0118 pending, SPN 110, FMI 3').map((c) => c.code) // ['P0118', 'SPN 110 FMI 3']
 */
export function codesIn(
  text: string,
  own: readonly OwnCode[] = [],
): { code: string; state: CodeState | null; typed: string; own?: OwnCode }[] {
  return text
    .replace(/(SPN[\s:=]*\d+)[\s,;]*FMI/gi, '$1 FMI')
    .replace(/\bDTCs?\b[\s:#.]*/gi, '')
    .split(/[,;\n\r\t]+|(?<!\b\d{4,6}\s*)\s*\/\s*(?=P\s?[0-9A-F]{4}\b)|\s+(?=P\s?[0-9A-F]{4}\b|SPN\b)/i)
    .map((part) => part.trim())
    .filter(Boolean)
    .flatMap((part) => {
      const words = part.split(/\s+/);
      // "E1 E2": two of one's own, though no code of the standards parts them.
      return words.length > 1 && words.every((w) => findOwnCode(own, w)) ? words : [part];
    })
    .map((part) => {
      const bare = STATE_WORDS.reduce((t, [word]) => t.replace(word, ' '), part).trim();
      const mine = findOwnCode(own, bare);
      return {
        code: mine?.code ?? decodeCode(part)?.code ?? part,
        typed: part,
        state: STATE_WORDS.find(([word]) => word.test(part))?.[1] ?? null,
        ...(mine ? { own: mine } : {}),
      };
    });
}

/** Every code that is known, for contract tests and lists. */
export function knownCodes(): readonly TroubleCode[] {
  return [...CODES.values()];
}

/** A code as it was typed, with the state in which it was read, and its meaning where it is one of the user's own. */
interface ReadCode {
  code: string;
  state: CodeState;
  own?: Pick<OwnCode, 'what' | 'says'>;
}

/** What a code of a check says: the user's own meaning first, else that of the known codes; null where neither knows it. */
export function meaningOf({ code, own }: Pick<ReadCode, 'code' | 'own'>): TroubleCode | null {
  return own ? { code, ...own, kind: own.says === 'other' ? 'condition' : 'sensor' } : decodeCode(code);
}

/** The codes that speak of a sensor's circuit, each meaning once, with the state that weighs most. */
export function sensorCodes(codes: readonly ReadCode[]): (TroubleCode & { state: CodeState })[] {
  const found = new Map<string, TroubleCode & { state: CodeState }>();
  for (const read of codes) {
    const { state } = read;
    const known = meaningOf(read);
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
  const known = codes.flatMap((code) => meaningOf(code) ?? []);
  const circuits = new Set(known.filter((c) => c.kind === 'sensor').map((c) => c.what));
  return circuits.size > 1 || known.some((c) => c.kind === 'reference');
}

/** Is a code of a high-voltage system among them? Then no test with a probe is suggested. */
export const namesHighVoltage = (codes: readonly Pick<ReadCode, 'code' | 'own'>[]): boolean =>
  codes.some((code) => meaningOf(code)?.kind === 'high-voltage');

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
  /flow/i,
  /return/i,
  /flue/i,
  /hot water|\bdhw\b|cylinder|tank/i,
  /room|indoor/i,
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
