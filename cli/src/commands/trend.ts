import { openJob } from '@mellow-probe/core/check/job/openJob';
import { placesOf, trendOf } from '@mellow-probe/core/history/trend/placeTrend';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { trendPointText, trendText } from '@mellow-probe/core/wording/trendText';
import { type Command, parse, readText, toJson, UsageError, WorldError } from '../command.ts';

export const trendCommand: Command = {
  name: 'trend',
  usage: 'trend FILE.json … [--json]',
  summary:
    'Checks of the same machine and circuit put together: how far its sensor lay off, over the years, and whether it drifts.',
  run(args) {
    const { values, positionals } = parse({ args, allowPositionals: true, options: { json: { type: 'boolean' } } });
    if (positionals.length === 0) throw new UsageError('trend takes one file or more');
    const jobs = positionals.map((file) => {
      const opened = openJob(readText(file));
      if (!opened.ok) throw new WorldError(`${file}: ${openFaultText(opened)}`);
      return opened.job;
    });
    const told = placesOf(jobs).map((place) => ({ place, trend: trendOf(place) }));
    if (values.json)
      return toJson(told.map(({ place: { machine, circuit }, trend }) => ({ machine, circuit, ...trend })));
    const lines = told.flatMap(({ place, trend }) => [
      `${place.machine} · ${place.circuit} (${place.jobs.length} ${place.jobs.length === 1 ? 'check' : 'checks'})`,
      ...trend.points.map(
        (p) =>
          `    ${p.at.slice(0, 10)}  ${trendPointText(p, 'C')}${p.sensor < trend.changes.length ? ', former sensor' : ''}`,
      ),
      `  ${trendText(trend, 'C')}`,
    ]);
    return lines.length > 0 ? `${lines.join('\n')}\n` : 'None of these names its machine.\n';
  },
};
