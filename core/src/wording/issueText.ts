import type { FieldIssue } from '../check/job/fieldIssue.ts';
import type { OpenFault } from '../check/job/openJob.ts';
import { formatTemperature, type TemperatureUnit } from '../base/units/format.ts';
import type { FieldQuantity } from '../base/units/quantity.ts';
import { counted, fixed, significant } from '../base/units/writing.ts';

const EXAMPLES: Record<FieldQuantity, string> = {
  volts: '4.40, 1880 mV',
  ohms: '3600, 4k7, 2.88k, OL',
  celsius: '12, 64F, −40',
  number: '3600',
  'told-celsius': '20, 18…24, <50, 68F',
  'ohm-band': '2–3 k, 2.5k ± 10 %',
};
const UNITS: Record<FieldQuantity, string> = {
  volts: 'volts',
  ohms: 'ohms',
  celsius: 'a temperature',
  number: 'a plain number',
  'told-celsius': 'a temperature',
  'ohm-band': 'a band of ohms',
};

/** What is wrong with a field, in one short line. `quantity` is what the field asks for. */
export function issueText(issue: FieldIssue, quantity: FieldQuantity, unit: TemperatureUnit): string {
  switch (issue.reason) {
    case 'empty':
      return `Needed: ${UNITS[quantity]}.`;
    case 'not-a-number':
      return `No figure found. Enter for example ${EXAMPLES[quantity]}.`;
    case 'wrong-unit':
      return `This field takes ${UNITS[quantity]}, not “${issue.unit ?? ''}”.`;
    case 'negative':
      return 'A resistance cannot be negative: a live circuit, or the leads are swapped?';
    case 'below-absolute-zero':
      return `Below absolute zero (${formatTemperature(-273.15, unit)}).`;
    case 'out-of-range':
      return `Too large for ${UNITS[quantity]} in such a circuit.`;
    case 'overload-not-here':
      return 'OL is not possible here. Enter a figure.';
    case 'upside-down':
      return 'Enter the smaller figure first.';
    case 'ambiguous':
      return `Two ways to read this: ${issue.choices.map((c) => c.text).join(' or ')}?`;
    case 'must-be-positive':
      return 'Must be more than zero.';
    case 'too-low':
      return `Too low: at least ${limit(issue.limit, quantity, unit)}.`;
    case 'too-high':
      return `Too high: at most ${limit(issue.limit, quantity, unit)}.`;
    case 'outside-curve':
      return `Outside this curve (${formatTemperature(issue.minC, unit)} … ${formatTemperature(issue.maxC, unit)}): left out.`;
    case 'equal-points':
      return 'This temperature is in the table twice.';
    case 'not-monotone':
      return 'The resistance reverses here. Check for a typing error.';
    case 'too-few-points':
      return 'At least two points.';
    case 'unknown-curve':
      return 'This curve is not in the catalogue: choose another.';
    case 'needs-condition':
      return 'Needed with this reading.';
    case 'needs-last-value':
      return 'The check has no earlier displayed value. Enter the figure it shows.';
    case 'not-on-this-layout':
      return 'This test does not exist on this layout: left out.';
  }
}

function limit(value: number, quantity: FieldQuantity, unit: TemperatureUnit): string {
  if (quantity === 'celsius' || quantity === 'told-celsius') return formatTemperature(value, unit);
  return `${Number.isInteger(value) ? counted(value) : significant(value, 6)}${{ volts: ' V', ohms: ' Ω', number: '', 'ohm-band': ' Ω' }[quantity]}`;
}

/** Why a file was not opened, and where. */
export function openFaultText(fault: OpenFault): string {
  switch (fault.reason) {
    case 'too-large':
      return `${fixed(fault.bytes / 1e6, 0)} MB is too large for a check: at most ${fixed(fault.limit / 1e6, 0)} MB.`;
    case 'empty':
      return 'The file is empty.';
    case 'not-json':
      return `This is not a JSON file. ${fault.detail}`;
    case 'not-a-job':
      return 'This JSON file is not from this program: “format” is not “mellow-probe/job”.';
    case 'too-deep':
      return 'What the file holds is nested far deeper, or larger, than any check.';
    case 'bad-version':
      return `“formatVersion” is ${fault.version}: this version is unknown.`;
    case 'newer-version':
      return `Written by a newer version of this program (format ${fault.version}, known up to ${fault.newest}). The file is left as it is.`;
    case 'bad-field':
      return `At ${fault.path.length === 0 ? 'the top' : fault.path.join(' › ')}: ${fault.detail}.${fault.more > 0 ? ` ${fault.more} more.` : ''}`;
  }
}
