/** Resistivity of copper at 20 °C, Ω·m (IEC 60028: 1/58 Ω·mm²/m, the figure GNU units has as copper: 1.7241e-8). */
export const COPPER_OHM_M = 1.7241e-8;

/**
 * Resistance of a copper wire, Ω.
 * @param lengthM one way, m, ≥ 0
 * @param areaMm2 mm², > 0
 * @example wireOhm(1, 0.823) // 0.0209
 */
export function wireOhm(lengthM: number, areaMm2: number): number {
  return (COPPER_OHM_M * lengthM) / (areaMm2 * 1e-6);
}

/** Cross-section of an AWG size, mm²: diameter 0.127·92^((36−n)/39) mm (ASTM B258, from memory). */
export function awgAreaMm2(gauge: number): number {
  const diameterMm = 0.127 * Math.pow(92, (36 - gauge) / 39);
  return (Math.PI / 4) * diameterMm * diameterMm;
}
