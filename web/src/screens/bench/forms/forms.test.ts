// @vitest-environment happy-dom
import { PROOF_TESTS, proofStepsFor } from '@mellow-probe/core/check/proof/proofPlan';
import { MOST } from '@mellow-probe/core/check/job/most';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { FINDINGS } from '@mellow-probe/core/catalogue/parts/findings';
import { OTHER_CAUSES } from '@mellow-probe/core/catalogue/parts/otherCauses';
import { SYMPTOMS } from '@mellow-probe/core/catalogue/parts/symptoms';
import { MOST_CONNECTORS } from '@mellow-probe/core/circuit/network/chain';
import { newHarness, newStop } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { HINTS } from '@mellow-probe/core/circuit/harness/hints';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import {
  closeJobWords as closing,
  codeListWords as codes,
  compareFormWords as compare,
  complaintFormWords as complaint,
  decisionFormWords as decide,
  followUpsWords as later,
  knownPlacesWords as known,
  proofFormWords as proof,
  readingsFormWords as list,
  repairFormWords as repair,
  rightSensorFormWords as which,
  settlingSheetWords as settling,
  worthFormWords as worth,
} from '@mellow-probe/core/wording/screens/benchForms';
import {
  harnessRowsWords as rowsWords,
  stopSheetWords as stopWords,
} from '@mellow-probe/core/wording/screens/benchHarness';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { stopName } from '@mellow-probe/core/wording/placeText';
import { flushPromises, type DOMWrapper, type VueWrapper } from '@vue/test-utils';
import { describe, expect, test } from 'vitest';
import type { Component } from 'vue';
import {
  advised,
  boxOf,
  broken,
  DEMO,
  isOff,
  jobDoor,
  judged,
  listOf,
  nameOf,
  NOW,
  onBench,
  ownCheck,
  pickFrom,
  plain,
  press,
  pressNamed,
  reading,
  rowsOf,
  session,
  show,
  thePage,
  tick,
  type,
  typedFields,
  untilShown,
} from '../../../../test/mountedScreens.ts';
import { useJobs } from '../../../data/stores/jobs/jobs.ts';
import { useOwnCodes } from '../../../session/ownCodes.ts';
import CompareForm from './CompareForm.vue';
import ComplaintForm from './ComplaintForm.vue';
import DecisionForm from './DecisionForm.vue';
import HarnessRows from './HarnessRows.vue';
import LookForm from './LookForm.vue';
import ProofForm from './ProofForm.vue';
import ReadingsForm from './ReadingsForm.vue';
import RepairForm from './RepairForm.vue';
import RightSensorForm from './RightSensorForm.vue';
import StopSheet from './StopSheet.vue';
import WhereForm from './WhereForm.vue';
import WorthForm from './WorthForm.vue';

/** A form of a check of its own. */
async function form(
  component: Component,
  change?: (job: Job) => void,
  { props = {}, ...check }: { props?: object; judging?: boolean; circuit?: string } = {},
) {
  const job = await ownCheck(change, check);
  return { job, sheet: await show(component, { props }) };
}
const texts = (found: DOMWrapper<Element>[]): string[] => found.map((f) => f.text());

