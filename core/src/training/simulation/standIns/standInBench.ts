import { scpiFigure } from '../../../intake/instruments/benchMeter.ts';
import { lineSplitter } from '../../../intake/instruments/lineSplitter.ts';
import { hex } from '../../../intake/instruments/parameters.ts';
import { lineCheck } from '../../../intake/instruments/thermometerLine.ts';
import { framed, unframed } from '../../../intake/instruments/vehicleAdapter.ts';
import { normalQuantile } from '../../../base/numeric/normal.ts';
import { seededUniform, type Uniform } from '../../../base/numeric/random.ts';
import { actFromLine } from './actLine.ts';
import { machineCase, type SiteId } from '../machine/machineCase.ts';
import { MachineInTime } from '../machine/machineInTime.ts';
import { outTray, type StandIn } from './standIn.ts';

/** The instruments that stand around the simulated machine, and the machine's own leads and key as one more line. */
export const STAND_INS = ['meter', 'adapter', 'bus', 'thermometer', 'box', 'machine'] as const;
export type StandInId = (typeof STAND_INS)[number];

/** 1σ of the simulated meter, of reading and V or Ω; and how long it takes for a value, s. */
const METER = { relative: 0.0008, volts: 0.0006, ohms: 0.05, settleS: 0.08 };
const ADAPTER = { leastS: 0.02, spanS: 0.05 };
/** The module's value is made anew so often, s, and is a little behind. */
const MODULE_EVERY_S = 0.1;

/** One machine behind all instruments at once. Whoever hosts it (the server, the page, the terminal) tells it the time, s from its start. */
export interface StandInBench {
  readonly machine: MachineInTime;
  readonly devices: Readonly<Record<StandInId, StandIn>>;
}

/** Throws on a case that is not there. `site` is the sensor at which meter, thermometer and box stand. */
export function standInBench(caseId: string, seed: number, site: SiteId = 'coolant'): StandInBench {
  const machine = new MachineInTime(machineCase(caseId), seed);
  const uniform = seededUniform(seed * 31 + 5);
  const shown = moduleValues(machine, uniform);
  return {
    machine,
    devices: {
      meter: meterStandIn(machine, site, uniform),
      adapter: adapterStandIn(machine, shown, uniform),
      bus: printing(1, (timeS) => busLines(timeS, shown)),
      thermometer: printing(1, (_, count) => thermometerText(machine.besideC(site), count, uniform), machine),
      box: boxStandIn(machine, site),
      machine: machineStandIn(machine, site),
    },
  };
}

type Shown = (site: SiteId, nowS: number) => number | null;

/** What the module shows, made anew ten times a second, with the last bit of its converter uncertain. °C */
function moduleValues(machine: MachineInTime, uniform: Uniform): Shown {
  const last = new Map<SiteId, { atS: number; value: number | null }>();
  return (site, nowS) => {
    machine.advanceTo(nowS);
    const known = last.get(site);
    if (known && nowS - known.atS < MODULE_EVERY_S) return known.value;
    const ideal = machine.displayedC(site);
    const value = ideal === null ? null : ideal + 0.25 * normalQuantile(uniform());
    last.set(site, { atS: nowS, value });
    return value;
  };
}

function meterStandIn(machine: MachineInTime, site: SiteId, uniform: Uniform): StandIn {
  const lines = lineSplitter();
  const tray = outTray();
  let measures: 'VOLT' | 'RES' = 'VOLT';
  const figure = (): string => {
    const ideal = measures === 'VOLT' ? machine.volts(site) : machine.ohms(site);
    const sigma = METER.relative * Math.abs(ideal) + (measures === 'VOLT' ? METER.volts : METER.ohms);
    return scpiFigure(Number.isFinite(ideal) ? ideal + sigma * normalQuantile(uniform()) : ideal);
  };
  const setting = (): string => (measures === 'VOLT' ? '"VOLT +1.0E+01,+1.0E-05"' : '"RES +1.0E+05,+1.0E-01"');
  const one = (command: string): string | null => {
    const c = command.trim().replace(/^:/, '').toUpperCase();
    const asked = /^(CONF|MEAS):(VOLT:DC|RES)(\?)?$/.exec(c);
    if (asked) {
      measures = asked[2] === 'RES' ? 'RES' : 'VOLT';
      return asked[1] === 'MEAS' ? figure() : null;
    }
    if (c === '*IDN?') return 'MELLOW PROBE,STAND-IN METER,0,1.0';
    if (c === 'READ?') return figure();
    if (c === 'CONF?') return setting();
    return null;
  };
  return {
    receive(text, nowS) {
      for (const line of lines.push(text, nowS)) {
        machine.advanceTo(nowS);
        const answers = (line ?? '').split(';').flatMap((c) => one(c) ?? []);
        if (answers.length > 0) tray.put(`${answers.join(';')}\n`, nowS + METER.settleS);
      }
    },
    take: (nowS) => tray.take(nowS),
  };
}

