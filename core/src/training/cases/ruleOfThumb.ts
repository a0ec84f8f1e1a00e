import { carefully } from './play.ts';
import type { CaseKey } from './caseNumber.ts';
import { showsOn } from './caseMeter.ts';
import { HAND_RULES } from './handRules.ts';
import { rightSetUp } from './setUp.ts';
import { guiltyGroups, trainingCase } from './trainingCase.ts';

/** Cases a rule is tried on. */
const TRIED = 80;
/** Seeds of those cases: none of the course, of exams or of what is proposed. */
const FIRST_SEED = 4_000_000;

/** The rule of thumb behind a way of working, where it is one. */
const RULE_OF: Readonly<Record<string, string>> = {
  'supply-first': 'five-volts-ground-ohms',
  'bypass-first': 'bypass',
  compare: 'compare',
  'swap-first': 'swap',
};

/** How often the rule of thumb behind a school is right in cases like this one (same theme, field and difficulty); null where it has none. */
export function ruleOfThumb(school: string | null, key: CaseKey): { name: string; right: number; of: number } | null {
  const rule = HAND_RULES.find((r) => r.id === RULE_OF[school ?? '']);
  if (!rule) return null;
  let right = 0;
  for (let i = 0; i < TRIED; i++) {
    const made = trainingCase({ ...key, seed: FIRST_SEED + i });
    const tests = rule.tests(made.machine.problem);
    const readings = tests.map(({ measurement, conditions }) => {
      const setUp = rightSetUp(measurement, carefully(made));
      return showsOn(made, measurement, conditions, setUp, 0).value ?? NaN;
    });
    right += Number(guiltyGroups(made).includes(rule.judge(readings, made.machine.problem)));
  }
  return { name: rule.name, right, of: TRIED };
}