describe('verify the repair', () => {
  test('a figure says whether it is healthy now', async () => {
    const { sheet, job } = await form(ProofForm, (j) => (j.proof.temperatureC = { text: '20', value: 20 }), {
      judging: true,
    });
    const range = session().verdict.result!.proofHealthy!['sensor-ohms'];
    const standing = (): string =>
      sheet
        .findAll('.values > div')
        .find((d) => d.text().includes(measurementById('sensor-ohms').name))!
        .html();
    // Before a figure is there, the field names the healthy range, too.
    const typeOhms = async (text: string): Promise<void> => {
      const { field } = typedFields(sheet).find((f) => f.name.includes(measurementById('sensor-ohms').name))!;
      await field.setValue(text);
      await field.trigger('blur');
      await flushPromises();
    };
    const before = standing();
    const healthy = (range.low + range.high) / 2;
    for (const text of [String(Math.round(healthy)), '99k', 'OL']) {
      await typeOhms(text);
      expect(job.proof.readings.map((r) => [r.measurement, r.value])).toEqual([
        ['sensor-ohms', text === 'OL' ? 'OL' : text === '99k' ? 99_000 : Math.round(healthy)],
      ]);
      expect(standing().includes('◆'), text).toBe(text !== String(Math.round(healthy)));
    }
    expect(before).not.toContain('◆');
    // The strip of a figure has as much room on both sides as the healthy range is wide.
    const width = range.high - range.low;
    expect(sheet.getComponent({ name: 'IntervalStrip' }).props()).toMatchObject({
      interval: range,
      value: Infinity,
      all: [{ low: range.low - width, high: range.high + width }],
    });
    await typeOhms(' ');
    expect(job.proof.readings).toEqual([]);
  });
  test.each(['engine-coolant-2k8', CATALOGUE_CIRCUITS.find((c) => c.layout === 'one-wire')!.id])(
    'a figure of every test that %s has, and of no other',
    async (circuit) => {
      const { sheet, job } = await form(ProofForm, undefined, { circuit });
      const asked = PROOF_TESTS.filter((id) => measurementById(id).layouts.includes(job.circuit.layout));
      const fields = sheet.findAll('.values input').map((f) =>
        nameOf(f)
          .replace(/^[○●◆✕]|=.*$/g, '')
          .trim(),
      );
      expect(fields).toEqual([proof.thermometerNow, ...asked.map((id) => measurementById(id).name)]);
    },
  );
  test('a step passes or fails with its note, and is undone; all that is open passes at once', async () => {
    const { sheet, job } = await form(ProofForm);
    const [first, second] = proofStepsFor(job);
    await pickFrom(sheet, first.name, 'failed');
    await type(sheet, proof.noteOn(first.name), 'still lit');
    expect(job.proof.steps[first.id]).toMatchObject({ state: 'failed', note: 'still lit' });
    await pickFrom(sheet, first.name, 'passed');
    expect(job.proof.steps[first.id]).toMatchObject({ state: 'passed', note: 'still lit' });
    await pickFrom(sheet, second.name, 'not-possible');
    await pickFrom(sheet, first.name, '');
    expect(Object.keys(job.proof.steps)).toEqual([second.id]);
    await press(sheet, proof.allPassed);
    expect(proofStepsFor(job).map((s) => job.proof.steps[s.id]?.state)).toEqual(
      proofStepsFor(job).map((s) => (s.id === second.id ? 'not-possible' : 'passed')),
    );
    expect(sheet.find('[data-test="all-passed"]').exists()).toBe(false);
  });
  test('not verified, it closes only with a reason, and it is reopened', async () => {
    const { sheet, job } = await form(ProofForm);
    expect(isOff(sheet, closing.closeWithoutProof)).toBe(true);
    await type(sheet, closing.closeAnyway, ' customer left ');
    await press(sheet, closing.closeWithoutProof);
    expect(job.closed).toMatchObject({ how: 'unproved', reason: 'customer left' });
    expect(sheet.get('[data-test="close"]').text()).toContain('not verified. customer left');
    expect(sheet.findAll('a').some((a) => a.attributes('href') === `/check/${job.id}/report`)).toBe(true);
    await press(sheet, closing.openItAgain);
    expect(job.closed).toBeNull();
    expect(sheet.findAll<HTMLTextAreaElement>('[data-test="close"] textarea')[0].element.value).toBe('');
  });
});

