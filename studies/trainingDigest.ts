import { MEASUREMENTS } from '@mellow-probe/core/circuit/measurements/list';
import { showsOn } from '@mellow-probe/core/training/cases/caseMeter';
import { DIFFICULTIES } from '@mellow-probe/core/training/cases/caseNumber';
import { carefully } from '@mellow-probe/core/training/cases/play';
import { playBy } from '@mellow-probe/core/training/cases/policies';
import { debrief } from '@mellow-probe/core/training/cases/score';
import { rightSetUp } from '@mellow-probe/core/training/cases/setUp';
import { THEME_IDS } from '@mellow-probe/core/training/cases/themes';
import { trainingCase, type TrainingCase } from '@mellow-probe/core/training/cases/trainingCase';
import { FIELDS } from '@mellow-probe/core/base/units/vocabulary';

/** What a case shows and scores, as text, to be held against the same of another engine. */

/** Seeds of these cases. */
const FIRST = 3_000_000;

function caseOf(i: number): TrainingCase {
  const [theme, field] = [THEME_IDS[i % THEME_IDS.length], FIELDS[i % FIELDS.length]];
  return trainingCase({ theme, field, difficulty: DIFFICULTIES[Math.floor(i / 9) % 3], seed: FIRST + i });
}

/** Complaint, and every test of the list that asks for nothing, in each state. */
export function readingsOf(i: number): string {
  const made = caseOf(i);
  const { layout } = made.job.circuit;
  const shown = MEASUREMENTS.filter((m) => m.needs.length === 0 && m.layouts.includes(layout)).flatMap((m) =>
    (['steady', 'hot', 'wiggling'] as const).map(
      (state) => showsOn(made, m, {}, rightSetUp(m, carefully(made, state)), 0).text,
    ),
  );
  return `${made.number} ${made.job.complaint.text} ${made.looks.join()} ${shown.join('|')}`;
}

/** The score of a play by a school, to three figures. */
export function scoreOf(i: number): string {
  const made = caseOf(i);
  const { score } = debrief(made, playBy(made, 'supply-first').moves, playBy(made, 'ideal'));
  const figures = [score.minutes, score.total, score.ideal.total, score.regret.total, score.wonPerMinute];
  return `${figures.map((x) => x.toPrecision(3)).join(' ')} ${score.knownAt} ${score.school} ${score.right}`;
}
