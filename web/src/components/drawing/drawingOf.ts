import { drawingOfWords as say } from '@mellow-probe/core/wording/screens/drawing';
import type { Probe } from '@mellow-probe/core/circuit/network/solvedCircuit';
import type { Job, JobReading } from '@mellow-probe/core/check/job/jobSchema';
import { asFound } from '@mellow-probe/core/check/job/moments';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import type { MarkPlace, Measurement } from '@mellow-probe/core/circuit/measurements/measurement';
import { formatOhm, type TemperatureUnit } from '@mellow-probe/core/base/units/format';
import type { Layout } from '@mellow-probe/core/base/units/vocabulary';
import { circuitFacts, type CircuitFacts } from '@mellow-probe/core/wording/circuitFacts';
import { sizeText } from '@mellow-probe/core/wording/sizeText';
import { readingView } from '../../session/readingView.ts';
import type { VerdictView } from '../../session/verdict.ts';

/** What stands in the plug on the drawing. */
export type PlugView = { kind: 'sensor' | 'open' | 'bridge' | 'aside' } | { kind: 'resistor'; text: string };

/** A measured value at its place, beside what is healthy or what the leading suspect predicts. */
export interface Mark {
  place: MarkPlace;
  measurement: string;
  label: string;
  value: string;
  sign: '●' | '◆' | '○';
  beside: string;
}

/** Everything that the drawing of a circuit shows. */
export interface Drawing {
  layout: Layout;
  facts: CircuitFacts;
  plug: PlugView;
  moduleFree: boolean;
  probes: { red: Probe | 'element'; black: Probe | 'element' } | null;
  returnBridged: boolean;
  marks: readonly Mark[];
  suspect: { part: string; text: string } | null;
}

/** Most marks at one place: more would not be read at a glance. */
const PER_PLACE = 2;

/**
 * The drawing of a job's circuit: with a test, as that test needs it (what is in the plug, where the leads stand); without, as it is in use. `resistor`
 * is the substitute of the reading in hand, Ω, where it is known.
 */
export function drawingOf(
  job: Job,
  verdict: VerdictView,
  unit: TemperatureUnit,
  test: Measurement | null = null,
  resistor: number | null = null,
): Drawing {
  return {
    layout: job.circuit.layout,
    facts: circuitFacts(job.circuit, asFound(job).temperatureC, unit),
    plug: plugOf(test, resistor),
    moduleFree: test?.setup === 'both-ends-free' || test?.id === 'panel-ohms',
    probes: probesOf(test),
    returnBridged: test?.id === 'open-voltage-return-bridged',
    marks: marksOf(job.readings, verdict, unit),
    suspect: suspectOf(verdict),
  };
}

function plugOf(test: Measurement | null, resistor: number | null): PlugView {
  switch (test?.setup) {
    case 'unplugged':
    case 'key-off':
      return { kind: test.id === 'panel-ohms' ? 'sensor' : 'open' };
    case 'bridged':
      return { kind: 'bridge' };
    case 'both-ends-free':
      return { kind: test.id === 'loop-ohms' ? 'bridge' : 'open' };
    case 'taken-off':
      return { kind: 'aside' };
    case 'substituted':
      return { kind: 'resistor', text: resistor === null ? '? Ω' : formatOhm(resistor) };
    default:
      return { kind: 'sensor' };
  }
}

function probesOf(test: Measurement | null): Drawing['probes'] {
  if (!test) return null;
  if (test.probes) return test.probes;
  return test.quantity === 'ohms' && test.needs.length < 2 ? { red: 'element', black: 'element' } : null;
}

function marksOf(readings: readonly JobReading[], verdict: VerdictView, unit: TemperatureUnit): Mark[] {
  const list: Mark[] = [];
  for (const r of [...readings].reverse()) {
    const { mark, quantity } = measurementById(r.measurement);
    if (!mark || r.voided || r.value === null) continue;
    const twin = list.some((m) => m.measurement === r.measurement);
    if (twin || list.filter((m) => m.place === mark.place).length >= PER_PLACE) continue;
    const view = readingView(verdict, unit, r.measurement, r);
    const bare = /\d\s*$/.test(r.text);
    const value =
      quantity === 'ohms'
        ? view.readAs.replace('= ', '')
        : `${r.text}${bare ? (quantity === 'volts' ? ' V' : ` °${unit}`) : ''}`;
    const beside =
      view.standing === 'off' && view.predicted
        ? say.suspect(view.predicted)
        : view.healthy
          ? say.healthy(view.healthy)
          : '';
    const sign = view.standing === 'fits' ? '●' : view.standing === 'off' ? '◆' : '○';
    list.push({ ...mark, measurement: r.measurement, value, sign, beside });
  }
  return list.reverse();
}

/** The suspect that is marked on the drawing: only what is believed of the figures that stand there. */
function suspectOf(verdict: VerdictView): Drawing['suspect'] {
  const assessment = verdict.fault ? undefined : verdict.result?.assessment;
  const first = assessment?.suspects[0];
  if (!first || first.fault === 'healthy' || ['no-readings', 'nothing-fits'].includes(assessment.doubt.kind))
    return null;
  if (first.probability < 0.5) return null;
  const size = first.size ? sizeText(first.size).replace(/ \(.*/, '') : '';
  return {
    part: first.part,
    text: size && !size.startsWith('size') ? say.suspectOfSize(first.name, size) : say.suspectIs(first.name),
  };
}
