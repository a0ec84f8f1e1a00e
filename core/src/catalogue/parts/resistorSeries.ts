/** Preferred values of IEC 60063, one decade (from memory; tested against the published lists). */
const E24 = [
  1.0, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2.0, 2.2, 2.4, 2.7, 3.0, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2,
  9.1,
];

export type SeriesName = 'E6' | 'E12' | 'E24' | 'E48' | 'E96';

/** One decade of a series, 1 … < 10. E48 and E96 are rounded powers of the 48th and 96th root of ten, to three figures. */
export function seriesDecade(name: SeriesName): number[] {
  if (name === 'E24') return [...E24];
  if (name === 'E12') return E24.filter((_, i) => i % 2 === 0);
  if (name === 'E6') return E24.filter((_, i) => i % 4 === 0);
  const n = name === 'E48' ? 48 : 96;
  return Array.from({ length: n }, (_, i) => Number(Math.pow(10, i / n).toFixed(2)));
}

/** All values of a series between two bounds, Ω, ascending. */
export function seriesBetween(name: SeriesName, lowOhm: number, highOhm: number): number[] {
  const decade = seriesDecade(name);
  const values: number[] = [];
  for (let e = Math.floor(Math.log10(lowOhm)); e <= Math.ceil(Math.log10(highOhm)); e++) {
    for (const v of decade) {
      const ohm = Number((v * Math.pow(10, e)).toPrecision(3));
      if (ohm >= lowOhm && ohm <= highOhm) values.push(ohm);
    }
  }
  return values;
}
