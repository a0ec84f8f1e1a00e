import { differences, type Patch } from '@mellow-probe/core/base/records/changes';
import { mergeThreeWay } from '@mellow-probe/core/base/records/mergeThreeWay';
import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import { type Kept, REMEMBERED } from '../../data/storage/kept.ts';

/** The versions of a record that a window knows: the value as of the last change, the one in the store, and those before that. Plain data. */
export class RecordVersions<T extends object> {
  /** The value as of the last change. */
  last: T;
  /** When the value became what it is; '' before the first change. */
  lastAt = '';
  /** The version in the store as far as this window knows. */
  base: Kept<T> | null = null;
  /** What the last write took along, until the store has answered. */
  underWay: T | null = null;
  private readonly trail: Kept<T>[] = [];
  private readonly neverStored: Kept<T>;

  constructor(private readonly initial: T) {
    this.last = plainCopy(initial);
    this.neverStored = { revision: 'never stored', at: '', follows: [], value: plainCopy(initial) };
  }

  isStored(): boolean {
    return this.base !== null && differences(this.base.value, this.last).length === 0;
  }

  /** The version that a write starts from. */
  from(): Kept<T> {
    return this.base ?? this.neverStored;
  }

  setBase(stored: Kept<T>): void {
    [this.base, this.underWay] = [stored, null];
    this.trail.unshift(stored);
    this.trail.length = Math.min(this.trail.length, REMEMBERED);
  }

  /** What is not in the store: since which revision, and of it what was typed since the write that is under way. */
  unstored(): { revision: string | null; patches: readonly Patch[]; since: readonly Patch[] } {
    const { base, last, underWay } = this;
    return {
      revision: base?.revision ?? null,
      patches: base === null ? [{ at: [], after: last }] : differences(base.value, last),
      since: underWay ? differences(underWay, last) : [],
    };
  }

  /** What is stored now, with what was typed here since the last version that both know. */
  merged(found: Kept<T>): T {
    const common = this.trail.find((k) => found.follows.includes(k.revision));
    return mergeThreeWay(common?.value ?? this.base?.value ?? plainCopy(this.initial), this.last, found.value);
  }

  /** A whole record from the journal together with the value here: where both say something, the newer one counts. */
  mergedWithWhole(whole: T, isNewer: boolean): T {
    const [mine, theirs] = isNewer ? [whole, this.last] : [this.last, whole];
    return mergeThreeWay(plainCopy(this.initial), mine, theirs);
  }
}
