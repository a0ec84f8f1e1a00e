import { readFileSync } from 'node:fs';
import { checkJob } from '@mellow-probe/core/check/job/checkJob';
import { openJob } from '@mellow-probe/core/check/job/openJob';
import { evidenceOf } from '@mellow-probe/core/check/job/logEvidence';
import type { ChannelRole } from '@mellow-probe/core/intake/logs/channelRoles';
import { analyseLog } from '@mellow-probe/core/intake/logs/analyseLog';
import { parseLog } from '@mellow-probe/core/intake/logs/parseLog';
import { guessedRole, logSettingOf } from '@mellow-probe/core/intake/logs/settingOf';
import { findingText } from '@mellow-probe/core/wording/findingText';
import { evidenceText, logFaultText, logReadText } from '@mellow-probe/core/wording/logText';
import { type Command, parse, readText, toJson, UsageError, WorldError } from '../command.ts';

export const logCommand: Command = {
  name: 'log',
  usage: 'log FILE.csv [--job FILE.json] [--json]',
  summary: 'What a log of values tells: drop-outs, steps, warm-up, wiggling, the divider’s curve.',
  run(args) {
    const { values, positionals } = parse({
      args,
      allowPositionals: true,
      options: { json: { type: 'boolean' }, job: { type: 'string' } },
    });
    if (positionals.length !== 1) throw new UsageError('log takes one file');
    const read = parseLog(readBytes(positionals[0]));
    if (!read.ok) throw new WorldError(`${positionals[0]}: ${logFaultText(read)}`);
    const taken = new Set<ChannelRole>();
    const roles = Object.fromEntries(
      read.log.channels.map((c) => {
        const role = guessedRole(c, (r) => !taken.has(r));
        taken.add(role);
        return [c.id, role];
      }),
    );
    const analysis = analyseLog(read.log, logSettingOf(roles, values.job ? circuitOf(values.job) : null));
    const told = analysis.findings.map((finding) => ({
      ...findingText(finding, read.log, 'C'),
      evidence: evidenceOf(finding, read.log, roles).map((e) => evidenceText(e, 'C')),
      finding,
    }));
    if (values.json) return toJson({ rows: read.rows, skipped: read.skipped, roles, findings: told });
    const lines = told.map(
      (t) =>
        `${t.tone === 'odd' ? '▲' : t.tone === 'good' ? '✓' : '·'} ${t.title}\n    ${t.meaning}${
          t.evidence.length > 0 ? `\n    For a check: ${t.evidence.join(' · ')}` : ''
        }`,
    );
    return `${logReadText(read)}\n${lines.length > 0 ? lines.join('\n') : 'Nothing stands out.'}\n`;
  },
};

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
