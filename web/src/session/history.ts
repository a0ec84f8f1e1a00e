import { applyPatches, differences, inverse, type Patch } from '@mellow-probe/core/base/records/changes';
import { computed, reactive, shallowRef } from 'vue';
import { nowIso } from '../browser/newId.ts';
import type { Change, PersistedRecord } from './recordContract.ts';

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
  let open: { before: T; field: string; last: number } | null = null;
  let writing: Promise<void> | null = null;
  let written: Steps = steps.value;

  function set(next: Steps): void {
    steps.value = { undo: next.undo.slice(-MOST_STEPS), redo: next.redo.slice(-MOST_STEPS) };
    void flush();
  }

  /** Writes at once, the newest only while a write is under way: a step must not be lost to a quick reload. */
  function flush(): Promise<void> {
    writing ??= (async () => {
      while (written !== steps.value) {
        // The record itself goes first.
        await record.settled();
        written = steps.value;
        await door.write(written).catch(() => undefined);
      }
    })().finally(() => (writing = null));
    return writing;
  }

  record.changes.listen((change) => {
    if (change.origin === 'elsewhere') open = null;
    if (change.origin === 'typed') took(change);
  });

  function took({ patches, before, after }: Change<T>): void {
    const now = Date.now();
    const field = fieldOf(patches);
    const goesOn = open !== null && now - open.last < PAUSE_MS && sameField(open.field, field);
    const { undo } = steps.value;
    if (open && goesOn) {
      const step = undo[undo.length - 1];
      // Only where the hand was: what a write has stamped since the step began is none of it.
      const touched = new Set([...step.patches, ...patches].map(({ at: [first] }) => first));
      const whole = differences(open.before, after).filter(({ at: [first] }) => touched.has(first));
      open = { ...open, last: now };
      const rest = undo.slice(0, -1);
      set({ undo: whole.length === 0 ? rest : [...rest, { at: step.at, patches: whole }], redo: [] });
      if (whole.length === 0) open = null;
      return;
    }
    open = { before, field, last: now };
    set({ undo: [...undo, { at: nowIso(), patches: [...patches] }], redo: [] });
  }

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