const PIDS: Readonly<Record<string, SiteId | 'ambient'>> = {
  '05': 'coolant',
  '0F': 'intake',
  '5C': 'oil',
  '46': 'ambient',
};

function adapterStandIn(machine: MachineInTime, shown: Shown, uniform: Uniform): StandIn {
  const lines = lineSplitter();
  const tray = outTray();
  const answer = (pid: number, nowS: number): number[] | null => {
    machine.advanceTo(nowS);
    if (machine.state.key === 'off') return null;
    if (pid % 0x20 === 0 && pid <= 0x60) return maskOf(pid);
    const site = PIDS[hex(pid)];
    const value = site === undefined ? null : site === 'ambient' ? machine.setup.ambientC : shown(site, nowS);
    return value === null ? null : [Math.min(255, Math.max(0, Math.round(value + 40)))];
  };
  return {
    receive(text, nowS) {
      for (const line of lines.push(text, nowS)) {
        const asked = line === null ? null : unframed(line, 'Q');
        if (!asked || asked.bytes[0] !== 0x01 || asked.bytes.length !== 2) continue;
        const data = answer(asked.bytes[1], nowS);
        const said = data ? framed('A', asked.number, [0x41, asked.bytes[1], ...data]) : framed('N', asked.number, []);
        tray.put(`${said}\n`, nowS + ADAPTER.leastS + ADAPTER.spanS * uniform());
      }
    },
    take: (nowS) => tray.take(nowS),
  };
}

function maskOf(asked: number): number[] {
  const mask = [0, 0, 0, 0];
  const set = (n: number): void => void (mask[n >> 3] |= 1 << (7 - (n & 7)));
  for (const pid of Object.keys(PIDS)) {
    const n = parseInt(pid, 16) - asked - 1;
    if (n >= 0 && n < 32) set(n);
  }
  // Is there more beyond?
  if (Object.keys(PIDS).some((pid) => parseInt(pid, 16) > asked + 0x20)) set(31);
  return mask;
}

/** Two frames a second of a heavy-duty bus, as a text log prints them. */
function busLines(timeS: number, shown: Shown): string {
  const [coolant, oil, intake] = [shown('coolant', timeS), shown('oil', timeS), shown('intake', timeS)];
  if (coolant === null || oil === null || intake === null) return '';
  const byte = (c: number): string => hex(Math.min(250, Math.max(0, Math.round(c + 40))));
  const word = Math.round((oil + 273) * 32);
  const at = timeS.toFixed(3);
  return (
    `${at} 18FEEE00 8 ${byte(coolant)}FF${hex(word & 0xff)}${hex(word >> 8)}FFFFFFFF\n` +
    `${at} 18FEF600 8 FFFF${byte(intake)}FFFFFFFFFF\n`
  );
}

function thermometerText(c: number, count: number, uniform: Uniform): string {
  const line = `${count},${(c + 0.05 * normalQuantile(uniform())).toFixed(1)},C`;
  return `${line},${lineCheck(line)}\n`;
}

/** An instrument that prints by itself, once every so many seconds. */
function printing(everyS: number, text: (timeS: number, count: number) => string, machine?: MachineInTime): StandIn {
  let count = 0;
  return {
    receive: () => undefined,
    take(nowS) {
      machine?.advanceTo(nowS);
      let out = '';
      // One that was not listened to for long does not catch up: its lines were printed to nobody.
      if (nowS > (count + 5) * everyS) count = Math.floor(nowS / everyS) - 1;
      while ((count + 1) * everyS <= nowS) {
        count += 1;
        out += text(count * everyS, count);
      }
      return out;
    },
  };
}

function boxStandIn(machine: MachineInTime, site: SiteId): StandIn {
  const lines = lineSplitter();
  const tray = outTray();
  return {
    receive(text, nowS) {
      for (const line of lines.push(text, nowS)) {
        const asked = /^R (OPEN|\d{1,7})$/.exec(line ?? '');
        if (!asked) continue;
        machine.advanceTo(nowS);
        machine.do({ act: 'plug', site, to: asked[1] === 'OPEN' ? 'open' : Number(asked[1]) });
        tray.put(`= ${asked[1]}\n`, nowS + 0.05);
      }
    },
    take: (nowS) => tray.take(nowS),
  };
}

/** The machine's own line: acts in, and each second the state of key, plug, leads and loom out, for who works it to see. */
function machineStandIn(machine: MachineInTime, site: SiteId): StandIn {
  const lines = lineSplitter();
  const tray = outTray();
  return {
    receive(text, nowS) {
      for (const line of lines.push(text, nowS)) {
        machine.advanceTo(nowS);
        const act = actFromLine(line ?? '', site, machine.about.places);
        if (act) machine.do(act);
        tray.put(act ? `DONE ${line}\n` : `NOT UNDERSTOOD ${(line ?? '').slice(0, 40)}\n`, nowS);
      }
    },
    take: (nowS) => tray.take(nowS),
  };
}
