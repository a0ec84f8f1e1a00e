import {
  caseNumberOf,
  DIFFICULTIES,
  type Difficulty,
  readCaseNumber,
} from '@mellow-probe/core/training/cases/caseNumber';
import { playBy, type Played, POLICIES, policyName, wasRight } from '@mellow-probe/core/training/cases/policies';
import { debrief } from '@mellow-probe/core/training/cases/score';
import { THEME_IDS, type ThemeId } from '@mellow-probe/core/training/cases/themes';
import { trueStateOf } from '@mellow-probe/core/training/cases/trueState';
import { guiltyGroups, trainingCase, type TrainingCase } from '@mellow-probe/core/training/cases/trainingCase';
import { FIELDS, type MachineField } from '@mellow-probe/core/base/units/vocabulary';
import { caseNumberFaultText, cameOfText, moveText, truthText } from '@mellow-probe/core/wording/trainingText';
import { type Command, parse, toJson, UsageError, wholeNumber } from '../command.ts';

export const trainCommand: Command = {
  name: 'train',
  usage: 'train [--case NUMBER | --theme ID --field ID --difficulty N --seed N] [--policy ID] [--json]',
  summary: `A training case played by a policy (${POLICIES.join(', ')}), with its score against the ideal.`,
  run(args) {
    const text = { type: 'string' } as const;
    const options = { case: text, theme: text, field: text, difficulty: text, seed: text, policy: text } as const;
    const { values } = parse({ args, options: { ...options, json: { type: 'boolean' } } });
    const policy = values.policy ?? 'ideal';
    if (!POLICIES.includes(policy)) throw new UsageError(`no policy "${policy}"; there are ${POLICIES.join(', ')}`);
    const played = trainingCase(keyOf(values));
    const ideal = playBy(played, 'ideal');
    const own = policy === 'ideal' ? ideal : playBy(played, policy);
    const { score } = debrief(played, own.moves, ideal);
    if (values.json) {
      const { number, job } = played;
      const truth = { groups: guiltyGroups(played), faults: played.machine.faults.map((f) => f.fault.id) };
      return toJson({ number, machine: job.machine, complaint: job.complaint, truth, policy, moves: own.moves, score });
    }
    return lines(played, policy, own, score).join('\n') + '\n';
  },
};

function keyOf(values: Record<string, string | boolean | undefined>): Parameters<typeof trainingCase>[0] {
  if (typeof values.case === 'string') {
    const read = readCaseNumber(values.case);
    if (!read.ok) throw new UsageError(`--case ${values.case}: ${caseNumberFaultText(read.why)}`);
    return read.key;
  }
  const oneOf = <T extends string>(name: string, list: readonly T[], fallback: T): T => {
    const asked = values[name] ?? fallback;
    const found = list.find((id) => id === asked);
    if (!found) throw new UsageError(`--${name} takes one of ${list.join(', ')}`);
    return found;
  };
  const difficulty = wholeNumber(values.difficulty as string | undefined, 'difficulty', 1, 1, DIFFICULTIES.length);
  return {
    theme: oneOf<ThemeId>('theme', THEME_IDS, 'any'),
    field: oneOf<MachineField>('field', FIELDS, 'engine'),
    difficulty: difficulty as Difficulty,
    seed: wholeNumber(values.seed as string | undefined, 'seed', 1, 0, 1_000_000),
  };
}

function lines(
  played: TrainingCase,
  policy: string,
  own: Played,
  score: ReturnType<typeof debrief>['score'],
): string[] {
  const money = (value: number): string => value.toFixed(2);
  return [
    `Case ${caseNumberOf(played.key)}: ${played.job.machine}. ${played.job.complaint.text}`,
    ...own.state.events.map(
      (event) =>
        `  ${event.minutes.toFixed(0).padStart(3)} min  ${moveText(event)}${event.shown ? `: ${event.shown.text || 'nothing steady'}` : ''}${cameOfText(event) ? ` — ${cameOfText(event)}` : ''}`,
    ),
    `Truth: ${truthText(trueStateOf(played))}`,
    `${policyName(policy)}: ${wasRight(played, own) ? 'right first time' : 'not right first time'}; ${score.minutes.toFixed(0)} min, ${money(score.total)} in all; the ideal ${score.ideal.minutes.toFixed(0)} min, ${money(score.ideal.total)}; ${money(score.regret.total)} above it.`,
  ];
}