describe('the repair', () => {
  test('done has its time; a temporary replacement is due in three days until it is removed', async () => {
    const { sheet, job } = await form(RepairForm, (j) =>
      j.followUps.push({ id: 'own', text: 'ring up', dueOn: '2026-02-03', doneAt: null }),
    );
    await tick(sheet, repair.repaired);
    expect(job.repair.doneAt).not.toBeNull();
    await tick(sheet, repair.repaired, false);
    expect(job.repair.doneAt).toBeNull();
    await press(sheet, repair.recordTemporary);
    expect(job.repair.standIn).toMatchObject({ removedAt: null });
    expect(job.followUps.map((f) => [f.text, f.doneAt])).toEqual([
      ['ring up', null],
      [repair.removeTemporary, null],
    ]);
    const days = (Date.parse(job.followUps[1].dueOn) - Date.now()) / 86_400_000;
    expect([days > 1.4, days < 3.6]).toEqual([true, true]);
    // A check of an earlier version has its follow-up in other words.
    job.followUps.push({ id: 'old', text: 'Take the stand-in out again', dueOn: '2026-02-03', doneAt: null });
    await press(sheet, repair.itIsOut);
    expect(job.repair.standIn!.removedAt).not.toBeNull();
    expect(job.followUps.map((f) => f.doneAt !== null)).toEqual([false, true, true]);
    expect(sheet.findAll('button').some((b) => b.text() === repair.itIsOut)).toBe(false);
  });
  test('a substitute resistor that was used is named until its reading is excluded', async () => {
    const { sheet, job } = await form(RepairForm, (j) => j.readings.push(reading('displayed-substituted', '25', 25)));
    expect(sheet.text()).toContain(repair.substituteUsed);
    job.readings[0].voided = { reason: 'x', at: NOW };
    await flushPromises();
    expect(sheet.text()).not.toContain(repair.substituteUsed);
  });
  test('follow-ups: a week ahead, ticked off, removed, and no more than the list holds', async () => {
    const { sheet, job } = await form(RepairForm);
    await press(sheet, later.add);
    const days = (Date.parse(job.followUps[0].dueOn) - Date.now()) / 86_400_000;
    expect([days > 5.4, days < 7.6]).toEqual([true, true]);
    await tick(sheet, later.done);
    expect(job.followUps[0].doneAt).not.toBeNull();
    await tick(sheet, later.done, false);
    expect(job.followUps[0].doneAt).toBeNull();
    await untilShown(() => sheet.findComponent({ name: 'DayField' }).exists(), 'the calendar');
    const setDay = async (day: string): Promise<string> => {
      sheet.findComponent({ name: 'DayField' }).vm.$emit('update:modelValue', day);
      await flushPromises();
      return job.followUps[0].dueOn;
    };
    expect([await setDay('2000-01-01'), await setDay('2199-12-31')]).toEqual(['2000-01-01', '2199-12-31']);
    expect([await setDay('1999-12-31'), await setDay('2200-01-01'), await setDay('2026-02-31')]).toEqual(
      Array(3).fill('2199-12-31'),
    );
    job.followUps = Array.from({ length: MOST.followUps }, (_, i) => ({
      id: `f${i}`,
      text: '',
      dueOn: '2026-02-03',
      doneAt: null,
    }));
    await flushPromises();
    expect([isOff(sheet, later.add), sheet.text().includes(later.full(MOST.followUps))]).toEqual([true, true]);
    await pressNamed(sheet, later.remove);
    expect([job.followUps[0].id, isOff(sheet, later.add)]).toEqual(['f1', false]);
  });
});

describe('the complaint', () => {
  test('symptoms, parts replaced already and other causes are ticked and unticked', async () => {
    const { sheet, job } = await form(ComplaintForm);
    const own = SYMPTOMS.filter((s) => s.field === 'engine' || s.field === null);
    for (const s of own) expect(boxOf(sheet, s.name).element.checked, s.name).toBe(false);
    expect(sheet.text()).not.toContain(SYMPTOMS.find((s) => s.field === 'boiler')!.name);
    await tick(sheet, own[0].name);
    await tick(sheet, own[1].name);
    await tick(sheet, own[0].name, false);
    expect(job.complaint.symptoms).toEqual([own[1].id]);
    await tick(sheet, complaint.connector);
    expect(job.complaint.replaced).toEqual(['connector']);
    const [cause] = OTHER_CAUSES.filter((c) => c.field === 'engine');
    await pickFrom(sheet, cause.name, 'found');
    expect(job.complaint.causes).toEqual({ [cause.id]: 'found' });
    await pickFrom(sheet, cause.name, '');
    expect(job.complaint.causes).toEqual({});
  });
  test('tags are separated by commas, and no more than the list holds', async () => {
    const { sheet, job } = await form(ComplaintForm);
    const many = Array.from({ length: MOST.tags + 2 }, (_, i) => `t${i}`);
    await type(sheet, complaint.tags, many.join(', '));
    expect(job.tags).toEqual(many.slice(0, MOST.tags));
  });
  test('a code is recognised and added; what was probably meant is offered', async () => {
    const { sheet, job } = await form(ComplaintForm);
    const add = async (text: string): Promise<void> => {
      await type(sheet, codes.addACode, text);
      await sheet.findAll('form')[0].trigger('submit');
      await flushPromises();
    };
    expect(isOff(sheet, codes.addCode)).toBe(true);
    await add('p0118 sporadic, PO117');
    expect(job.complaint.codes.map((c) => [c.code, c.state])).toEqual([
      ['P0118', 'sporadic'],
      ['PO117', 'present'],
    ]);
    // A code of the workshop's own, however it is written.
    useOwnCodes().keep([{ code: 'E12', what: 'flow temperature', says: 'open' }]);
    await add('e-12');
    expect(sheet.findAll('[data-test="code"]').at(-1)!.text()).toContain('Flow temperature: circuit open');
    expect(job.complaint.codes.pop()!.code).toBe('E12');
    await press(sheet, codes.useCode('P0117'));
    expect(job.complaint.codes[1].code).toBe('P0117');
    expect(listOf(sheet, codes.stateOf('P0118')).options!.map((o) => [o.value, o.label])).toEqual([
      ['present', codes.present],
      ['sporadic', codes.sporadic],
      ['came-back', codes.clearedCameBack],
      ['past', codes.fromThePast],
    ]);
    await sheet.findAll('[data-test="code"] button')[0].trigger('click');
    expect(job.complaint.codes.map((c) => c.code)).toEqual(['P0117']);
  });
  test('a machine that was here before offers its circuit, before anything is measured', async () => {
    const circuit = CATALOGUE_CIRCUITS.find((c) => c.field === 'boiler')!;
    await jobDoor('last').write(
      { ...newJob('last', NOW, circuit), machine: 'Pump 3', tags: ['roof'], field: 'boiler' },
      null,
    );
    await useJobs().load();
    const { sheet, job } = await form(ComplaintForm, (j) => (j.machine = ' pump 3'));
    await untilShown(() => sheet.text().includes(known.takeOver('')), 'the circuit');
    await press(sheet, known.takeOver(''));
    await untilShown(() => job.field === 'boiler', 'the circuit on the check');
    expect([job.circuit.name, job.tags]).toEqual([circuit.name, ['roof']]);
    job.readings.push(reading('sensor-ohms', '2k', 2000));
    await flushPromises();
    expect(sheet.find(`[aria-label="${known.title}"]`).exists()).toBe(false);
  });
});

