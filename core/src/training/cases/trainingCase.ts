import type { CatalogueCircuit } from '../../catalogue/parts/circuits.ts';
import { SolvedCircuit } from '../../circuit/network/solvedCircuit.ts';
import { checkJob } from '../../check/job/checkJob.ts';
import type { Job } from '../../check/job/jobSchema.ts';
import { newJob } from '../../check/job/newJob.ts';
import { genericKit, type Kit } from '../../catalogue/kit/kitSchema.ts';
import { costsOf } from '../../advice/plan/worthSchema.ts';
import type { Costs } from '../../advice/plan/repairs.ts';
import { accessOf, type Access } from '../../catalogue/kit/access.ts';
import { weightedFaults } from '../../inference/model/hypotheses.ts';
import type { Problem } from '../../inference/model/problem.ts';
import { drawIndex, happens, pick, seededUniform, type Uniform } from '../../base/numeric/random.ts';
import { blank, figure } from '../../base/units/entry.ts';
import { FIELDS, type FaultGroup, type MachineState, type Tool } from '../../base/units/vocabulary.ts';
import { DRAWN_CIRCUITS, DRAWN_FAULTS, DRAWN_FINDINGS, DRAWN_SYMPTOMS } from '../simulation/drawnFrom.ts';
import { caseNumberOf, type CaseKey, type Difficulty } from './caseNumber.ts';
import { CODE_OF_NEIGHBOUR, codeOf, complaintOf, type Looks, machineOf, type Told } from './scenes.ts';
import { THEME_IDS } from './themes.ts';
import { circuitIn, drawFaults, drawMachine, type TrueMachine, type Wanted } from './trueMachine.ts';

/** The cavities of the sensor plug: it carries a third wire that has nothing to do with the sensor and is live. */
export const CAVITIES = ['signal', 'return', 'supply'] as const;
export type Cavity = (typeof CAVITIES)[number];
/** Plugs that look alike, where there are two. */
export const PLUGS = ['A', 'B'] as const;
export type PlugName = (typeof PLUGS)[number];

/** A machine with a complaint and a hidden fault, to be diagnosed on the bench. Same number, same case. */
export interface TrainingCase {
  key: CaseKey;
  number: string;
  /** As it is handed over: machine, complaint, codes, circuit, kit, prices; nothing read, nothing looked at. */
  job: Job;
  machine: TrueMachine;
  /** The machine's other sensor, sound, where there are two plugs that look alike; else null. */
  other: TrueMachine | null;
  /** The plug of the sensor in question. */
  plug: PlugName;
  /** What each cavity of the plug is, as numbered on it. */
  cavities: readonly Cavity[];
  /** Findings that a look at plug and loom shows. */
  looks: readonly string[];
  /** When it is so, as the complaint has it. */
  told: Told;
  /** °C beside the sensor once the machine is hot. */
  hotC: number;
  access: Access;
  costs: Costs;
  /** What the customer allows: minutes, and money in all. */
  allowed: { minutes: number; money: number };
}

/** The groups at fault; 'healthy' where nothing is wrong. */
export const guiltyGroups = ({ machine }: TrainingCase): FaultGroup[] =>
  machine.faults.length === 0 ? ['healthy'] : machine.faults.map((f) => f.fault.group);

/** Time stamp of a case: it has none of its own, and every file needs one. */
const HANDED_OVER = '2000-01-01T08:00:00.000Z';

/** The case of a number. Pure: the same on every machine. */
export function trainingCase(key: CaseKey): TrainingCase {
  const number = caseNumberOf(key);
  const kind = THEME_IDS.indexOf(key.theme) * 9 + FIELDS.indexOf(key.field) * 3 + key.difficulty;
  const uniform = seededUniform(key.seed * 104729 + kind * 7919 + 17);
  const entry = circuitFor(key, uniform);
  const { kit, prices } = workshop(key.difficulty, uniform);
  const bare: Job = { ...newJob(`case-${number}`, HANDED_OVER, entry, kit), title: `Case ${number}`, ...prices };
  bare.machine = machineOf(key.field, uniform);
  const shared = key.theme === 'shared-reference' || happens(0.3, uniform);
  bare.circuit = { ...bare.circuit, shares: shared ? 'reference' : 'nothing' };
  const [readC, hotC] = temperatures(entry, uniform);
  bare.moments[0].temperatureC = figure(readC);
  bare.moments[1].temperatureC = figure(hotC);
  const replaced = key.theme === 'new-sensor' || (key.difficulty === 3 && happens(0.2, uniform));
  if (replaced) bare.complaint = { ...bare.complaint, replaced: ['sensor'] };
  const problem = problemOf(bare);
  const sound = drawMachine(problem, uniform);
  const wanted = wantedOf(key, problem, uniform);
  const machine = { ...sound, faults: drawFaults(sound, wanted, uniform) };
  const other = key.theme === 'two-sensors' ? drawMachine(problem, uniform) : null;
  const told =
    machine.faults.length === 0 ? 'past' : wanted.onlyIn === 'hot' ? 'hot' : wanted.onlyIn ? 'wiggle' : 'always';
  const complaint = complain(entry, machine, wanted, told, replaced, uniform);
  const looks = looksOf(machine, key, uniform);
  const cavities = shuffled(CAVITIES, uniform);
  const plug = other ? PLUGS[Math.floor(2 * uniform())] : 'A';
  const [cold, hot] = bare.moments;
  const job: Job = { ...bare, complaint, moments: [cold, { ...hot, temperatureC: blank() }] };
  const costs = costsOf(job.worth, job.kit, null);
  const allowed = {
    minutes: [150, 110, 80][key.difficulty - 1],
    money: Math.round(80 * costs.perMinute + 1.5 * costs.part),
  };
  return {
    ...{ key, number, job, machine, other, plug, cavities, looks, hotC, told },
    ...{ access: accessOf(kit), costs, allowed },
  };
}

