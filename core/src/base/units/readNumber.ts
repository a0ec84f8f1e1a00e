/** A number that a string of digits and separators can mean, and how it is written so that it means nothing else. */
export interface NumberRead {
  value: number;
  text: string;
}

/** How a figure with one separator and three digits behind it is read: as it stands, as thousands, or both ways. */
export type ThreeDigits = 'decimal' | 'either';

/**
 * The one or two numbers that digits and separators can mean; none where it is no number. Spaces, apostrophes and underscores only ever group
 * thousands; of point and comma the last is the decimal one. `11,883` and `11.883` can be both, unless `three` says that they are decimal.
 *
 * @example readNumber('11.883', 'either').map((n) => n.value) // [11.883, 11883]
 */
export function readNumber(text: string, three: ThreeDigits): NumberRead[] {
  const [mantissa, exponent] = text.split(/[eE]/);
  const power = exponent === undefined ? '' : `e${exponent}`;
  const sign = mantissa.startsWith('-') ? '-' : '';
  return plainDigits(mantissa.replace(/^[+-]/, ''), power === '' ? three : 'decimal')
    .map((digits) => sign + digits + power)
    .map((written) => ({ value: Number(written), text: written }))
    .filter((n) => Number.isFinite(n.value));
}

/** Digits and separators without sign and exponent, as they are written with a decimal point alone; none where they are no number. */
function plainDigits(body: string, three: ThreeDigits): string[] {
  const groups = body.split(/[ '’_]/);
  if (groups.length > 1) {
    const wholeGroups = groups.every((g, i) =>
      (i === 0 ? /^\d{1,3}$/ : i < groups.length - 1 ? /^\d{3}$/ : /^\d{3}([.,]\d+)?$/).test(g),
    );
    return wholeGroups ? [groups.join('').replace(',', '.')] : [];
  }
  const points = body.split('.').length - 1;
  const commas = body.split(',').length - 1;
  if (points > 0 && commas > 0) return bothSeparators(body);
  if (points + commas > 1) {
    return /^\d{1,3}(?:(?:\.\d{3})+|(?:,\d{3})+)$/.test(body) ? [body.replace(/[.,]/g, '')] : [];
  }
  if (!/^(\d+[.,]?\d*|[.,]\d+)$/.test(body)) return [];
  const asDecimal = body.replace(',', '.');
  // With one digit more the point can only be a decimal one.
  if (three === 'either' && /^[1-9]\d{0,2}[.,]\d{3}$/.test(body)) return [`${asDecimal}0`, body.replace(/[.,]/, '')];
  return [asDecimal];
}

/** A figure with points and commas: the last is the decimal one, the others group thousands. */
function bothSeparators(body: string): string[] {
  const decimal = body.lastIndexOf('.') > body.lastIndexOf(',') ? '.' : ',';
  const [whole, fraction, ...rest] = body.split(decimal);
  const grouped = decimal === '.' ? /^\d{1,3}(,\d{3})+$/ : /^\d{1,3}(\.\d{3})+$/;
  if (rest.length > 0 || !grouped.test(whole) || !/^\d*$/.test(fraction)) return [];
  return [`${whole.replace(/[.,]/g, '')}.${fraction || '0'}`];
}
