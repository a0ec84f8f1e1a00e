import { applyPatches, differences, inverse, type Patch } from '@mellow-probe/core/base/records/changes';
import { computed, reactive, type Ref, shallowRef } from 'vue';
import { nowIso } from '../browser/newId.ts';
import type { Change, PersistedRecord } from './record/recordContract.ts';

/** One step that can be taken back: what it changed, and when it began. */
export interface Step {
  at: string;
  patches: Patch[];
}

/** Steps taken, newest last, and steps taken back, next to be done again last. */
export interface Steps {
  undo: Step[];
  redo: Step[];
}

/** Where the steps of a record are kept; both may fail without harm. */
export interface StepsDoor {
  read(): Promise<Steps | null>;
  write(steps: Steps): Promise<void>;
}

/** What became of taking a step back: how many of its parts were left alone, since they were changed again elsewhere. */
export interface Undone {
  step: Step;
  left: number;
}

/** Taking back and doing again, over everything that is typed into a record. */
export interface History {
  readonly next: { undo: Step | null; redo: Step | null };
  undo(): Undone | null;
  redo(): Undone | null;
  /** What comes next is a step of its own (the hand went to another field). */
  seal(): void;
  /** The photos, by id, that some step could still bring back or take away. */
  mentions(text: string): boolean;
  readonly loaded: Promise<void>;
  /** Writes the steps at once. */
  flush(): Promise<void>;
}

/** Steps kept: enough for a job, and small. */
const MOST_STEPS = 200;
/** Keys typed into one field with pauses up to this long are one step, ms. */
const PAUSE_MS = 4000;

/** Follows a record and remembers its steps. */
export function followHistory<T extends object>(record: PersistedRecord<T>, door: StepsDoor): History {
  const steps = shallowRef<Steps>({ undo: [], redo: [] });
  /** The step that further keys of the same field still go into. */
  let open: OpenStep<T> | null = null;
  const flush = stepsWriter(steps, door, () => record.settled());

  function set(next: Steps): void {
    steps.value = { undo: next.undo.slice(-MOST_STEPS), redo: next.redo.slice(-MOST_STEPS) };
    void flush();
  }

  record.changes.listen((change) => {
    if (change.origin === 'elsewhere') open = null;
    if (change.origin !== 'typed') return;
    const next = withChange(steps.value.undo, open, change, Date.now());
    open = next.open;
    set({ undo: next.undo, redo: [] });
  });

  function move(from: 'undo' | 'redo'): Undone | null {
    const list = steps.value[from];
    const step = list[list.length - 1];
    if (!step) return null;
    open = null;
    const patches = from === 'undo' ? inverse(step.patches) : step.patches;
    let left: Patch[] = [];
    record.change('undo', (value) => (left = applyPatches(value as Record<string, unknown>, patches, 'keep')));
    const rest = list.slice(0, -1);
    set(
      from === 'undo'
        ? { undo: rest, redo: [...steps.value.redo, step] }
        : { undo: [...steps.value.undo, step], redo: rest },
    );
    return { step, left: left.length };
  }

  const loaded = door
    .read()
    .then((kept) => {
      if (kept) set({ undo: [...kept.undo, ...steps.value.undo], redo: steps.value.undo.length > 0 ? [] : kept.redo });
    })
    .catch(() => undefined);

  return {
    next: reactive({
      undo: computed(() => steps.value.undo[steps.value.undo.length - 1] ?? null),
      redo: computed(() => steps.value.redo[steps.value.redo.length - 1] ?? null),
    }),
    undo: () => move('undo'),
    redo: () => move('redo'),
    seal: () => (open = null),
    mentions: (text) => JSON.stringify(steps.value).includes(text),
    loaded,
    flush,
  };
}

/** Writes the steps at once, the newest only while a write is under way: a step must not be lost to a quick reload. */
function stepsWriter(steps: Ref<Steps>, door: StepsDoor, recordStored: () => Promise<void>): () => Promise<void> {
  let writing: Promise<void> | null = null;
  let written = steps.value;
  async function writeAll(): Promise<void> {
    while (written !== steps.value) {
      // The record itself goes first.
      await recordStored();
      written = steps.value;
      await door.write(written).catch(() => undefined);
    }
  }
  return () => (writing ??= writeAll().finally(() => (writing = null)));
}

/** A step that further keys of the same field still go into: what the record was before it, and when the last key came, ms. */
interface OpenStep<T> {
  before: T;
  field: string;
  last: number;
}

/** The steps with one more change: it goes into the open step where it is of the same field and soon enough, else it is one of its own. */
function withChange<T extends object>(
  undo: readonly Step[],
  open: OpenStep<T> | null,
  { patches, before, after }: Change<T>,
  nowMs: number,
): { undo: Step[]; open: OpenStep<T> | null } {
  const field = fieldOf(patches);
  if (!open || nowMs - open.last >= PAUSE_MS || !sameField(open.field, field))
    return { undo: [...undo, { at: nowIso(), patches: [...patches] }], open: { before, field, last: nowMs } };
  const [rest, step] = [undo.slice(0, -1), undo[undo.length - 1]];
  // Only what the hand touched: what a write has stamped since the step began is none of it.
  const touched = new Set([...step.patches, ...patches].map(({ at: [first] }) => first));
  const whole = differences(open.before, after).filter(({ at: [first] }) => touched.has(first));
  if (whole.length === 0) return { undo: rest, open: null };
  return { undo: [...rest, { at: step.at, patches: whole }], open: { ...open, last: nowMs } };
}

/** The place that all patches of a change have in common, as text. */
function fieldOf(patches: readonly Patch[]): string {
  const [first, ...rest] = patches.map((p) => p.at);
  let depth = first.length;
  for (const at of rest) while (depth > 0 && at.slice(0, depth).join('/') !== first.slice(0, depth).join('/')) depth--;
  return first.slice(0, depth).join('/');
}

/** A thing that came into a list and what is then typed into it are one field. */
function sameField(a: string, b: string): boolean {
  return a !== '' && b !== '' && (`${a}/`.startsWith(`${b}/`) || `${b}/`.startsWith(`${a}/`));
}
