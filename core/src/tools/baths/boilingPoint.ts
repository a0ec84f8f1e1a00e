/** Coefficients n1…n10 of the saturation line of water: IAPWS-IF97, region 4 (table 34). */
const N = [
  1167.0521452767, -724213.16703206, -17.073846940092, 12020.82470247, -3232555.0322333, 14.91510861353,
  -4823.2657361591, 405113.40542057, -0.23855557567849, 650.17534844798,
] as const;

/**
 * Boiling temperature of water at an absolute pressure, °C (IAPWS-IF97 backward equation, region 4).
 * @param pressureKPa 0.612 … 22064 kPa; NaN outside
 * @example boilingPointC(101.325) // 99.974
 */
export function boilingPointC(pressureKPa: number): number {
  if (!(pressureKPa >= 0.611213) || pressureKPa > 22064) return NaN;
  const beta = Math.pow(pressureKPa / 1000, 0.25);
  const e = beta * beta + N[2] * beta + N[5];
  const f = N[0] * beta * beta + N[3] * beta + N[6];
  const g = N[1] * beta * beta + N[4] * beta + N[7];
  const d = (2 * g) / (-f - Math.sqrt(f * f - 4 * e * g));
  const t = (N[9] + d - Math.sqrt((N[9] + d) ** 2 - 4 * (N[8] + N[9] * d))) / 2;
  return t - 273.15;
}

/** Pressure of the standard atmosphere at an altitude of −500 … 11 000 m, kPa (ISO 2533; geometric altitude). */
export function pressureAtAltitudeKPa(altitudeM: number): number {
  const geopotential = (6_356_766 * altitudeM) / (6_356_766 + altitudeM);
  return 101.325 * Math.pow(1 - (0.0065 * geopotential) / 288.15, 5.255877);
}
