import {
  type MachineVerdict,
  machineVerdict,
  MOST_MOMENTS,
  MOST_SENSORS,
} from '@mellow-probe/core/inference/machine/machineSensors';
import { blank, type Entry, entrySchema } from '@mellow-probe/core/base/units/entry';
import { z } from 'zod';
import { newId } from '../../browser/newId.ts';

/** All sensors of a machine as they are typed: names, what each shares with others, and its values at the moments. */
export const machineSchema = z.strictObject({
  machine: z.string().max(400),
  moments: z
    .array(z.strictObject({ id: z.string(), how: z.enum(['rested', 'running']), airC: entrySchema }))
    .min(1)
    .max(MOST_MOMENTS),
  sensors: z
    .array(
      z.strictObject({
        id: z.string(),
        name: z.string().max(200),
        shares: z.string().max(200),
        values: z.array(entrySchema).max(MOST_MOMENTS),
      }),
    )
    .max(MOST_SENSORS),
  /** Names and values that were pasted and are not used yet. */
  pasted: z.string().max(4000).default(''),
});
export type MachineDraft = z.infer<typeof machineSchema>;

export const blankSensor = (name = '', values: Entry[] = []): MachineDraft['sensors'][number] => ({
  id: newId(),
  name,
  shares: '',
  values,
});

export const blankMachine = (): MachineDraft => ({
  machine: '',
  moments: [{ id: newId(), how: 'rested', airC: blank() }],
  sensors: Array.from({ length: 4 }, () => blankSensor()),
  pasted: '',
});

/** What a sensor shares, as it was typed: words apart by commas or semicolons. */
const sharedBy = (text: string): string[] =>
  text
    .split(/[,;]/)
    .map((word) => word.trim().toLowerCase())
    .filter(Boolean);

/** The sensors with a value. */
export const readSensors = ({ sensors }: MachineDraft): MachineDraft['sensors'] =>
  sensors.filter((s) => s.values.some((v) => v.value !== null));

/** Can the machine be judged: are three sensors known, or two and the air? */
export function isEnough(draft: MachineDraft): boolean {
  const { length } = readSensors(draft);
  return length > 2 || (length === 2 && draft.moments.some((m) => m.airC.value !== null));
}

/** The verdict over the machine; null while too little is known. */
export function verdictOf(draft: MachineDraft): MachineVerdict | null {
  if (!isEnough(draft)) return null;
  const { moments } = draft;
  return machineVerdict(
    readSensors(draft).map(({ id, values, shares }) => ({
      id,
      valuesC: moments.map((_, m) => values[m]?.value ?? null),
      shares: sharedBy(shares),
    })),
    moments.map(({ how, airC }) => ({ rested: how === 'rested', airC: airC.value })),
  );
}
