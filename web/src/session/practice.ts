import { practiceWords as say } from '@mellow-probe/core/wording/screens/session';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { Move } from '@mellow-probe/core/training/cases/play';
import { MOST_MOVES, type PlayRecord } from '@mellow-probe/core/training/cases/playRecord';
import { type SetUp, UNTOUCHED } from '@mellow-probe/core/training/cases/setUp';
import { type InjectionKey, inject, markRaw, reactive, type Ref, shallowRef } from 'vue';
import { newId, nowIso } from '../browser/newId.ts';
import type { Door } from '../data/storage/door.ts';
import { toStorageError, type StorageFault } from '../data/storage/storageError.ts';
import { playDoor } from '../data/storage/trainingStorage.ts';
import type { EngineLine } from '../workers/engineClient.ts';
import type { Handed, Standing, Told, ToolSays } from '../workers/training.ts';
import { trainingLines } from '../workers/trainingClient.ts';
import { type JobSession, jobSession } from './jobSession.ts';
import { persistedRecord } from './record/record.ts';
import type { PersistedRecord } from './record/recordContract.ts';

/** A training case on the bench: the moves are kept, everything else follows from them. */
export interface Practice {
  readonly record: PersistedRecord<PlayRecord>;
  readonly handed: Handed;
  /** The same bench as a customer's machine has; its job is what the moves have made of the case. */
  readonly session: JobSession;
  readonly standing: Readonly<Ref<Standing>>;
  /** How everything stands now; it stays from test to test, as on a machine. */
  readonly setUp: SetUp;
  /** What the tool says of the readings until now; null while it works, and where it keeps silent. */
  readonly tool: Readonly<Ref<ToolSays | null>>;
  /** The debrief, once it has ended and is worked out. */
  readonly told: Readonly<Ref<Told | null>>;
  /** The worker failed: what it said. */
  readonly failed: Readonly<Ref<string | null>>;
  readonly make: (move: Move) => Promise<void>;
  readonly close: () => Promise<void>;
}

export type Opened =
  | { kind: 'open'; practice: Practice }
  | { kind: 'missing' }
  | { kind: 'blocked'; fault: StorageFault }
  | { kind: 'failed'; why: string };

/** Stations of the order of work that a training case has: what is decided and repaired is done with the machine itself. */
const STATIONS = ['complaint', 'live', 'supply', 'loaded', 'bypass', 'sensor', 'wires'];

/** Answers nothing: the learner is to say it. */
const SILENT: EngineLine = {
  judge: (_job, _chart, tell) => {
    tell({ kind: 'verdict', answer: { issues: [], result: null } });
    return Promise.resolve();
  },
  withoutEach: () => Promise.resolve([]),
  course: () => Promise.resolve([]),
  plan: () => Promise.resolve(null),
};

/** The job is made from the moves: it is kept nowhere. */
function nowhere(job: Job): Door<Job> {
  return {
    name: `practice/${job.id}`,
    read: () => Promise.resolve(null),
    write: (value) => Promise.resolve({ revision: newId(), at: nowIso(), follows: [], value }),
    onElsewhere: () => () => undefined,
  };
}

/** Puts a play on the bench. `engine` judges where the tool is shown. */
export async function openPractice(id: string, engine: EngineLine): Promise<Opened> {
  const door = playDoor(id);
  let stored;
  try {
    stored = await door.read();
  } catch (error) {
    return { kind: 'blocked', fault: toStorageError(error).fault };
  }
  if (!stored) return { kind: 'missing' };
  const record = persistedRecord<PlayRecord>({ door, initial: stored.value, stored });
  await record.loaded;
  const lines = trainingLines();
  const { number, mode } = record.now();
  try {
    const begun = await lines.scene.ask(async (r) => await r.begin(number));
    if (!begun.ok) return failedFor(say.unusableNumber(number));
    const first = await lines.scene.ask(async (r) => await r.stand(number, record.now().moves));
    const judging = mode === 'shown' ? engine : SILENT;
    return { kind: 'open', practice: practiceOf(record, begun.handed, first, judging, lines) };
  } catch (error) {
    return failedFor(error instanceof Error ? error.message : String(error));
  }

  /** Nobody will look at the record. */
  function failedFor(why: string): Opened {
    record.dispose();
    return { kind: 'failed', why };
  }
}