test('inspect: a finding is ticked, shows its factors, and is unticked', async () => {
  const { sheet, job } = await form(LookForm);
  expect(sheet.findAll('[role="group"] input')).toHaveLength(FINDINGS.length);
  const [first, second] = FINDINGS.filter((f) => Object.keys(f.ratios).length > 1);
  await tick(sheet, first.name);
  await tick(sheet, second.name);
  expect(job.findings).toEqual([first.id, second.id]);
  const shown = sheet.findAll('.factors');
  expect(shown).toHaveLength(2);
  // The order of the findings is that of the catalogue: the first in sight is not the first that was ticked.
  const figures = shown.map((f) => [...f.text().matchAll(/× ([\d.]+)/g)].map((m) => Number(m[1])));
  for (const f of [first, second]) expect(figures).toContainEqual(Object.values(f.ratios).sort((a, b) => b - a));
  await tick(sheet, first.name, false);
  expect(job.findings).toEqual([second.id]);
});

describe('the decision', () => {
  test('as the tool says it needs no reason; otherwise it does; and it is undone', async () => {
    const { sheet, job } = await form(DecisionForm, (j) => (j.readings = [reading('sensor-ohms', 'OL', 'OL')]), {
      judging: true,
    });
    const { groups } = session().verdict.result!.assessment;
    const choose = async (group: string): Promise<void> => {
      sheet.findComponent({ name: 'ChoiceRow' }).vm.$emit('update:modelValue', group);
      await flushPromises();
    };
    expect([isOff(sheet, decide.record), sheet.text().includes(decide.theToolSays)]).toEqual([true, true]);
    expect(sheet.findAll('li').length).toBe(Math.min(4, session().verdict.result!.assessment.suspects.length));
    await choose(groups[0].group);
    expect(isOff(sheet, decide.record)).toBe(false);
    await press(sheet, decide.record);
    expect(job.decision).toMatchObject({
      group: groups[0].group,
      toolGroup: groups[0].group,
      toolProbability: groups[0].probability,
      reason: '',
    });
    expect(sheet.get('[data-test="decision"]').text()).toContain(groupName(groups[0].group));
    await press(sheet, decide.undo);
    expect(job.decision).toBeNull();
    await choose(groups[1].group);
    expect(isOff(sheet, decide.record)).toBe(true);
    await type(sheet, decide.reasonRequired, ' seen it burn ');
    await press(sheet, decide.record);
    expect(job.decision).toMatchObject({ group: groups[1].group, toolGroup: groups[0].group, reason: 'seen it burn' });
    expect(sheet.find('textarea').exists()).toBe(false);
  });
  test('nothing measured: only the usual frequencies', async () => {
    const { sheet } = await form(DecisionForm, undefined, { judging: true });
    expect(sheet.text()).toContain(decide.onlyUsualOdds);
    const { suspects } = session().verdict.result!.assessment;
    expect([suspects.length > 4, sheet.findAll('li').length]).toEqual([true, 4]);
  });
});

