import { z } from 'zod';
import { MACHINE_CASES } from '../machine/machineCase.ts';
import { STAND_INS, type StandInId } from './standInBench.ts';

/** Where the stand-ins listen: `/instruments/meter?case=loose-plug&seed=7&bench=a1&speed=10`. */
export const STAND_IN_PATH = '/instruments/';

/** Which machine stands behind the instruments. Lines with the same `bench` meet the same one. */
const standInSchema = z.strictObject({
  case: z.string().refine((id) => MACHINE_CASES.some((c) => c.id === id), { error: 'no such case' }),
  seed: z.coerce.number().int().min(0).max(1e9),
  bench: z.string().regex(/^[a-z0-9]{1,40}$/),
  /** Seconds of the machine in one of the clock. */
  speed: z.coerce.number().min(1).max(60),
});
export type StandInChoice = z.infer<typeof standInSchema>;

/** The address of one instrument, without the server. Its words hold nothing that an address would have to escape. */
export function standInAddress(device: StandInId, choice: StandInChoice): string {
  const query = Object.entries(choice).map(([key, value]) => `${key}=${String(value)}`);
  return `${STAND_IN_PATH}${device}?${query.join('&')}`;
}

/** An address taken apart; null where it is none of ours. */
export function standInOf(address: string): { device: StandInId; choice: StandInChoice } | null {
  const [path, query = ''] = address.split('?');
  const device = STAND_INS.find((d) => path === `${STAND_IN_PATH}${d}`);
  const choice = standInSchema.safeParse(Object.fromEntries(query.split('&').map((pair) => pair.split('=', 2))));
  return device && choice.success ? { device, choice: choice.data } : null;
}