type Lines = ReturnType<typeof trainingLines>;

function practiceOf(
  play: PersistedRecord<PlayRecord>,
  handed: Handed,
  first: Standing,
  engine: EngineLine,
  { scene, judge }: Lines,
): Practice {
  const { number } = play.now();
  const standing = shallowRef(first);
  const failed = shallowRef<string | null>(null);
  const session = jobSession(nowhere(first.job), first.job, null, engine, {
    steps: { read: () => Promise.resolve(null), write: () => Promise.resolve() },
    stations: (station) => STATIONS.includes(station),
  });
  const lastSetUp = play.now().moves.reduce<SetUp>((at, m) => (m.kind === 'measure' ? m.setUp : at), UNTOUCHED);
  const judged = judgement(play, judge);
  let asked = 0;

  async function stand(): Promise<void> {
    const mine = ++asked;
    const moves = play.now().moves;
    try {
      const now = await scene.ask(async (r) => await r.stand(number, moves));
      if (mine !== asked) return;
      standing.value = now;
      const { readings, findings, moments, complaint } = now.job;
      session.record.change('elsewhere', (job) => Object.assign(job, { readings, findings, moments, complaint }));
      // Not waited for: the judge takes its time.
      void (now.state.ended ? judged.finish(moves) : judged.listen(moves)).catch(broke);
    } catch (error) {
      broke(error);
    }
  }
  function broke(error: unknown): void {
    failed.value = error instanceof Error ? error.message : String(error);
  }

  void judge.ask(async (r) => await r.prepare(number)).catch(() => undefined);
  void stand();
  return markRaw({
    record: play,
    handed,
    session,
    standing,
    setUp: reactive({ ...lastSetUp }),
    tool: judged.tool,
    told: judged.told,
    failed,
    async make(move: Move) {
      if (standing.value.state.ended || play.now().moves.length >= MOST_MOVES) return;
      play.change('typed', (p) => p.moves.push(move));
      await stand();
    },
    async close() {
      await session.close();
      play.dispose();
      await play.settled();
    },
  });
}

/** What the judge says of a play: of its readings until now, and the debrief once it has ended. */
function judgement(play: PersistedRecord<PlayRecord>, judge: Lines['judge']) {
  const tool = shallowRef<ToolSays | null>(null);
  const told = shallowRef<Told | null>(null);
  const { number } = play.now();
  let asked = 0;
  return {
    tool,
    told,
    /** The judge follows while the learner goes on: what it says is there when it is asked for. */
    async listen(moves: readonly Move[]): Promise<void> {
      const mine = ++asked;
      tool.value = null;
      const says = await judge.ask(async (r) => await r.says(number, moves));
      if (mine === asked) tool.value = says;
    },
    async finish(moves: readonly Move[]): Promise<void> {
      asked++;
      const debrief = await judge.ask(async (r) => await r.debrief(number, moves));
      if (play.now().endedAt === null) {
        play.change('typed', (p) => Object.assign(p, { endedAt: nowIso(), result: debrief.result }));
        // Shown once it is in the list of plays: who leaves at once finds it there.
        await play.settled();
      }
      told.value = debrief;
    },
  };
}

export const PRACTICE: InjectionKey<Practice> = Symbol('practice');

/** The practice on the bench, for what stands inside it. */
export function usePractice(): Practice {
  const practice = inject(PRACTICE, null);
  if (!practice) throw new Error('usePractice: no case on the bench');
  return practice;
}