/**
 * What the bench of a case is computed from: the faults its generator draws are weighed, so that a play costs the same in every version. Throws on a
 * job that cannot be: a case never hands one over.
 */
export function problemOf(job: Job): Problem {
  const { problem, issues } = checkJob(job);
  if (!problem) throw new Error(`problemOf: ${JSON.stringify(issues)}`);
  return { ...problem, faults: DRAWN_FAULTS.map((f) => f.id) };
}

function circuitFor({ field, difficulty }: CaseKey, uniform: Uniform): CatalogueCircuit {
  // A one-wire sender has no return to be measured: not for the first cases.
  const list = DRAWN_CIRCUITS.filter(
    (c) => c.field === field && c.pullUpOhm !== null && (difficulty > 1 || c.layout === 'pull-up'),
  );
  return pick(list, uniform);
}

/** Tools by difficulty, and what time and parts cost here. */
function workshop(difficulty: Difficulty, uniform: Uniform): { kit: Kit; prices: Pick<Job, 'worth'> } {
  const without: readonly Tool[] =
    difficulty === 1
      ? []
      : difficulty === 2
        ? ['second-sensor', 'bath']
        : happens(0.5, uniform)
          ? ['second-sensor', 'bath', 'resistors']
          : ['second-sensor', 'bath', 'module-access'];
  const kit = genericKit();
  kit.tools = kit.tools.filter((tool) => !without.includes(tool));
  const round = (low: number, high: number, step: number): number =>
    step * Math.round((low + (high - low) * uniform()) / step);
  const worth = {
    hourPrice: figure(round(50, 95, 5)),
    partPrice: figure(round(15, 160, 5)),
    fitMinutes: figure(round(10, 45, 5)),
    modulePrice: figure(round(200, 700, 20)),
    backPrice: figure(round(40, 110, 10)),
    assembly: false,
    protects: false,
  };
  return { kit, prices: { worth } };
}

/** As found, and once it has worked, °C: whole degrees as a thermometer says them. */
function temperatures({ field, curveId }: CatalogueCircuit, uniform: Uniform): [number, number] {
  const cold = Math.round(5 + 22 * uniform());
  const [low, high] = field === 'climate' ? [38, 52] : curveId.startsWith('pt') ? [180, 320] : [62, 92];
  return [cold, Math.round(low + (high - low) * uniform())];
}

/** Faults of a wire that only a load shows. */
const SERIES = ['signal-resistive', 'return-resistive'];
const REFERENCE = ['reference-low', 'reference-missing', 'reference-high'];
/** Faults that come and go with the loom, and with heat. Common practice, no source. */
const HARNESS = ['signal-open', 'return-open', 'signal-resistive', 'return-resistive', 'signal-to-ground'];
const WITH_HEAT = ['sensor-open', 'sensor-high', 'sensor-low', 'sensor-short', 'signal-open', 'signal-resistive'];
/** Faults of the plain cases. */
const PLAIN = [
  'sensor-open',
  'sensor-short',
  'sensor-high',
  'sensor-low',
  ...HARNESS,
  ...REFERENCE,
  'signal-to-return',
];

function wantedOf({ theme, difficulty }: CaseKey, problem: Problem, uniform: Uniform): Wanted {
  const from = difficulty === 1 ? 0.35 : 0;
  const plain: Wanted = { faults: difficulty === 1 ? PLAIN : null, onlyIn: null, count: 1, from };
  switch (theme) {
    case 'series-resistance':
      return { ...plain, faults: problem.circuit.layout === 'one-wire' ? SERIES.slice(0, 1) : SERIES };
    case 'shared-reference':
      return { ...plain, faults: REFERENCE };
    case 'nothing-now':
      return { ...plain, count: 0 };
    case 'only-hot':
      return { ...plain, faults: WITH_HEAT, onlyIn: 'hot' };
    case 'wiggle':
      return { ...plain, faults: HARNESS, onlyIn: 'wiggling' };
    case 'two-faults':
      return { ...plain, faults: null, count: 2 };
    case 'new-sensor':
      return { ...plain, faults: null };
    default: {
      const soundShare = weightedFaults(problem, DRAWN_FAULTS).find((w) => w.fault.group === 'healthy')!.weight;
      return theme === 'any' && happens(soundShare, uniform) ? { ...plain, count: 0 } : plain;
    }
  }
}

