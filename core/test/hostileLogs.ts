import { pick, seededUniform, type Uniform } from '../src/base/numeric/random.ts';
import { evidenceOf } from '../src/check/job/logEvidence.ts';
import { analyseLog } from '../src/intake/logs/analyseLog.ts';
import { logToCsv } from '../src/intake/logs/logCsv.ts';
import { parseLog } from '../src/intake/logs/parseLog.ts';
import { rangeOf } from '../src/intake/logs/rangeOf.ts';
import { guessedRoles, logSettingOf } from '../src/intake/logs/settingOf.ts';
import { loggerText } from '../src/training/simulation/loggerText.ts';
import { LOG_FAULTS, machineLog } from '../src/training/simulation/machineLog.ts';
import { findingText } from '../src/wording/findingText.ts';

/** Cells that no logger should write, and some do. */
const ODD_CELLS = [
  ...['NaN', 'nan', 'Infinity', '-inf', '#DIV/0!', '#N/A', 'null', '1e308', '-1e308', '1e999', '9.9E37', '-0', ''],
  ...['0x1F', '12:61:99', '31.02.2026', '--', '…', '"', '="1+1"', '\u0000', '٣', '1.2.3', '1,2,3', '1e', '+', '⚠'],
];
/** Lines kept of a log, so that many can be tried. */
const LINES = 220;

const written = new Map<number, readonly string[]>();
/** The lines of a log as its logger wrote it; each is made once. */
function soundLines(n: number): readonly string[] {
  const found = written.get(n);
  if (found) return found;
  const kind = n % 2 === 0 ? null : LOG_FAULTS[n % LOG_FAULTS.length];
  const lines = loggerText(machineLog(n % 3 === 0 ? 'tune' : 'test', n, kind), 'test', n).text.split('\n');
  written.set(n, lines);
  return lines;
}

/** A log by its number, as a logger writes it, damaged in up to six places: cells, lines, headings, separators, the clock. */
export function hostileLog(seed: number): string {
  const uniform = seededUniform(seed * 7919 + 3);
  const all = soundLines(seed % 240);
  // A stretch out of the middle, under its own headings: a damaged log seldom begins at its beginning.
  const from = 3 + Math.floor(uniform() * Math.max(1, all.length - LINES));
  const lines = [...all.slice(0, 3), ...all.slice(from, from + LINES)];
  for (let n = 1 + Math.floor(6 * uniform()); n > 0; n--) damage(lines, uniform);
  const whole = lines.join('\n');
  return uniform() < 0.1 ? whole.slice(0, Math.floor(whole.length * uniform())) : whole;
}

function damage(lines: string[], uniform: Uniform): void {
  const at = Math.floor(lines.length * uniform());
  const other = Math.floor(lines.length * uniform());
  const cell = (change: (text: string) => string): void => {
    const cells = lines[at].split(/([,;\t|])/);
    const k = 2 * Math.floor((uniform() * (cells.length + 1)) / 2);
    if (cells[k] !== undefined) cells[k] = change(cells[k]);
    lines[at] = cells.join('');
  };
  pick(
    [
      () => cell(() => pick(ODD_CELLS, uniform)),
      () => cell((text) => text + text),
      () => cell((text) => text.replace(/\d/, '')),
      () => cell((text) => `${text}${'9'.repeat(Math.floor(400 * uniform()))}`),
      () => void lines.splice(at, 1 + Math.floor(8 * uniform())),
      () => void lines.splice(at, 0, ...lines.slice(other, other + 1 + Math.floor(40 * uniform()))),
      () => void ([lines[at], lines[other]] = [lines[other], lines[at]]),
      () => void (lines[at] = lines[at].replace(/[,;\t]/g, pick([';', ',', '\t', ' ', ''], uniform))),
      () => void (lines[0] = pick(['', '﻿', 'Time;Time;Time', 'V,mV,°C', ',,,,', '"'], uniform)),
      () => void lines.splice(1, lines.length, ...lines.slice(1).reverse()),
      () => void (lines[at] = lines[at].slice(0, Math.floor(lines[at].length * uniform()))),
      () => void lines.fill(lines[at], at, Math.min(lines.length, at + 60)),
    ],
    uniform,
  )();
}

const ODD_WORDS = /NaN|Infinity|undefined|\bnull\b|\[object/;

/** Everything that is done with a log: read, analysed, told, put on a check, written again. Returns what is wrong with any of it; null where nothing is. */
export function wrongWith(text: string): string | null {
  const read = parseLog(text);
  if (!read.ok) return read.reason.length > 0 ? null : 'refused without a reason';
  const { log } = read;
  if (log.timeS.some((t, i) => !Number.isFinite(t) || (i > 0 && t < log.timeS[i - 1]))) return 'a time that is none';
  if (log.channels.some((c) => c.values.some((v) => v === -Infinity))) return 'a value that is none';
  const roles = guessedRoles(log.channels.map((c) => ({ ...c, range: rangeOf(c.values) })));
  const { findings } = analyseLog(log, logSettingOf(roles, null));
  for (const f of findings) {
    const { title, meaning } = findingText(f, log, 'C');
    if (ODD_WORDS.test(`${title} ${meaning}`)) return `in words: ${title} ${meaning}`;
    for (const e of evidenceOf(f, log, roles))
      if (e.kind === 'reading' && e.value !== 'OL' && !Number.isFinite(e.value)) return `on a check: ${e.value}`;
  }
  return /NaN|Infinity/.test(logToCsv(log)) ? 'in a file' : null;
}
