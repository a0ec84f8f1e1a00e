import { CATALOGUE_CURVES } from '@mellow-probe/core/catalogue/curves';
import { type Curve, curveModel } from '@mellow-probe/core/curves/curve';
import type { CurveModel } from '@mellow-probe/core/curves/curveModel';
import { type OwnCurve, ownCurveSchema } from '@mellow-probe/core/curves/ownCurve';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { z } from 'zod';
import { onShelfChangedElsewhere, readShelf, writeShelf } from '../storage/shelfStorage.ts';

const KEY = 'curves';

/** One curve on the shelf: of the catalogue or the user's own. */
export interface ShelfCurve {
  id: string;
  name: string;
  source: string;
  curve: Curve;
  model: CurveModel;
  own: boolean;
}

/** All curves at hand: the user's own first. */
export const useCurves = defineStore('curves', () => {
  const own = shallowRef<OwnCurve[]>([]);
  const fault = ref<'full' | 'blocked' | null>(null);
  const removed = shallowRef<OwnCurve | null>(null);
  const loading = load();

  async function load(): Promise<void> {
    const stored = z.array(ownCurveSchema).safeParse(await readShelf(KEY));
    if (stored.success) own.value = stored.data;
  }
  async function write(list: OwnCurve[]): Promise<boolean> {
    const done = await writeShelf(KEY, JSON.parse(JSON.stringify(list)));
    fault.value = done === 'kept' ? null : done;
    if (done === 'kept') own.value = list;
    return done === 'kept';
  }
  async function keep(curve: OwnCurve): Promise<boolean> {
    await loading;
    return write([curve, ...own.value.filter((c) => c.id !== curve.id)]);
  }
  async function remove(id: string): Promise<void> {
    removed.value = own.value.find((c) => c.id === id) ?? null;
    await write(own.value.filter((c) => c.id !== id));
  }
  async function undoRemove(): Promise<void> {
    if (removed.value && (await keep(removed.value))) removed.value = null;
  }
  onShelfChangedElsewhere((key) => key === KEY && void load());

  const all = computed<ShelfCurve[]>(() => [
    ...own.value.map((c) => ({
      id: c.id,
      name: c.name,
      source: c.source || 'own',
      curve: c.curve,
      model: curveModel(c.curve),
      own: true,
    })),
    ...CATALOGUE_CURVES.map((c) => ({
      id: c.id,
      name: c.name,
      source: c.source,
      curve: c.curve,
      model: curveModel(c.curve),
      own: false,
    })),
  ]);
  const byId = (id: string): ShelfCurve =>
    all.value.find((c) => c.id === id) ?? all.value[all.value.length - CATALOGUE_CURVES.length];

  return { own, all, byId, fault, removed, keep, remove, undoRemove };
});
