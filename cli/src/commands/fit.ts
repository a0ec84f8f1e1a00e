import { fitCurve } from '@mellow-probe/core/curves/fitCurve';
import { readPointsCsv } from '@mellow-probe/core/curves/readPointsCsv';
import { type Command, parse, readText, toJson, UsageError, WorldError } from '../command.ts';

const FORMS = ['beta', 'steinhart-hart', 'table'] as const;

export const fitCommand: Command = {
  name: 'fit',
  usage: 'fit POINTS.csv [--form beta|steinhart-hart|table] [--json]',
  summary: 'A curve from a CSV of temperature and resistance, with what is left over at each point in K.',
  run(args) {
    const { values, positionals } = parse({ args, options: { json: { type: 'boolean' }, form: { type: 'string' } }, allowPositionals: true });
    if (positionals.length !== 1) throw new UsageError('fit takes one CSV file (or - for standard input)');
    const form = FORMS.find((f) => f === (values.form ?? 'steinhart-hart'));
    if (!form) throw new UsageError(`--form takes ${FORMS.join(', ')}`);
    const read = readPointsCsv(readText(positionals[0]));
    if (!read.ok) throw new WorldError(`${positionals[0]}, line ${read.line}: ${read.reason.replaceAll('-', ' ')}${read.text ? ` (${read.text})` : ''}`);
    const fit = fitCurve(read.points, form);
    if (!fit.ok) throw new WorldError(`no ${form} curve: ${fit.reason.replaceAll('-', ' ')}${fit.row === undefined ? '' : ` at point ${fit.row + 1}`}`);
    if (values.json) return toJson({ curve: fit.curve, residualsK: fit.residualsK, worstK: fit.worstK });
    const rows = read.points.map(
      (p, i) => `${p.temperatureC.toFixed(2).padStart(9)} °C ${p.resistanceOhm.toPrecision(6).padStart(12)} Ω ${fit.residualsK[i].toFixed(4).padStart(9)} K`,
    );
    return `${JSON.stringify(fit.curve.kind === 'table' ? { kind: 'table', points: fit.curve.points.length } : fit.curve)}\n${rows.join('\n')}\nworst ${fit.worstK.toFixed(4)} K\n`;
  },
};
