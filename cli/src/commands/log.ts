import { readFileSync } from 'node:fs';
import { checkJob } from '@mellow-probe/core/check/job/checkJob';
import { openJob } from '@mellow-probe/core/check/job/openJob';
import { evidenceOf } from '@mellow-probe/core/check/job/logEvidence';
import { type LogChoices, logChoicesSchema } from '@mellow-probe/core/intake/logs/logColumns';
import { analyseLog } from '@mellow-probe/core/intake/logs/analyseLog';
import { parseLog } from '@mellow-probe/core/intake/logs/parseLog';
import { rangeOf } from '@mellow-probe/core/intake/logs/rangeOf';
import { guessedRoles, logSettingOf } from '@mellow-probe/core/intake/logs/settingOf';
import { strengthOf } from '@mellow-probe/core/intake/logs/strength';
import { findingText, STRENGTH_NAMES } from '@mellow-probe/core/wording/findingText';
import { evidenceText, logFaultText, logReadText } from '@mellow-probe/core/wording/logText';
import { type Command, parse, readText, toJson, UsageError, WorldError } from '../command.ts';

export const logCommand: Command = {
  name: 'log',
  usage: 'log FILE.csv [--job FILE.json] [--every SECONDS] [--columns JSON] [--json]',
  summary: 'What a log of values tells: drop-outs, steps, warm-up, wiggling, the divider’s curve.',
  run(args) {
    const { values, positionals } = parse({
      args,
      allowPositionals: true,
      options: {
        json: { type: 'boolean' },
        job: { type: 'string' },
        every: { type: 'string' },
        columns: { type: 'string' },
      },
    });
    if (positionals.length !== 1) throw new UsageError('log takes one file');
    const read = parseLog(readBytes(positionals[0]), choicesIn(values.columns), secondsIn(values.every));
    if (!read.ok) throw new WorldError(`${positionals[0]}: ${logFaultText(read)}`);
    const roles = guessedRoles(read.log.channels.map((c) => ({ ...c, range: rangeOf(c.values) })));
    const analysis = analyseLog(read.log, logSettingOf(roles, values.job ? circuitOf(values.job) : null));
    const told = analysis.findings.map((finding) => ({
      ...findingText(finding, read.log, 'C'),
      strength: strengthOf(finding),
      evidence: evidenceOf(finding, read.log, roles).map((e) => evidenceText(e, 'C')),
      finding,
    }));
    if (values.json) return toJson({ rows: read.rows, skipped: read.skipped, roles, findings: told });
    const lines = told.map(
      (t) =>
        `${t.tone === 'odd' ? '▲' : t.tone === 'good' ? '✓' : '·'} ${t.title}${t.strength && t.tone === 'odd' ? ` (${STRENGTH_NAMES[t.strength]})` : ''}\n    ${t.meaning}${
          t.evidence.length > 0 ? `\n    For a check: ${t.evidence.join(' · ')}` : ''
        }`,
    );
    return `${logReadText(read)}\n${lines.length > 0 ? lines.join('\n') : 'Nothing stands out.'}\n`;
  },
};

/** What the columns hold, by their number from 0, as JSON: `{"1":{"unit":"mV"}}`. */
function choicesIn(text: string | undefined): LogChoices {
  if (text === undefined) return {};
  try {
    return logChoicesSchema.parse(JSON.parse(text));
  } catch {
    throw new UsageError('--columns takes JSON, for example {"1":{"unit":"mV"}}');
  }
}

function secondsIn(text: string | undefined): number | null {
  if (text === undefined) return null;
  const seconds = Number(text);
  if (!(seconds > 0 && Number.isFinite(seconds)))
    throw new UsageError('--every takes seconds from row to row, above 0');
  return seconds;
}

/** UTF-8, or as older programs write. */
function readBytes(file: string): string {
  if (file === '-') return readText(file);
  readText(file);
  const bytes = readFileSync(file);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

function circuitOf(file: string): NonNullable<ReturnType<typeof checkJob>['problem']>['circuit'] | null {
  const opened = openJob(readText(file));
  if (!opened.ok) throw new WorldError(`${file}: it is no check`);
  return checkJob(opened.job).problem?.circuit ?? null;
}
