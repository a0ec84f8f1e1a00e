import { CATALOGUE_CURVES } from '@mellow-probe/core/catalogue/parts/curves';
import { type Curve, curveModel } from '@mellow-probe/core/circuit/curves/curve';
import type { CurveModel } from '@mellow-probe/core/circuit/curves/curveModel';
import { type OwnCurve } from '@mellow-probe/core/circuit/curves/ownCurve';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import type { z } from 'zod';
import { getPhoto, putPhoto } from '../data/storage/photoStorage.ts';
import { type StoredCurves, storedCurvesSchema } from '../data/storage/storedCurves.ts';
import { shelfDoor } from '../data/storage/shelfStorage.ts';
import { persistedRecord } from './record/record.ts';

/** One curve on the shelf: of the catalogue or the user's own. */
export interface ShelfCurve {
  id: string;
  name: string;
  source: string;
  curve: Curve;
  model: CurveModel;
  own: boolean;
}

const asShelfCurve = (c: OwnCurve): ShelfCurve => ({
  id: c.id,
  name: c.name,
  source: c.source || 'own',
  curve: c.curve,
  model: curveModel(c.curve),
  own: true,
});
const CATALOGUE: readonly ShelfCurve[] = CATALOGUE_CURVES.map((c) => ({
  id: c.id,
  name: c.name,
  source: c.source,
  curve: c.curve,
  model: curveModel(c.curve),
  own: false,
}));

/** A curve has one picture. */
const PICTURE = 'picture';

/** All curves at hand: the user's own first. */
export const useCurves = defineStore('curves', () => {
  const record = persistedRecord<StoredCurves>({
    door: shelfDoor('curves', storedCurvesSchema as z.ZodType<StoredCurves>),
    initial: { curves: [], unread: [] },
  });
  const removed = shallowRef<OwnCurve | null>(null);

  /**
   * Puts a curve on the shelf, and the picture it was read from beside the photos. False where the browser does not keep it; it stays on the shelf
   * of this window.
   */
  async function keep(
    { picture: inside, ...curve }: OwnCurve,
    picture: string | null = inside ?? null,
  ): Promise<boolean> {
    await record.loaded;
    record.change('typed', (value) => {
      value.curves = [curve, ...value.curves.filter((c) => c.id !== curve.id)];
    });
    const pictureKept =
      picture === null ||
      (await putPhoto(curve.id, PICTURE, picture).then(
        () => true,
        () => false,
      ));
    await record.settled();
    return record.keeping.value.kind === 'kept' && pictureKept;
  }
  /** The picture a curve was read from, as a data address; null where it has none. */
  const pictureOf = (id: string): Promise<string | null> => getPhoto(id, PICTURE);
  async function remove(id: string): Promise<void> {
    removed.value = record.now().curves.find((c) => c.id === id) ?? null;
    record.change('typed', (value) => {
      value.curves = value.curves.filter((c) => c.id !== id);
    });
    await record.settled();
  }
  async function undoRemove(): Promise<void> {
    if (removed.value && (await keep(removed.value))) removed.value = null;
  }

  const own = computed(() => record.value.curves);
  const all = computed<ShelfCurve[]>(() => [...own.value.map(asShelfCurve), ...CATALOGUE]);
  const byId = (id: string): ShelfCurve => all.value.find((c) => c.id === id) ?? CATALOGUE[0];

  return { own, all, byId, fault: record.fault, removed, keep, pictureOf, remove, undoRemove };
});
