import { type ReliabilityBand, reliabilityOf } from '../../base/numeric/reliability.ts';
import { drawIndex, pick, seededUniform } from '../../base/numeric/random.ts';
import { FIELDS } from '../../base/units/vocabulary.ts';
import { type CaseKey, DIFFICULTIES, type Difficulty, readCaseNumber } from './caseNumber.ts';
import type { PlayRecord, PlayResult } from './playRecord.ts';
import { SLIPS, type SlipId } from './slips.ts';
import { THEME_IDS, type ThemeId } from './themes.ts';

/** A play that has ended, with what its number says. */
export interface Ended {
  play: PlayRecord;
  key: CaseKey;
  result: PlayResult;
}

/** The plays that count, oldest first: ended, and of a number this program can read. */
export function endedPlays(plays: readonly PlayRecord[]): Ended[] {
  return plays
    .flatMap((play): Ended[] => {
      const read = readCaseNumber(play.number);
      return play.result && play.endedAt && read.ok ? [{ play, key: read.key, result: play.result }] : [];
    })
    .sort((a, b) => a.play.endedAt!.localeCompare(b.play.endedAt!));
}

/** What goes wrong most: in how many of the plays in which it could have. Worst first; only what did. */
export function weakSpots(ended: readonly Ended[]): { slip: SlipId; did: number; could: number }[] {
  return SLIPS.map((slip) => ({
    slip,
    did: ended.filter((e) => e.result.did.includes(slip)).length,
    could: ended.filter((e) => e.result.could.includes(slip)).length,
  }))
    .filter(({ did }) => did > 0)
    .sort((a, b) => b.did / b.could - a.did / a.could || b.did - a.did);
}

/** How often the learner was right where he said so much: a calibration curve over all he said. */
export const calibrationOf = (ended: readonly Ended[]): ReliabilityBand[] =>
  reliabilityOf(ended.flatMap((e) => e.result.said));

/** Mean logarithmic score over the plays in which probabilities were said; null where none were. */
export function meanLogScore(ended: readonly Ended[]): number | null {
  const scores = ended.flatMap((e) => e.result.logScore ?? []);
  return scores.length === 0 ? null : scores.reduce((a, b) => a + b, 0) / scores.length;
}

/** Themes in which a slip is cured. */
const CURED_BY: Readonly<Record<SlipId, readonly ThemeId[]>> = {
  'five-volts-as-proof': ['series-resistance'],
  'sensor-on-suspicion': ['new-sensor', 'series-resistance', 'shared-reference'],
  'acted-early': ['any', 'two-faults'],
  'too-sure': ['any', 'new-sensor'],
  'set-up': ['any', 'two-sensors'],
  'tested-on': ['any'],
  'state-not-tried': ['only-hot', 'wiggle'],
  'unidentified-pins': ['any', 'two-sensors'],
  'not-stopped': ['nothing-now'],
};
/** Plays that are looked back on. */
const LOOKED_BACK = 12;
/** Of the last so many, so many right, and it becomes harder; fewer than the third, easier. */
const [LAST, HARDER, EASIER] = [4, 4, 1];

/** How hard the next case is: harder as it goes, easier where it does not. */
export function nextDifficulty(ended: readonly Ended[]): Difficulty {
  let level: Difficulty = 1;
  let since: Ended[] = [];
  for (const one of ended) {
    since.push(one);
    const last = since.slice(-LAST);
    const right = last.filter((e) => e.result.right).length;
    const step = last.length < LAST ? 0 : right >= HARDER ? 1 : right <= EASIER ? -1 : 0;
    if (step === 0) continue;
    level = Math.min(DIFFICULTIES.length, Math.max(1, level + step)) as Difficulty;
    since = [];
  }
  return level;
}

/** The next case: where it goes wrong most, and what was not seen for long; the same again for the same plays. */
export function nextCase(ended: readonly Ended[]): CaseKey {
  const lately = ended.slice(-LOOKED_BACK);
  const uniform = seededUniform(ended.length * 977 + 41);
  const weights = THEME_IDS.map((theme) => {
    const last = lately.map((e) => e.key.theme).lastIndexOf(theme);
    const spaced = last < 0 ? LOOKED_BACK : lately.length - 1 - last;
    const wrong = lately.filter((e) => e.result.did.some((slip) => CURED_BY[slip].includes(theme))).length;
    // Not the same twice in a row.
    return spaced === 0 && ended.length > 0 ? 0 : 1 + spaced / 3 + 2 * wrong;
  });
  const theme = THEME_IDS[drawIndex(weights, uniform)];
  const field = pick(FIELDS, uniform);
  return { theme, field, difficulty: nextDifficulty(ended), seed: 20_000 + Math.floor(uniform() * 1e6) };
}
