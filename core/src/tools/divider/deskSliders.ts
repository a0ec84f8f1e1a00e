/**
 * The resistance of a bad joint that a slider stands for: from 1 Ω to 100 kΩ on a logarithmic scale; at 0 there is none.
 *
 * @param share 0 … 1 of the slider
 * @example jointOhm(1) // 100000
 */
export const jointOhm = (share: number): number => (share === 0 ? 0 : Math.pow(10, 5 * share));

/**
 * The resistance of a leak that a slider stands for: from 10 MΩ, which a meter draws too, down to 10 Ω on a logarithmic scale; at 0 there is none.
 *
 * @param share 0 … 1 of the slider
 * @example leakOhm(1) // 10
 */
export const leakOhm = (share: number): number => (share === 0 ? Infinity : Math.pow(10, 7 - 6 * share));