/** A code is set beyond these shares of the reference at the pin. Common practice, no source. */
const ENDS = [0.04, 0.96] as const;
/** A display that is this far off is noticed, K. */
const NOTICED_K = 6;

/** Complaint, codes and symptoms, as the machine would have set them in the state in which it is wrong. */
function complain(
  entry: CatalogueCircuit,
  machine: TrueMachine,
  wanted: Wanted,
  told: Told,
  replaced: boolean,
  uniform: Uniform,
): Job['complaint'] {
  const past = told === 'past';
  const state: MachineState = wanted.onlyIn ?? 'steady';
  // Of a machine that is sound today: what it did yesterday, with a fault that has gone again.
  const gone = past ? drawFaults(machine, { ...wanted, count: 1, faults: HARNESS }, uniform) : machine.faults;
  const seen = new SolvedCircuit().set(circuitIn({ ...machine, faults: gone }, state));
  const off = seen.displayedC('sensor') - seen.state.temperatureC;
  const looks: Looks = off < -NOTICED_K ? 'cold' : off > NOTICED_K ? 'hot' : 'plausible';
  const share = seen.pinVolts('sensor') / seen.state.nominalReferenceV;
  const codeState = past ? 'past' : wanted.onlyIn ? 'sporadic' : 'present';
  const codes = [...signalCode(entry, share, looks, codeState, uniform), ...referenceCode(entry, machine, uniform)];
  const reads = wanted.onlyIn ? 'either' : looks;
  const fitting = DRAWN_SYMPTOMS.filter((s) => s.field === entry.field && s.reads === reads);
  const symptoms = fitting.length > 0 && happens(0.7, uniform) ? [pick(fitting, uniform).id] : [];
  return {
    text: complaintOf(looks, told, replaced, uniform),
    symptoms: past ? [] : symptoms,
    codes,
    replaced: replaced ? ['sensor'] : [],
    causes: {},
  };
}

type Codes = Job['complaint']['codes'];

/** The code that the module sets for its signal, a share of the reference at the pin; now and then it sets none. */
function signalCode(
  entry: CatalogueCircuit,
  share: number,
  looks: Looks,
  state: Codes[number]['state'],
  uniform: Uniform,
): Codes {
  const end = share < ENDS[0] ? 'low' : share > ENDS[1] ? 'high' : null;
  const says = end ?? (looks !== 'plausible' && happens(0.4, uniform) ? 'range' : null);
  const code = says && happens(0.9, uniform) ? codeOf(entry, says) : null;
  return code ? [{ id: 'code-1', ...code, state }] : [];
}

/** The code of a neighbour, where the reference that both have is at fault. */
function referenceCode(entry: CatalogueCircuit, { faults }: TrueMachine, uniform: Uniform): Codes {
  if (!faults.some((f) => REFERENCE.includes(f.fault.id)) || !happens(0.5, uniform)) return [];
  const engine = entry.field === 'engine';
  const own = { what: 'supply of the sensors, out of range', says: 'other' as const };
  const code = CODE_OF_NEIGHBOUR[engine ? 'engine' : 'other'];
  return [{ id: 'code-2', code, state: 'present', ...(!engine && { own }) }];
}

/** How often something of this kind is seen on any machine, and at most. */
const [SEEN_ANYHOW, SEEN_AT_MOST] = [0.07, 0.75];

/** What plug and loom look like: each finding as often as its likelihood ratio says; it may mislead, as in life. */
function looksOf({ faults }: TrueMachine, { difficulty }: CaseKey, uniform: Uniform): string[] {
  const mislead = difficulty === 3 ? 2 : 1;
  return DRAWN_FINDINGS.filter(({ id, kind }) => kind === 'look' || id === 'crash-damage').flatMap(({ id, ratios }) => {
    const ratio = Math.max(1, ...faults.map((f) => ratios[f.fault.id] ?? 1));
    const chance = Math.min(SEEN_AT_MOST, SEEN_ANYHOW * ratio * (ratio > 1 ? 1 : mislead));
    return happens(chance, uniform) ? [id] : [];
  });
}

function shuffled<T>(list: readonly T[], uniform: Uniform): T[] {
  const rest = [...list];
  return list.map(
    () =>
      rest.splice(
        drawIndex(
          rest.map(() => 1),
          uniform,
        ),
        1,
      )[0],
  );
}
