import { chooseFit } from '@mellow-probe/core/circuit/curves/chooseFit';
import { readPoints } from '@mellow-probe/core/intake/pointTable/readPoints';
import { FIT_FORMS } from '@mellow-probe/core/circuit/curves/fitCurve';
import { FORM_NAMES, missText } from '@mellow-probe/core/wording/fitText';
import { unitOf } from '@mellow-probe/core/intake/pointTable/cellFigure';
import { COLUMN_ROLES } from '@mellow-probe/core/intake/pointTable/headings';
import type { ColumnChoices } from '@mellow-probe/core/intake/pointTable/columns';
import { askedText, middlesText } from '@mellow-probe/core/wording/tableText';
import { pointFaultText } from '@mellow-probe/core/wording/pointText';
import { type Command, parse, readText, toJson, UsageError, WorldError } from '../command.ts';

const ANSWERS = `${COLUMN_ROLES.join(', ')}; C, F, K, Ω, kΩ, MΩ; point, comma`;

/** What was said of the columns: `2=kΩ`, `1=temperature`, `2=comma`. */
function choicesOf(said: readonly string[]): ColumnChoices {
  const choices: Record<string, ColumnChoices[string]> = {};
  for (const text of said) {
    const [, place, answer] = /^(\d{1,2})=(.+)$/.exec(text) ?? [];
    const role = COLUMN_ROLES.find((r) => r === answer);
    const unit = unitOf(answer ?? '');
    const decimal = answer === 'comma' ? ',' : answer === 'point' ? '.' : undefined;
    if (place === undefined || !(role ?? unit ?? decimal) || Number(place) < 1)
      throw new UsageError(`--column takes N=…: ${ANSWERS}`);
    choices[Number(place) - 1] = {
      ...choices[Number(place) - 1],
      ...(role ? { role } : decimal ? { decimal } : unit && { unit: unit.unit }),
    };
  }
  return choices;
}

export const fitCommand: Command = {
  name: 'fit',
  usage: `fit POINTS.csv [--form ${FIT_FORMS.join('|')}] [--column N=temperature|min|kΩ|comma …] [--json]`,
  summary:
    'A curve from a table of temperature and resistance (the form that fits best), with what is left over at each point in K.',
  run(args) {
    const { values, positionals } = parse({
      args,
      options: {
        json: { type: 'boolean' },
        form: { type: 'string' },
        column: { type: 'string', multiple: true, default: [] },
      },
      allowPositionals: true,
    });
    if (positionals.length !== 1) throw new UsageError('fit takes one CSV file (or - for standard input)');
    const form = values.form === undefined ? undefined : FIT_FORMS.find((f) => f === values.form);
    if (values.form !== undefined && !form) throw new UsageError(`--form takes ${FIT_FORMS.join(', ')}`);
    const [file] = positionals;
    const { rows, faults, columns, asked, middles } = readPoints(readText(file), choicesOf(values.column));
    const questions = askedText(columns);
    if (asked)
      throw new WorldError(
        `${file}: ${questions.join(`\nmellow-probe: ${file}: `)}\nmellow-probe: say it with --column N=…: ${ANSWERS}`,
      );
    if (faults.length > 0)
      throw new WorldError(faults.map((f) => `${file}, line ${f.line}: ${pointFaultText(f)}`).join('\nmellow-probe: '));
    const taken = middlesText(middles);
    if (taken) process.stderr.write(`mellow-probe: ${file}: ${taken}\n`);
    const fit = chooseFit(rows, form);
    for (const m of fit.mistyped) {
      process.stderr.write(
        `mellow-probe: ${file}, line ${rows[m.row].line}: mistyped? ${rows[m.row].resistanceOhm} Ω, its neighbours say about ${Number(m.meantOhm.toPrecision(3))} Ω\n`,
      );
    }
    if (!fit.ok)
      throw new WorldError(
        `no curve: ${fit.reason.replaceAll('-', ' ')}${fit.row === null ? '' : ` at line ${rows[fit.row].line}`}`,
      );
    if (values.json)
      return toJson({
        form: fit.form,
        curve: fit.curve,
        residualsK: fit.residualsK,
        fittedSigmaK: fit.fittedSigmaK,
        worstK: fit.worstK,
        leftOutK: fit.leftOutK,
        tried: fit.tried,
        mistyped: fit.mistyped,
      });
    const lines = rows.map(
      (p, i) =>
        `${p.temperatureC.toFixed(2).padStart(9)} °C ${p.resistanceOhm.toPrecision(6).padStart(12)} Ω ${fit.residualsK[i].toFixed(4).padStart(9)} K${fit.fittedSigmaK[i] > 0 ? `, curve ± ${fit.fittedSigmaK[i].toFixed(3)} K` : ''}`,
    );
    const curve = fit.curve.kind === 'table' ? { kind: 'table', points: fit.curve.points.length } : fit.curve;
    return `${JSON.stringify(curve)}\n${lines.join('\n')}\n${FORM_NAMES[fit.form]}: misses ${missText(fit)}\n`;
  },
};
