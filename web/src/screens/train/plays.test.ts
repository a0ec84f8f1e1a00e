// @vitest-environment happy-dom
import { FIELDS } from '@mellow-probe/core/base/units/vocabulary';
import type { Move } from '@mellow-probe/core/training/cases/play';
import { replay } from '@mellow-probe/core/training/cases/play';
import { playBy } from '@mellow-probe/core/training/cases/policies';
import { THEME_IDS } from '@mellow-probe/core/training/cases/themes';
import { trainingCase, type TrainingCase } from '@mellow-probe/core/training/cases/trainingCase';
import { probeEntryWords as say } from '@mellow-probe/core/wording/screens/trainPlay';
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { emptyBrowser, until } from '../../../test/browserWindow.ts';
import type { EngineLine } from '../../workers/engineClient.ts';

/** The worker's own work, in this thread; what the judge says is a test of the core. */
vi.mock('../../workers/trainingClient.ts', async () => {
  const { trainingWork } = await import('../../workers/training.ts');
  const ask = (work: (remote: unknown) => Promise<unknown>): Promise<unknown> => work(trainingWork);
  return { trainingLines: () => ({ scene: { ask }, judge: { ask: () => new Promise(() => undefined) } }) };
});
const { openPractice, PRACTICE } = await import('../../session/practice.ts');
const { useTraining } = await import('../../data/stores/training.ts');
const { default: ProbeEntry } = await import('./ProbeEntry.vue');
const { default: EntryField } = await import('../../components/EntryField.vue');
const ENGINE = {} as EngineLine;

beforeEach(async () => {
  await emptyBrowser();
  setActivePinia(createPinia());
});

const PLUG = { in: say.seated, out: say.pulled, bridged: say.bridged, resistor: say.resistorInIt } as const;
const WHILE = { steady: say.asFound, hot: say.hot, wiggling: say.harnessMoved } as const;
const LABELS = { substituteOhm: say.withResistor, bathC: say.waterAt, airC: say.airAt } as const;

/** Sets one row of the probe, where it is there. */
async function set(probe: VueWrapper, row: string, to: string): Promise<void> {
  const group = probe.find(`[role="radiogroup"][aria-label="${row}"]`);
  if (!group.exists()) return;
  const choice = group.findAll('label').find((label) => label.text() === to);
  if (!choice) throw new Error(`${row}: no ${to}`);
  await choice.find('input').setValue(true);
}

async function probeAs(probe: VueWrapper, move: Extract<Move, { kind: 'measure' }>): Promise<void> {
  const { setUp, conditions } = move;
  await set(probe, say.key, setUp.key ? say.on : say.off);
  await set(probe, say.atPlug, setUp.at);
  await set(probe, say.thePlug, PLUG[setUp.plug]);
  await set(probe, say.acrossCavities, setUp.across.replace('-', ' and '));
  await set(probe, say.while, WHILE[setUp.state]);
  for (const name of ['substituteOhm', 'bathC', 'airC'] as const) {
    if (conditions[name] === undefined) continue;
    const field = probe.findAllComponents(EntryField).find((f) => f.props('label') === LABELS[name])!;
    const input = field.find('input');
    input.element.value = String(conditions[name]);
    await input.trigger('input');
  }
  await probe.find('button.go').trigger('click');
  await flushPromises();
}

/** Plays moves on the mounted probe: each figure is the one the same moves give by themselves. Returns the minutes spent. */
async function play(ofCase: TrainingCase, moves: readonly Move[]): Promise<number> {
  const id = await useTraining().begin(ofCase.number, 'hidden');
  const opened = await openPractice(id, ENGINE);
  if (opened.kind !== 'open') throw new Error(opened.kind);
  const { practice } = opened;
  practice.session.work.goStation('live');
  const probe = mount(ProbeEntry, { global: { provide: { [PRACTICE as symbol]: practice } } });
  const { events } = replay(ofCase, moves);
  for (const [i, move] of moves.entries()) {
    if (move.kind !== 'measure') await practice.make(move);
    else {
      practice.session.work.goTest(move.measurement);
      await flushPromises();
      await probeAs(probe, move);
      const made = practice.record.value.moves[i];
      // A row that is not shown keeps what stood in it.
      const { key, at, plug, state } = move.setUp;
      expect(made, move.measurement).toMatchObject({
        measurement: move.measurement,
        setUp: { key, plug, state, ...(ofCase.other && { at }) },
      });
      await until(() => practice.standing.value.state.events.length > i, 'the machine has answered');
      await flushPromises();
      const shown = events[i].shown!.text;
      expect(probe.find('[data-test="meter"]').text(), move.measurement).toContain(shown === '' ? '– – –' : shown);
    }
    await until(() => practice.standing.value.state.events.length > i, 'the machine has answered');
  }
  const { minutes, ended } = practice.standing.value.state;
  expect(ended).not.toBeNull();
  probe.unmount();
  await practice.close();
  return minutes;
}

describe('a case played on the mounted probe shows the figures that the same moves give outside it', () => {
  test.each(THEME_IDS.map((theme, i) => [theme, i] as const))('theme %s, by the ideal order', async (theme, i) => {
    const ofCase = trainingCase({ theme, field: FIELDS[i % 3], difficulty: 1, seed: 300 + i });
    const { moves, state } = playBy(ofCase, 'ideal');
    expect(await play(ofCase, moves)).toBe(state.minutes);
  });
  test.each(['scan-first', 'supply-first', 'bypass-first', 'sensor-first', 'compare'].map((s, i) => [s, i] as const))(
    'in the order of %s, at the cost the terminal says',
    async (school, i) => {
      const ofCase = trainingCase({ theme: THEME_IDS[(i + 1) % 4], field: 'climate', difficulty: 1, seed: 500 + i });
      const { moves, state } = playBy(ofCase, school);
      expect(await play(ofCase, moves)).toBe(state.minutes);
    },
  );
});
