/**
 * Every closed set of words, once. Types and Zod enumerations are made from these lists, so that a word cannot be allowed in one place and
 * unknown in another.
 */

/**
 * How a circuit is laid out. pull-up: sensor to sensor ground, fixed resistor to the reference. pull-down: the mirror image, sensor fed from
 * the reference, fixed resistor to module ground. one-wire: as pull-up, the return is the body the sensor is screwed into.
 */
export const LAYOUTS = ['pull-up', 'pull-down', 'one-wire'] as const;
export type Layout = (typeof LAYOUTS)[number];
/** The layouts in which the sensor has a return wire of its own. */
export const TWO_WIRE: readonly Layout[] = ['pull-up', 'pull-down'];

/** The two wires of a sensor. */
export const WIRES = ['signal', 'return'] as const;
export type Wire = (typeof WIRES)[number];

/** What kind of machine it is. */
export const FIELDS = ['engine', 'climate', 'boiler'] as const;
export type MachineField = (typeof FIELDS)[number];

/** State of the machine while a reading was taken. Readings 'while wiggling' share the temperature of the steady ones. */
export const MACHINE_STATES = ['steady', 'hot', 'wiggling'] as const;
export type MachineState = (typeof MACHINE_STATES)[number];

/** What a technician would replace or repair, in the order in which it is told. */
export const FAULT_GROUPS = ['sensor', 'wiring', 'reference', 'module', 'installation', 'healthy'] as const;
export type FaultGroup = (typeof FAULT_GROUPS)[number];

/** What may be at hand. */
export const TOOLS = [
  'meter',
  'thermometer',
  'live-data',
  'resistors',
  'jumper',
  'module-access',
  'bath',
  'second-sensor',
] as const;
export type Tool = (typeof TOOLS)[number];

/** How hard a place is to reach. */
export const REACHES = ['easy', 'usual', 'hard'] as const;
export type Reach = (typeof REACHES)[number];

/** Kinds of thermometer. */
export const THERMOMETER_KINDS = [
  'thermocouple',
  'glass',
  'infra-red',
  'infra-red-shiny',
  'pipe-clamp',
  'display',
  'hand',
  'other',
] as const;
export type ThermometerKind = (typeof THERMOMETER_KINDS)[number];

/** Series of preferred values (IEC 60063), or what the technician owns. */
export const RESISTOR_SERIES = ['E6', 'E12', 'E24', 'E48', 'E96', 'own'] as const;
export type ResistorSeries = (typeof RESISTOR_SERIES)[number];

/** State of a trouble code when it was read. */
export const CODE_STATES = ['present', 'sporadic', 'came-back', 'past'] as const;
export type CodeState = (typeof CODE_STATES)[number];

/**
 * What a trouble code says of a circuit. 'low', 'high': the voltage at the module's pin; 'ohms-low', 'ohms-high': the resistance it sees; the others
 * as they say. 'other': nothing of a circuit.
 */
export const CODE_MEANINGS = [
  ...(['circuit', 'range', 'low', 'high', 'low-or-open', 'high-or-open'] as const),
  ...(['ohms-low', 'ohms-high', 'intermittent', 'open', 'other'] as const),
] as const;
export type CodeMeaning = (typeof CODE_MEANINGS)[number];

/** What may have been replaced already, in vain. */
export const REPLACEABLE_PARTS = ['sensor', 'connector', 'wiring', 'module'] as const;
export type ReplaceablePart = (typeof REPLACEABLE_PARTS)[number];

/** What became of a cause that is no electrical fault. */
export const CAUSE_STATES = ['ruled-out', 'found'] as const;
export type CauseState = (typeof CAUSE_STATES)[number];

/** How a plug was tried while looking for the right sensor. */
export const PLUG_TRIALS = ['unplugged', 'bridged'] as const;
export type PlugTrial = (typeof PLUG_TRIALS)[number];

/** Which sensor of a comparison: the one in doubt, or a new or neighbouring one. */
export const COMPARED_SENSORS = ['this', 'other'] as const;
export type ComparedSensor = (typeof COMPARED_SENSORS)[number];

/** While a pair of a comparison was taken. */
export const PHASES = ['heating', 'cooling', 'after'] as const;
export type Phase = (typeof PHASES)[number];

/** How a step of the proof came out. */
export const PROOF_OUTCOMES = ['passed', 'failed', 'not-possible'] as const;
export type ProofOutcome = (typeof PROOF_OUTCOMES)[number];

/** How a job was closed. */
export const CLOSINGS = ['proved', 'unproved'] as const;
export type Closing = (typeof CLOSINGS)[number];

/** How far a job has come. */
export const JOB_STATES = ['measuring', 'decided', 'repaired', 'closed'] as const;
export type JobState = (typeof JOB_STATES)[number];

/** The stations of the order of work that are tests. */
export type TestStation = 'live' | 'supply' | 'loaded' | 'bypass' | 'sensor' | 'wires' | 'places';