describe('all readings', () => {
  test('each with what was corrected, excluded and noted; excluded with a reason, and included again', async () => {
    const { sheet, job } = await form(ReadingsForm, (j) => {
      const corrected = {
        ...reading('sensor-ohms', '2k', 2000),
        note: 'cold',
        history: [{ text: '20k', at: NOW }],
      };
      j.readings = [corrected, reading('open-voltage', '', 0)] as Job['readings'];
      j.readings[1].value = null;
    });
    const cells = (): string[][] => rowsOf(sheet, list.allReadings);
    expect(cells()).toHaveLength(2);
    expect(cells()[0][0]).toContain('“cold”');
    expect(cells()[0][0]).toContain(list.correctedFrom('20k'));
    expect([cells()[0][1], cells()[1][1]].map((c) => c.replace(/^[○●◆]/, ''))).toEqual(['2k', '—']);
    await press(sheet, list.voidWhy);
    expect(isOff(sheet, list.void)).toBe(true);
    await sheet.get('form').trigger('submit');
    expect(job.readings[0].voided).toBeNull();
    await type(sheet, list.exclusionReason, ' wrong pin ');
    await sheet.get('form').trigger('submit');
    await flushPromises();
    expect(job.readings[0].voided).toMatchObject({ reason: 'wrong pin' });
    expect([cells()[0][0].includes(list.voided('wrong pin')), sheet.find('tr.voided').exists()]).toEqual([true, true]);
    await press(sheet, list.takeBackIn);
    expect([job.readings[0].voided, sheet.find('form').exists()]).toEqual([null, false]);
    await sheet.findAll('.name')[1].trigger('click');
    expect(session().work.readingId).toBe('open-voltage');
  });
  test('none yet: where to begin', async () => {
    const { sheet } = await form(ReadingsForm);
    expect([sheet.text().includes(list.empty), sheet.find('table').exists()]).toEqual([true, false]);
  });
});

describe('which sensor', () => {
  const two = (j: Job) =>
    (j.rightSensor = {
      ...j.rightSensor,
      ...{ plugs: ['A', 'B'].map((id) => ({ id, name: id })), values: ['x', 'y'].map((id) => ({ id, name: id })) },
    });
  const cells = (w: VueWrapper): string[][] => rowsOf(w, which.tableLabel).map((row) => row.slice(1, 4));
  test('the value that changed is tapped; what is ruled out by it is crossed out; a second tap undoes it', async () => {
    const { sheet, job } = await form(RightSensorForm, two);
    const tap = async (value: string, plug: string): Promise<void> => {
      await sheet
        .findAll('.cell')
        .find((c) => c.attributes('aria-label')!.startsWith(which.with(value, plug, '').trim()))!
        .trigger('click');
      await flushPromises();
    };
    expect(cells(sheet)).toEqual([
      ['○', '○', '○'],
      ['○', '○', '○'],
    ]);
    await tap('x', 'A');
    expect(cells(sheet)).toEqual([
      ['●', '–', '–'],
      ['✕', '○', '○'],
    ]);
    expect(job.rightSensor.trials).toMatchObject([{ plugId: 'A', how: 'unplugged', movedId: 'x' }]);
    await pickFrom(sheet, which.howWasTried('A'), 'bridged');
    await tap('y', 'A');
    expect(job.rightSensor.trials).toMatchObject([{ plugId: 'A', how: 'bridged', movedId: 'y' }]);
    await tap(which.nothing, 'B');
    expect(cells(sheet)).toEqual([
      ['–', '●', '–'],
      ['–', '–', '●'],
    ]);
    expect(job.rightSensor.trials[1]).toMatchObject({ plugId: 'B', movedId: null });
    await tap(which.nothing, 'B');
    expect(job.rightSensor.trials.map((t) => t.plugId)).toEqual(['A']);
  });
  test('a plug or a value that is removed takes its trials and its mark with it', async () => {
    const { sheet, job } = await form(RightSensorForm, (j) => {
      two(j);
      j.rightSensor.trials = [
        { id: 't', plugId: 'A', how: 'unplugged', movedId: 'x' },
        { id: 'u', plugId: 'B', how: 'unplugged', movedId: 'y' },
      ];
    });
    const marks = (): (string | null)[] => [job.rightSensor.wantedValueId, job.rightSensor.measuredPlugId];
    const boxes = sheet.findAll<HTMLInputElement>('.item input[type="checkbox"]');
    const ticked = (): boolean[] => boxes.map((box) => box.element.checked);
    expect(ticked()).toEqual([false, false, false, false]);
    for (const box of boxes) await box.setValue(true);
    // One value is complained of, and one plug measured: another takes the mark with it.
    expect([marks(), ticked()]).toEqual([
      ['y', 'B'],
      [false, true, false, true],
    ]);
    await pressNamed(sheet, which.remove('x'));
    await pressNamed(sheet, which.remove('A'));
    expect([job.rightSensor.trials.map((t) => t.id), marks()]).toEqual([['u'], ['y', 'B']]);
    await sheet.get<HTMLInputElement>('.item input[type="checkbox"]').setValue(false);
    expect(marks()).toEqual([null, 'B']);
    await pressNamed(sheet, which.remove('B'));
    await pressNamed(sheet, which.remove('y'));
    expect([job.rightSensor.trials, marks(), sheet.find('table').exists()]).toEqual([[], [null, null], false]);
    await press(sheet, which.addAValue);
    expect(job.rightSensor.values).toMatchObject([{ name: '' }]);
  });
});

