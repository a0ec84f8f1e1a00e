import { caseNumberOf } from '@mellow-probe/core/training/cases/caseNumber';
import { newPlay, type PlayMode, type PlayRecord } from '@mellow-probe/core/training/cases/playRecord';
import { type Ended, endedPlays, nextCase } from '@mellow-probe/core/training/cases/progress';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { newId, nowIso } from '../../browser/newId.ts';
import { toStorageError, type StorageFault } from '../storage/storageError.ts';
import { listPlays, playDoor } from '../storage/trainingStorage.ts';

/** The plays of this browser: what was begun, what was learned from them, what comes next. */
export const useTraining = defineStore('training', () => {
  const plays = shallowRef<readonly PlayRecord[]>([]);
  const fault = shallowRef<StorageFault | null>(null);
  const ended = computed<Ended[]>(() => endedPlays(plays.value));
  /** The number of the case that is next in turn. */
  const next = computed(() => caseNumberOf(nextCase(ended.value)));

  async function load(): Promise<void> {
    try {
      plays.value = await listPlays();
      fault.value = null;
    } catch (error) {
      fault.value = toStorageError(error).fault;
    }
  }

  /** Begins a case, and returns the play's id; one of this number and purpose that was begun and not ended is gone on with. */
  async function begin(number: string, mode: PlayMode, partOf: string | null = null): Promise<string> {
    await load();
    const open = plays.value.find((p) => p.number === number && p.partOf === partOf && p.endedAt === null);
    if (open && open.mode === mode) return open.id;
    const play = newPlay(newId(), nowIso(), number, mode, partOf);
    await playDoor(play.id).write(play, null);
    await load();
    return play.id;
  }

  /** Takes in plays of a file; one that is here already stays as it is. Returns how many came. Rejects with a `StorageError`. */
  async function take(others: readonly PlayRecord[]): Promise<number> {
    await load();
    const fresh = others.filter((p) => plays.value.every((own) => own.id !== p.id));
    for (const play of fresh) await playDoor(play.id).write(play, null);
    await load();
    return fresh.length;
  }

  return { plays, fault, ended, next, load, begin, take };
});
