import { CATALOGUE_CURVES, catalogueCurve } from '@mellow-probe/core/catalogue/parts/curves';
import { SolvedCircuit } from '@mellow-probe/core/circuit/network/solvedCircuit';
import { nominalState } from '@mellow-probe/core/circuit/network/sensorCircuit';
import { curveModel, resistanceAt, temperatureOf } from '@mellow-probe/core/circuit/curves/curve';
import type { CurveModel } from '@mellow-probe/core/circuit/curves/curveModel';
import { catalogueCircuit } from '@mellow-probe/core/catalogue/parts/catalogueCircuit';
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { formatOhm, formatTemperature } from '@mellow-probe/core/base/units/format';
import { parseReading } from '@mellow-probe/core/base/units/parseReading';
import { scanToolTemperatureC } from '@mellow-probe/core/base/units/scanToolByte';
import { type Command, parse, toJson, UsageError, WorldError } from '../command.ts';

export const convertCommand: Command = {
  name: 'convert',
  usage: 'convert FIGURE (--curve ID | --r25 OHM --beta K | --circuit ID | --pid PID) [--json]',
  summary:
    'Ω, V or °C (or °F) of a healthy sensor or circuit into the other two, or the data bytes of a scan tool (7B --pid 05). "convert list" lists the ids.',
  run(args) {
    const options = {
      json: { type: 'boolean' },
      curve: { type: 'string' },
      circuit: { type: 'string' },
      r25: { type: 'string' },
      beta: { type: 'string' },
      pid: { type: 'string' },
    } as const;
    const { values, positionals } = parse({ args, options, allowPositionals: true });
    if (positionals.length !== 1) throw new UsageError('convert takes one figure, quoted if it has a space');
    if (positionals[0] === 'list') return listing();
    if (values.pid !== undefined) return scanTool(values.pid, positionals[0], values.json ?? false);
    const circuit = values.circuit === undefined ? null : circuitOf(values.circuit);
    const curve = circuit ? circuit.curve : curveOf(values);
    const temperatureC = toTemperature(positionals[0], curve, circuit);
    const ohm = resistanceAt(curve, temperatureC);
    if (!ohm.ok)
      throw new WorldError(
        `outside the curve (${formatTemperature(ohm.minC, 'C')} … ${formatTemperature(ohm.maxC, 'C')})`,
      );
    const volt = circuit ? loadedVolts(circuit, temperatureC) : null;
    if (values.json) return toJson({ temperatureC, resistanceOhm: ohm.value, loadedV: volt });
    const parts = [
      `${formatTemperature(temperatureC, 'C', 1)} = ${formatTemperature(temperatureC, 'F', 1)}`,
      formatOhm(ohm.value),
    ];
    if (volt !== null) parts.push(`${volt.toFixed(3)} V`);
    return `${parts.join('  ')}\n`;
  },
};

/** The temperature in data bytes given in hexadecimal: "7B", "11 B8". */
function scanTool(pid: string, text: string, json: boolean): string {
  const bytes =
    (/^[\s0-9a-f]+$/i.test(text) ? text.replace(/\s/g, '').match(/../g) : null)?.map((b) => parseInt(b, 16)) ?? [];
  const temperatureC = scanToolTemperatureC(pid, bytes);
  if (temperatureC === null)
    throw new WorldError(`"${text}" are no data bytes of a temperature with parameter "${pid}"`);
  return json
    ? toJson({ temperatureC })
    : `${formatTemperature(temperatureC, 'C', 1)} = ${formatTemperature(temperatureC, 'F', 1)}\n`;
}

type Circuit = ReturnType<typeof catalogueCircuit>;

function listing(): string {
  const rows = [...CATALOGUE_CURVES, ...CATALOGUE_CIRCUITS].map((x) => `${x.id.padEnd(22)} ${x.name}`);
  return `${rows.join('\n')}\n`;
}

function circuitOf(id: string): Circuit {
  if (!CATALOGUE_CIRCUITS.some((c) => c.id === id))
    throw new UsageError(`no circuit "${id}"; "convert list" lists them`);
  const circuit = catalogueCircuit(id);
  if (circuit.pullUpOhm === null) throw new UsageError(`circuit "${id}" has no known pull-up`);
  return circuit;
}

function curveOf(values: {
  curve?: string | undefined;
  r25?: string | undefined;
  beta?: string | undefined;
}): CurveModel {
  if (values.curve !== undefined) {
    const entry = catalogueCurve(values.curve);
    if (!entry) throw new UsageError(`no curve "${values.curve}"; "convert list" lists them`);
    return curveModel(entry.curve);
  }
  const r25 = parseReading(values.r25 ?? '', 'ohms', { overload: false });
  const beta = parseReading(values.beta ?? '', 'number');
  if (!r25.ok || !beta.ok || !(r25.value > 0) || !(beta.value > 0))
    throw new UsageError('--curve ID, --circuit ID, or --r25 and --beta with positive figures');
  return curveModel({ kind: 'beta', r25Ohm: r25.value, betaK: beta.value });
}

function loadedVolts(circuit: Circuit, temperatureC: number): number {
  return new SolvedCircuit()
    .set(nominalState(circuit, temperatureC, circuit.pullUpOhm!))
    .volts('sensor', 'signal', 'chassis');
}

/** Which quantity a figure is, by its unit: with none it is taken for ohms. */
function toTemperature(text: string, curve: CurveModel, circuit: Circuit | null): number {
  const asOhm = parseReading(text, 'ohms', { overload: false });
  if (!asOhm.ok && asOhm.reason === 'wrong-unit') {
    const asVolts = parseReading(text, 'volts');
    if (asVolts.ok && !circuit) throw new UsageError('volts need a --circuit');
    if (asVolts.ok && circuit) return voltsToTemperature(asVolts.value, circuit);
    const asTemperature = parseReading(text, 'celsius');
    if (asTemperature.ok) return asTemperature.value;
  }
  if (!asOhm.ok && asOhm.reason === 'ambiguous')
    throw new WorldError(`"${text}" can be ${asOhm.choices.map((c) => c.text).join(' or ')}; write one of them`);
  if (!asOhm.ok) throw new WorldError(`"${text}" is no figure that can be read (${asOhm.reason})`);
  const temperature = temperatureOf(curve, asOhm.value);
  if (!temperature.ok) throw new WorldError(`${formatOhm(asOhm.value)} is outside the curve`);
  return temperature.value;
}

function voltsToTemperature(volt: number, circuit: Circuit): number {
  let [low, high] = [circuit.curve.minC, circuit.curve.maxC];
  const rising = loadedVolts(circuit, high) > loadedVolts(circuit, low);
  const [least, most] = rising
    ? [loadedVolts(circuit, low), loadedVolts(circuit, high)]
    : [loadedVolts(circuit, high), loadedVolts(circuit, low)];
  if (volt < least || volt > most)
    throw new WorldError(
      `${volt} V is outside what this circuit can show (${least.toFixed(3)} … ${most.toFixed(3)} V)`,
    );
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (loadedVolts(circuit, middle) < volt === rising) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
