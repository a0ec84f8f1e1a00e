import { fnv1a } from '../../base/numeric/fnv1a.ts';

/** A name as people mean it: spacing, capitals and the width of letters aside. */
export const plainName = (text: string): string => text.normalize('NFKC').trim().toLowerCase().replace(/\s+/g, ' ');

/**
 * Where a sensor sits is told by what people call the machine and the circuit: spacing and capitals make no other place. Empty where the machine has
 * no name: then it is no place.
 *
 * @example placeKey(' Pump  3', 'Coolant') === placeKey('pump 3', 'coolant')
 */
export function placeKey(machine: string, circuit: string): string {
  return plainName(machine) === '' ? '' : `${plainName(machine)}\n${plainName(circuit)}`;
}

/** Signs of a short code: none that is taken for another one when read from a label (no 0 O 1 I L U V). */
const SIGNS = '23456789ABCDEFGHJKMNPQRSTWXYZ';
const LENGTH = 7;

/**
 * The short code of a place, for its label: the same on every device, for it is made from the names alone. Seven signs of twenty-nine: among a
 * thousand places two have the same code once in some 35 000 workshops.
 */
export function placeCode(key: string): string {
  // Two 32-bit sums, from two starts and stirred, taken together: one alone has too few values for seven signs.
  const bytes = new TextEncoder().encode(key);
  const stirred = (sum: number): number => {
    const h = Math.imul(sum ^ (sum >>> 15), 0x85ebca6b) >>> 0;
    return (h ^ (h >>> 13)) >>> 0;
  };
  let rest = stirred(fnv1a(bytes)) * 2 ** 20 + (stirred(fnv1a(bytes, 0x9747b28c)) >>> 12);
  let code = '';
  for (let i = 0; i < LENGTH; i++) {
    code += SIGNS[rest % SIGNS.length];
    rest = Math.floor(rest / SIGNS.length);
  }
  return `${code.slice(0, 3)}-${code.slice(3)}`;
}

/** A short code as typed or scanned, in any case, with or without its hyphen, alone or at the end of an address; null where it is none. */
export function typedPlaceCode(text: string): string | null {
  const bare = text
    .trim()
    .replace(/[?#].*$/, '')
    .replace(/^.*\//, '')
    .toUpperCase()
    .replace(/[\s-]/g, '');
  if (bare.length !== LENGTH || [...bare].some((sign) => !SIGNS.includes(sign))) return null;
  return `${bare.slice(0, 3)}-${bare.slice(3)}`;
}
