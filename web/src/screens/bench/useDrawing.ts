import { circuitFacts } from '@mellow-probe/core/wording/circuitFacts';
import { measurementById } from '@mellow-probe/core/measurements/list';
import type { JobReading } from '@mellow-probe/core/job/jobSchema';
import type { Probe } from '@mellow-probe/core/circuit/bench';
import { formatOhm } from '@mellow-probe/core/units/format';
import { sizeText } from '@mellow-probe/core/wording/sizeText';
import { computed } from 'vue';
import { useOpenJob } from '../../stores/openJob.ts';
import { usePreferences } from '../../stores/preferences.ts';
import { useVerdict } from '../../stores/verdict.ts';
import { useWorkOrder } from '../../stores/workOrder.ts';
import { useReadingView } from './useReadingView.ts';

/** What stands in the plug on the drawing, as the card on the bench demands. */
export type PlugView = { kind: 'sensor' | 'open' | 'bridge' | 'aside' } | { kind: 'resistor'; text: string };

/** A measured value at its place, beside what is healthy or what the leading suspect predicts. */
export interface Mark {
  place: 'display' | 'signal' | 'across' | 'return' | 'sensor' | 'signalWire' | 'returnWire';
  measurement: string;
  label: string;
  value: string;
  sign: '●' | '◆' | '○';
  beside: string;
}

const PLACES: Record<string, { place: Mark['place']; label: string }> = {
  displayed: { place: 'display', label: 'shows' },
  'displayed-unplugged': { place: 'display', label: 'unplugged' },
  'displayed-bridged': { place: 'display', label: 'bridged' },
  'displayed-substituted': { place: 'display', label: 'with resistor' },
  'open-voltage': { place: 'signal', label: 'unplugged' },
  'loaded-voltage': { place: 'signal', label: 'plugged in' },
  'open-voltage-return': { place: 'across', label: 'across, unplugged' },
  'loaded-voltage-return': { place: 'across', label: 'across, plugged in' },
  'return-drop': { place: 'return', label: 'drop, plugged in' },
  'supply-to-return': { place: 'return', label: 'from battery +' },
  'sensor-ohms': { place: 'sensor', label: 'ohms' },
  'bench-ohms': { place: 'sensor', label: 'in the bath' },
  'signal-wire-ohms': { place: 'signalWire', label: 'end to end' },
  'return-wire-ohms': { place: 'returnWire', label: 'end to end' },
};
/** Most marks at one place: more would not be read at a glance. */
const PER_PLACE = 2;

/** Everything the drawing shows, from the job, the card and the verdict. */
export function useDrawing() {
  const bench = useOpenJob();
  const verdict = useVerdict();
  const work = useWorkOrder();
  const preferences = usePreferences();
  const viewOf = useReadingView();

  const test = computed(() => (work.test ? measurementById(work.test) : null));
  const reading = computed<JobReading | undefined>(() => bench.job?.readings.find((r) => r.id === work.readingId));

  const plug = computed<PlugView>(() => {
    switch (test.value?.setup) {
      case 'unplugged':
      case 'key-off':
        return { kind: test.value.id === 'panel-ohms' ? 'sensor' : 'open' };
      case 'bridged':
        return { kind: 'bridge' };
      case 'both-ends-free':
        return { kind: test.value.id === 'loop-ohms' ? 'bridge' : 'open' };
      case 'bench':
        return { kind: 'aside' };
      case 'substituted': {
        const ohm = (reading.value?.conditions.substituteOhm ?? work.draft.substituteOhm)?.value;
        return { kind: 'resistor', text: typeof ohm === 'number' ? formatOhm(ohm) : '? Ω' };
      }
      default:
        return { kind: 'sensor' };
    }
  });
  const moduleFree = computed(() => test.value?.setup === 'both-ends-free' || test.value?.id === 'panel-ohms');
  const probes = computed<{ red: Probe | 'element'; black: Probe | 'element' } | null>(() => {
    if (!test.value) return null;
    if (test.value.probes) return test.value.probes;
    return test.value.quantity === 'ohms' && test.value.needs.length < 2 ? { red: 'element', black: 'element' } : null;
  });
  const returnBridged = computed(() => test.value?.id === 'open-voltage-return-bridged');

  const marks = computed<Mark[]>(() => {
    const list: Mark[] = [];
    for (const r of [...(bench.job?.readings ?? [])].reverse()) {
      const at = PLACES[r.measurement];
      if (!at || r.voided || r.value === null) continue;
      const twin = list.some((m) => m.measurement === r.measurement);
      if (twin || list.filter((m) => m.place === at.place).length >= PER_PLACE) continue;
      const view = viewOf(r.measurement, r);
      const { quantity } = measurementById(r.measurement);
      const bare = /\d\s*$/.test(r.text);
      const unit = quantity === 'volts' ? ' V' : ` °${preferences.temperatureUnit}`;
      const value = quantity === 'ohms' ? view.readAs.replace('= ', '') : `${r.text}${bare ? unit : ''}`;
      const beside =
        view.standing === 'off' && view.predicted
          ? `suspect ${view.predicted}`
          : view.healthy
            ? `healthy ${view.healthy}`
            : '';
      list.push({
        ...at,
        measurement: r.measurement,
        value,
        sign: view.standing === 'fits' ? '●' : view.standing === 'off' ? '◆' : '○',
        beside,
      });
    }
    return list.reverse();
  });

  const suspect = computed(() => {
    const assessment = verdict.result?.assessment;
    const first = assessment?.suspects[0];
    if (!first || first.fault === 'healthy' || ['no-readings', 'nothing-fits'].includes(assessment.doubt.kind))
      return null;
    if (first.probability < 0.5) return null;
    const size = first.size ? sizeText(first.size).replace(/ \(.*/, '') : '';
    return { part: first.part, text: `suspect: ${first.name}${size && !size.startsWith('size') ? `, ${size}` : ''}` };
  });
  const facts = computed(() => circuitFacts(bench.job!.circuit, bench.job!.temperatureC, preferences.temperatureUnit));

  return { plug, moduleFree, probes, returnBridged, marks, suspect, facts };
}