describe('compare', () => {
  test('a new pair is as the last one; removed, the others stay', async () => {
    const { sheet, job } = await form(CompareForm);
    await press(sheet, compare.addAPair);
    expect(job.comparison.pairs).toMatchObject([{ sensor: 'this', phase: 'heating' }]);
    await pickFrom(sheet, compare.sensor, 'other');
    await pickFrom(sheet, compare.while, 'cooling');
    await press(sheet, compare.addAPair);
    expect(job.comparison.pairs[1]).toMatchObject({ sensor: 'other', phase: 'cooling' });
    await type(sheet, compare.waterAt(2), '40');
    await type(sheet, compare.ohms(2), '1k2');
    expect(job.comparison.pairs[1]).toMatchObject({ temperatureC: { value: 40 }, resistanceOhm: { value: 1200 } });
    await pressNamed(sheet, compare.removePair(1));
    expect(job.comparison.pairs.map((p) => p.resistanceOhm.value)).toEqual([1200]);
  });
  test('timed readings begin at minute 0 and go on by one; three of them say where it will settle', async () => {
    const { sheet, job } = await form(CompareForm);
    for (const value of ['100', '60', '40']) {
      await press(sheet, settling.add);
      await type(sheet, settling.value(job.comparison.settling.length), value);
    }
    expect(job.comparison.settling.map((r) => [r.minute.value, r.value.value])).toEqual([
      [0, 100],
      [1, 60],
      [2, 40],
    ]);
    // 100, 60, 40: each step is half the one before, so it ends at 20.
    expect(sheet.get('[data-test="settling-told"]').text()).toMatch(/\b20\b/);
    await pressNamed(sheet, settling.removeTimedReading(2));
    expect(job.comparison.settling.map((r) => r.minute.value)).toEqual([0, 2]);
    await press(sheet, settling.add);
    expect(job.comparison.settling.at(-1)!.minute).toEqual({ text: '3', value: 3 });
  });
});

describe('is it worth it', () => {
  test('a cheap part in an easy place is changed at once, a dear one tested first; who protects is always verified', async () => {
    const { sheet, job } = await form(
      WorthForm,
      (j) => {
        j.loom = { ...newHarness(), plug: { ...j.loom.plug, minutes: { text: '60', value: 60 } } };
        j.readings = [
          reading('displayed', '-40', -40),
          reading('open-voltage', '5', 5),
          reading('open-voltage-return', '5', 5),
        ];
      },
      { judging: true, circuit: 'engine-coolant-2k' },
    );
    const says = (): string =>
      sheet.find('[data-test="plan"]').exists() ? sheet.get('[data-test="plan"]').text() : '';
    const computed = (): Promise<void> =>
      untilShown(() => says() !== '' && !sheet.get('[data-test="plan"]').classes('earlier'), 'the plan');
    const price = async (hour: string, part: string, fit: string, back: string): Promise<string> => {
      for (const [label, text] of [
        [worth.hourPrice, hour],
        [worth.sensorPrice, part],
        [worth.fitMinutes, fit],
        [worth.comingBackCosts, back],
      ])
        await type(sheet, label, text);
      await judged();
      await computed();
      return says();
    };
    const sure = async (value: number): Promise<string> => {
      sheet.findComponent({ name: 'ChoiceRow' }).vm.$emit('update:modelValue', value);
      await judged();
      await computed();
      return says();
    };
    await computed();
    const NOW_FIRST = /^Replace the sensor now: \d+ min and \d+ until it works/;
    expect(await price('60', '2', '1', '5')).toMatch(NOW_FIRST);
    expect(says()).toMatch(/Testing on pays while the part costs more than \d/);
    // Who wants to be surer than that tests first, though it costs more.
    expect(await sure(0.95)).toMatch(/ first: .* Replace the sensor now would be .*, less sure than asked\./);
    expect(says()).not.toContain('Testing on pays');
    expect([job.worth.sure, sheet.text().includes(worth.ordersHelp)]).toEqual([0.95, true]);
    expect(await sure(0)).toMatch(NOW_FIRST);
    expect([job.worth.sure, sheet.text().includes(worth.weighedUntil95)]).toEqual([undefined, true]);
    expect(await price('60', '400', '180', '5')).toMatch(/^\w.* first: \d+ min and \d+ until it works/);
    const ways = rowsOf(sheet, worth.waysTitle);
    expect(ways.some(([what]) => what === 'Replace the sensor now')).toBe(true);
    expect(ways.some((row) => /1 in \d+ it does not help/.test(row[2]))).toBe(true);
    expect(rowsOf(sheet, worth.orders).map(([order]) => order)).toContain('Change the sensor first');
    await sheet.findAll('.link')[0].trigger('click');
    expect(session().work.test).not.toBeNull();
    await tick(sheet, worth.protects);
    await judged();
    expect(sheet.get('.caution').text()).toContain(worth.protectsCaution);
    // A circuit that protects is never left without being verified.
    await computed();
    expect(rowsOf(sheet, worth.waysTitle).some(([what]) => what === 'Stop: nothing wrong now')).toBe(false);
  });
});

