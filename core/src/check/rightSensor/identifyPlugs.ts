import type { RightSensor } from '../job/recordSchemas.ts';

/** Which plug feeds which displayed value, as far as the trials tell. Ids as in the job. */
export interface PlugMap {
  /** Plug → value. `how`: seen in a trial, or left over when all others were found. */
  pairs: { plugId: string; valueId: string; how: 'seen' | 'left-over' }[];
  openPlugs: string[];
  openValues: string[];
  /** Trials that contradict each other: one plug moved two values, or two plugs moved one (they share a wire). */
  conflicts: { kind: 'two-values' | 'two-plugs'; plugIds: string[]; valueIds: string[] }[];
  /** Plugs that moved nothing: dead already, or not one of these values. */
  dead: string[];
  /** Were the readings taken on another plug than that of the value complained of? Null: not known yet. */
  wrongPlug: boolean | null;
  /** The plug to pull next, or null. */
  next: string | null;
}

/** Reads the matrix of pulled plugs and moved values. */
export function identifyPlugs({ plugs, values, trials, wantedValueId, measuredPlugId }: RightSensor): PlugMap {
  const movedBy = movedValues(trials);
  const { pairs, conflicts } = seenPairs(plugs, values, movedBy);
  const dead = plugs.filter((p) => movedBy.has(p.id) && movedBy.get(p.id)!.size === 0).map((p) => p.id);
  const open = (list: { id: string }[], key: 'plugId' | 'valueId'): string[] =>
    list.map((x) => x.id).filter((id) => !pairs.some((p) => p[key] === id));
  let [openPlugs, openValues] = [open(plugs, 'plugId').filter((id) => !dead.includes(id)), open(values, 'valueId')];
  if (
    plugs.length === values.length &&
    openPlugs.length === 1 &&
    openValues.length === 1 &&
    conflicts.length === 0 &&
    pairs.length > 0
  ) {
    pairs.push({ plugId: openPlugs[0], valueId: openValues[0], how: 'left-over' });
    [openPlugs, openValues] = [[], []];
  }
  const measured = pairs.find((p) => p.plugId === measuredPlugId);
  const wanted = pairs.find((p) => p.valueId === wantedValueId);
  const asked = measuredPlugId !== null && wantedValueId !== null;
  const wrongPlug = asked ? isWrongPlug(wanted, measured, measuredPlugId, wantedValueId) : null;
  const untried = openPlugs.filter((id) => !movedBy.has(id));
  const next = wanted ? null : (untried.find((id) => id === measuredPlugId) ?? untried[0] ?? null);
  return { pairs, openPlugs, openValues, conflicts, dead, wrongPlug, next };
}

/** What each plug moved when it was pulled; an empty set where it moved nothing. */
function movedValues(trials: RightSensor['trials']): Map<string, Set<string>> {
  const movedBy = new Map<string, Set<string>>();
  for (const { plugId, movedId } of trials) {
    if (!movedBy.has(plugId)) movedBy.set(plugId, new Set());
    if (movedId !== null) movedBy.get(plugId)!.add(movedId);
  }
  return movedBy;
}

function seenPairs(
  plugs: readonly { id: string }[],
  values: readonly { id: string }[],
  movedBy: ReadonlyMap<string, ReadonlySet<string>>,
): Pick<PlugMap, 'pairs' | 'conflicts'> {
  const conflicts: PlugMap['conflicts'] = [];
  const pairs: PlugMap['pairs'] = [];
  for (const { id } of plugs) {
    const moved = [...(movedBy.get(id) ?? [])];
    if (moved.length > 1) conflicts.push({ kind: 'two-values', plugIds: [id], valueIds: moved });
    if (moved.length === 1) pairs.push({ plugId: id, valueId: moved[0], how: 'seen' });
  }
  for (const { id } of values) {
    const by = pairs.filter((p) => p.valueId === id).map((p) => p.plugId);
    if (by.length > 1) conflicts.push({ kind: 'two-plugs', plugIds: by, valueIds: [id] });
  }
  return { pairs, conflicts };
}

type Pair = PlugMap['pairs'][number];

/** Is the measured plug another than that of the wanted value? Null where neither of the two was found. */
function isWrongPlug(
  wanted: Pair | undefined,
  measured: Pair | undefined,
  measuredPlugId: string,
  wantedValueId: string,
): boolean | null {
  if (wanted) return wanted.plugId !== measuredPlugId;
  return measured ? measured.valueId !== wantedValueId : null;
}
