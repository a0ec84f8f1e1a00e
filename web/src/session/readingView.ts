import { readingViewWords as say } from '@mellow-probe/core/wording/screens/session';
import type { JobReading } from '@mellow-probe/core/check/job/jobSchema';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { inside, type Interval } from '@mellow-probe/core/base/numeric/interval';
import { formatInterval, formatOhm, type TemperatureUnit } from '@mellow-probe/core/base/units/format';
import { probablyMeant } from '@mellow-probe/core/inference/verdict/probablyMeant';
import { usePreferences } from '../data/stores/preferences.ts';
import { useSession } from './jobSession.ts';
import type { VerdictView } from './verdict.ts';

/** What a reading's field shows beside the text itself. */
export interface ReadingView {
  healthy: string;
  standing: 'fits' | 'off' | 'none';
  standingText: string;
  /** On which side of the healthy range it lies; null inside, or where nothing is judged. */
  side: 'low' | 'high' | null;
  readAs: string;
  meant: string;
  /** What the leading suspect predicts for it; empty where there is none or it is what is healthy. */
  predicted: string;
}

/** How a figure stands to its healthy range; null: nothing to judge it by. */
export const standingOf = (
  judged: ReturnType<typeof inside> | null,
): Pick<ReadingView, 'standing' | 'standingText' | 'side'> => ({
  standing: judged === null ? 'none' : judged === 'inside' ? 'fits' : 'off',
  standingText: judged === 'low' ? say.low : judged === 'high' ? say.high : '',
  side: judged === 'inside' ? null : judged,
});

/**
 * Turns the engine's data about one reading (or a test not yet done) into what its field shows. The figure judged is the one in the field now. Where
 * the engine failed on the figures of the screen, nothing is said.
 */
export function readingView(
  verdict: VerdictView,
  unit: TemperatureUnit,
  measurement: string,
  reading: JobReading | undefined,
): ReadingView {
  const { quantity } = measurementById(measurement);
  const expected = expectedOf(verdict, measurement, reading);
  const { range, predicted } = expected;
  const value = valueOf(reading);
  const standing = judged(value, expected);
  return {
    healthy: range ? formatInterval(range, quantity, unit) : '',
    ...standing,
    ...(quantity === 'ohms' && value !== null ? ohmsRead(value, range) : { readAs: '', meant: '' }),
    predicted: predicted && standing.standing === 'off' ? formatInterval(predicted, quantity, unit) : '',
  };
}

/** How a reading that was taken stands to its healthy range, without the words about it. */
export function readingStanding(verdict: VerdictView, reading: JobReading): ReadingView['standing'] {
  return judged(valueOf(reading), expectedOf(verdict, reading.measurement, reading)).standing;
}

const valueOf = (reading: JobReading | undefined): number | null =>
  reading?.value === 'OL' ? Infinity : (reading?.value ?? null);
const judged = (value: number | null, { range, isJudged }: Expected): ReturnType<typeof standingOf> =>
  standingOf(isJudged && value !== null && range ? inside(range, value) : null);

/** Ohms as they were read, and what was probably meant where a factor of a thousand brings them into the healthy range. */
function ohmsRead(ohm: number, range: Interval | undefined): Pick<ReadingView, 'readAs' | 'meant'> {
  const meant = range ? probablyMeant(ohm, range) : null;
  return { readAs: `= ${formatOhm(ohm)}`, meant: meant === null ? '' : formatOhm(meant) };
}

/** What the engine expects of a test: healthy, and with the leading suspect; `isJudged`: this very reading is among those it weighed. */
interface Expected {
  range?: Interval | undefined;
  isJudged: boolean;
  predicted?: Interval | undefined;
}
function expectedOf(verdict: VerdictView, measurement: string, reading: JobReading | undefined): Expected {
  const assessment = verdict.fault ? undefined : verdict.result?.assessment;
  if (!assessment) return { isJudged: false };
  const at = reading && placesOf(assessment.readings).get(reading.id);
  if (at === undefined) return { range: assessment.healthy[measurement], isJudged: false };
  const leader = assessment.suspects[0];
  const predicted = leader && leader.fault !== 'healthy' ? leader.predicts[at] : undefined;
  return { range: assessment.readings[at].healthy, isJudged: true, predicted };
}

/** Where each reading is among those that were weighed. Found once for all of them: each of hundreds asks at every letter. */
const places = new WeakMap<readonly { id: string }[], ReadonlyMap<string, number>>();
function placesOf(weighed: readonly { id: string }[]): ReadonlyMap<string, number> {
  const known = places.get(weighed);
  if (known) return known;
  const found = new Map(weighed.map(({ id }, at) => [id, at]));
  places.set(weighed, found);
  return found;
}

/** `readingView` of the job on the bench, in the unit in force. */
export function useReadingView(): (measurement: string, reading: JobReading | undefined) => ReadingView {
  const { verdict } = useSession();
  const preferences = usePreferences();
  return (measurement, reading) => readingView(verdict, preferences.temperatureUnit, measurement, reading);
}