describe('the harness', () => {
  const harness =
    (...names: string[]) =>
    (j: Job): void => {
      j.loom = { ...newHarness(), stops: names.map((name, i) => ({ ...newStop(`s${i}`, 'connector'), name })) };
    };
  const order = (job: Job): string => job.loom.stops.map((s) => s.name).join('');
  const entriesOf = (w: VueWrapper, row: number) =>
    w.findAllComponents({ name: 'MenuButton' })[row].vm.$props.entries as {
      name: string;
      act: () => void;
      grave?: boolean;
    }[];
  const act = async (w: VueWrapper, row: number, name: string): Promise<void> => {
    entriesOf(w, row)
      .find((e) => e.name === name)!
      .act();
    await flushPromises();
  };
  const offered = (w: VueWrapper, row: number): string[] => entriesOf(w, row).map((e) => e.name);

  test('rows are moved by their menu, removed and added, up to the most', async () => {
    const { sheet, job } = await form(HarnessRows, harness('A', 'B', 'C'));
    expect([0, 1, 2].map((row) => offered(sheet, row))).toEqual([
      [rowsWords.towardsTheSensor, rowsWords.takeOut],
      [rowsWords.towardsTheModule, rowsWords.towardsTheSensor, rowsWords.takeOut],
      [rowsWords.towardsTheModule, rowsWords.takeOut],
    ]);
    // Only what removes a row is shown as grave.
    expect(entriesOf(sheet, 1).map((e) => e.grave === true)).toEqual([false, false, true]);
    await act(sheet, 0, rowsWords.towardsTheSensor);
    expect(order(job)).toBe('BAC');
    await act(sheet, 2, rowsWords.towardsTheModule);
    expect(order(job)).toBe('BCA');
    await act(sheet, 1, rowsWords.takeOut);
    expect(order(job)).toBe('BA');
    await press(sheet, rowsWords.addASplice);
    expect(job.loom.stops.at(-1)).toMatchObject({ kind: 'splice', name: '' });
    while (job.loom.stops.length < MOST_CONNECTORS) await press(sheet, rowsWords.addAConnector);
    expect([isOff(sheet, rowsWords.addAConnector), isOff(sheet, rowsWords.addASplice)]).toEqual([true, true]);
  });
  test('two rows of one name are named; without a name they are not', async () => {
    const { sheet } = await form(HarnessRows, harness('A', 'B', 'A ', '', ''));
    expect(sheet.text()).toContain(rowsWords.sameName('A'));
    const { sheet: other } = await form(HarnessRows, harness('A', 'B', '', ''));
    expect(other.text()).not.toContain(rowsWords.sameName(''));
  });
  test('rows are pasted; nothing that can be read changes nothing and stays typed', async () => {
    const { sheet, job } = await form(HarnessRows, harness('A'));
    await type(sheet, rowsWords.pasteLabel, 'C1\tbehind the tank\t12\t7\nC2\tat the wall\t3\tseven');
    await press(sheet, rowsWords.replaceRows);
    expect(job.loom.stops[0]).toMatchObject({
      name: 'C1',
      where: 'behind the tank',
      minutes: { value: 12 },
      run: { lengthM: { value: 7 } },
    });
    expect(sheet.text()).toContain(rowsWords.line(2, '').replace(/[:.\s]+$/, ''));
    expect(sheet.get('textarea').element.value).toBe('');
  });
  test('a harness is saved for the next check and used on it', async () => {
    const { sheet, job } = await form(HarnessRows, harness('A', 'B'));
    expect(isOff(sheet, rowsWords.keep)).toBe(true);
    await type(sheet, rowsWords.saveAs, ' truck ');
    await press(sheet, rowsWords.keep);
    const { options } = listOf(sheet, rowsWords.useSaved);
    expect(options!.map((o) => o.label)).toEqual(['truck']);
    job.loom = newHarness();
    await flushPromises();
    await type(sheet, rowsWords.saveAs, 'empty');
    expect(isOff(sheet, rowsWords.keep)).toBe(true);
    await pickFrom(sheet, rowsWords.useSaved, options![0].value);
    expect(order(job)).toBe('AB');
  });
  test('a stop in its sheet: kind, wire to the next one, what is known of both, and its removal', async () => {
    const { sheet, job } = await form(StopSheet, harness('A', 'B'), { props: { open: true, index: 1 } });
    await flushPromises();
    const page = thePage();
    expect(page.text()).toContain(stopWords.runTo(stopName(job.loom.stops[1], 2)));
    await pickFrom(sheet, stopWords.kind, 'splice');
    expect(job.loom.stops[0].kind).toBe('splice');
    const hints = (label: string) => page.get(`[role="group"][aria-label="${label}"]`);
    const [first, second] = HINTS;
    await tick(hints(stopWords.knownOfPlace), first.name);
    await tick(hints(stopWords.knownOfPlace), second.name);
    await tick(hints(stopWords.knownOfPlace), first.name, false);
    await tick(hints(stopWords.knownOfWire), first.name);
    expect([job.loom.stops[0].hints, job.loom.stops[0].run.hints]).toEqual([[second.id], [first.id]]);
    await press(page, stopWords.remove);
    expect([order(job), sheet.emitted('update:open')!.at(-1)]).toEqual(['B', [false]]);
  });
  test('a place is picked on the run; what is known of it moves the odds, and its pins are beside its name', async () => {
    broken.message = '';
    await onBench(DEMO.find((j) => j.title.startsWith('Pilot boat'))!);
    await advised();
    const sheet = await show(WhereForm);
    const run = () =>
      sheet
        .get('[data-test="loom"]')
        .findAll('li')
        .map((l) => plain(l.text()));
    const rows = run();
    const at = 2;
    expect(rows[at]).toContain('12 %');
    expect([rows.join(' ').includes('C1, pin 3 · 4'), rows[4].includes('49 %')]).toEqual([true, true]);
    await sheet.get('[data-test="loom"]').findAll('li')[at].get('button').trigger('click');
    await flushPromises();
    const page = thePage();
    await tick(page.get(`[role="group"][aria-label="${stopWords.knownOfPlace}"]`), 'corroded, seen');
    await type(page, stopWords.pin('signal'), '9');
    await untilShown(() => !session().verdict.adviceEarlier && !run()[at].includes('12 %'), 'other odds');
    const share = (row: string): number => Number(/(\d+) %/.exec(row)?.[1]);
    expect([run().join(' ').includes('C2, pin 9 · 8'), share(run()[at]) > 12]).toEqual([true, true]);
    await press(page, stopWords.remove);
    expect(run()).toHaveLength(5);
    session().history.undo();
    await flushPromises();
    expect(run()).toHaveLength(7);
  });
  test('the module cannot be removed, and the plug at the sensor has no wire behind it', async () => {
    await form(StopSheet, harness('A'), { props: { open: true, index: 0 } });
    await flushPromises();
    expect(texts(thePage().findAll('button'))).not.toContain(stopWords.remove);
    expect(thePage().text()).toContain(stopWords.knownOfWire);
    const { sheet } = await form(StopSheet, harness('A'), { props: { open: true, index: 2 } });
    await flushPromises();
    expect(sheet.findAllComponents({ name: 'HintChecks' }).map((h) => h.vm.$props.title)).toEqual([
      stopWords.knownOfPlace,
    ]);
  });
});

test('a verdict that is missing leaves the decision to wait', async () => {
  const { sheet } = await form(DecisionForm);
  await judged();
  sheet.findComponent({ name: 'ChoiceRow' }).vm.$emit('update:modelValue', 'sensor');
  await flushPromises();
  expect(isOff(sheet, decide.record)).toBe(true);
});
