import { probablyMeant } from '@mellow-probe/core/verdict/probablyMeant';
import type { JobReading } from '@mellow-probe/core/job/jobSchema';
import { measurementById } from '@mellow-probe/core/measurements/list';
import { formatInterval, formatOhm, formatQuantity } from '@mellow-probe/core/units/format';
import { usePreferences } from '../../stores/preferences.ts';
import { useVerdict } from '../../stores/verdict.ts';

/** What a reading's field shows beside the text itself. */
export interface ReadingView {
  healthy: string;
  standing: 'fits' | 'off' | 'none';
  standingText: string;
  readAs: string;
  meant: string;
  /** What the leading suspect predicts for it, and that suspect's name; empty where there is none or it is what is healthy. */
  predicted: string;
}

/** Turns the engine's data about one reading (or a test not yet done) into what its field shows. */
export function useReadingView() {
  const verdict = useVerdict();
  const preferences = usePreferences();

  return (measurement: string, reading: JobReading | undefined): ReadingView => {
    const { quantity } = measurementById(measurement);
    const unit = preferences.temperatureUnit;
    const assessment = verdict.result?.assessment;
    const at = reading ? (assessment?.readings.findIndex((r) => r.id === reading.id) ?? -1) : -1;
    const view = at < 0 ? undefined : assessment!.readings[at];
    const range = view?.healthy ?? assessment?.healthy[measurement];
    const value = reading?.value === 'OL' ? Infinity : (reading?.value ?? null);
    const meant = quantity === 'ohms' && value !== null && range ? probablyMeant(value, range) : null;
    const standing = !view || value === null ? 'none' : view.verdict === 'inside' ? 'fits' : 'off';
    const leader = assessment?.suspects[0];
    const predicted = at >= 0 && leader && leader.fault !== 'healthy' ? leader.predicts[at] : undefined;
    return {
      healthy: range ? formatInterval(range, quantity, unit) : '',
      standing,
      standingText: standing === 'off' ? (view!.verdict === 'low' ? 'Low' : 'High') : '',
      readAs: value !== null && quantity === 'ohms' ? `= ${formatQuantity(value, quantity, unit)}` : '',
      meant: meant === null ? '' : formatOhm(meant),
      predicted: predicted && standing === 'off' ? formatInterval(predicted, quantity, unit) : '',
    };
  };
}
