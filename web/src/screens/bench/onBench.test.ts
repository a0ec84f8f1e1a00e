// @vitest-environment happy-dom
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { FINDINGS } from '@mellow-probe/core/catalogue/parts/findings';
import { significant } from '@mellow-probe/core/base/units/writing';
import { newMoments } from '@mellow-probe/core/check/job/moments';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { newHarness, newStop } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { formatProbability } from '@mellow-probe/core/base/units/format';
import {
  cardEntryWords as entry,
  cardOutcomeWords as outcome,
  circuitChoiceWords as choice,
  circuitDetailsWords as details,
  readingModeWords as large,
} from '@mellow-probe/core/wording/screens/bench';
import { whyDrawerWords as why } from '@mellow-probe/core/wording/screens/benchVerdict';
import { quickPhoneWords as phoneWords } from '@mellow-probe/core/wording/screens/guide';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { describe, expect, test } from 'vitest';
import { until } from '../../../test/browserWindow.ts';
import {
  isOff,
  judged,
  listOf,
  ownCheck,
  pickFrom,
  plain,
  press,
  reading,
  rowsOf,
  session,
  show,
  thePage,
  type,
  typedFields,
  untilShown,
} from '../../../test/mountedScreens.ts';
import CardDrawing from './CardDrawing.vue';
import CircuitChoice from './CircuitChoice.vue';
import CircuitDetails from './CircuitDetails.vue';
import QuickPhone from './QuickPhone.vue';
import ReadingMode from './ReadingMode.vue';
import TestCard from './TestCard.vue';
import WhyDrawer from './WhyDrawer.vue';

const bench = (change?: (job: Job) => void, circuit?: string): Promise<Job> => ownCheck(change, { circuit });
const judgedBench = (change?: (job: Job) => void): Promise<Job> => ownCheck(change, { judging: true });

describe('which circuit, and which curve', () => {
  test('every circuit of the catalogue is offered under its kind of machine; the chosen one is on the check', async () => {
    const job = await bench();
    const wrapper = await show(CircuitChoice);
    const { groups, modelValue } = listOf(wrapper, choice.circuit);
    expect(groups!.map((g) => g.label)).toEqual([choice.engines, choice.climateSystems, choice.boilers]);
    expect(groups!.flatMap((g) => g.options.map((o) => o.value)).sort()).toEqual(
      CATALOGUE_CIRCUITS.map((c) => c.id).sort(),
    );
    expect(modelValue).toBe('engine-coolant-2k8');
    const boiler = CATALOGUE_CIRCUITS.find((c) => c.field === 'boiler')!;
    await pickFrom(wrapper, choice.circuit, boiler.id);
    expect([job.field, job.circuit.name, listOf(wrapper, choice.circuit).modelValue]).toEqual([
      'boiler',
      boiler.name,
      boiler.id,
    ]);
  });
  test('a curve is of the catalogue, typed by its figures, by points, by a line of a specification, or unknown', async () => {
    const job = await bench();
    const wrapper = await show(CircuitChoice);
    const chosen = (): string => listOf(wrapper, choice.sensorCurve).modelValue;
    const offered = listOf(wrapper, choice.sensorCurve).groups!;
    expect(offered.map((g) => g.label)).toEqual([choice.typed, choice.catalogue]);
    for (const { value, label } of offered.flatMap((g) => g.options))
      expect([typeof value, label !== ''], value).toEqual(['string', true]);
    for (const { value } of [...offered[0].options, offered[1].options[0]]) {
      await pickFrom(wrapper, choice.sensorCurve, value);
      expect(chosen(), value).toBe(value);
    }
    expect(job.circuit.curve).toEqual({ source: 'catalogue', id: offered[1].options[0].value });
    expect(wrapper.emitted('details')).toHaveLength(1);
    await pickFrom(wrapper, choice.sensorCurve, 'points');
    expect(job.circuit.curve).toMatchObject({
      source: 'points',
      points: [0, 1, 2].map(() => ({ temperatureC: { value: null }, resistanceOhm: { value: null } })),
    });
    await pickFrom(wrapper, choice.sensorCurve, 'band ptc');
    expect(job.circuit.curve).toMatchObject({ source: 'band', slope: 'ptc', bands: [{ temperatureC: { value: 20 } }] });
    await type(wrapper, choice.ohmsFromTo, '2-3k');
    expect(job.circuit.curve).toMatchObject({ bands: [{ resistanceOhm: { text: '2-3k' } }] });
    await pickFrom(wrapper, choice.sensorCurve, 'band');
    expect(job.circuit.curve).toMatchObject({ slope: 'ntc' });
    await pickFrom(wrapper, choice.sensorCurve, offered[0].options[0].value);
    const fields = typedFields(wrapper);
    expect(fields.length).toBeGreaterThan(1);
    await type(wrapper, fields[0].name.trim(), '2k');
    expect(
      Object.values((job.circuit.curve as { figures: Record<string, { value: number | null }> }).figures)[0].value,
    ).toBe(2000);
  });
  test('a curve from a file stays as it is, and is offered first', async () => {
    const given = { source: 'given', name: 'Oil', curve: { kind: 'beta', r25Ohm: 2000, betaK: 3600 } } as const;
    const job = await bench((j) => (j.circuit.curve = { ...given }));
    const wrapper = await show(CircuitChoice);
    expect(listOf(wrapper, choice.sensorCurve).groups![0]).toMatchObject({
      label: choice.fromTheFile,
      options: [{ value: 'given', label: 'Oil' }],
    });
    await pickFrom(wrapper, choice.sensorCurve, 'given');
    expect(job.circuit.curve).toEqual(given);
  });
});

describe('a circuit in detail', () => {
  test('every choice has words, and is on the check once it is made', async () => {
    const job = await bench();
    const wrapper = await show(CircuitDetails, { props: { open: true } });
    for (const [label, at] of [
      [details.layout, () => job.circuit.layout],
      [details.pullUpSource, () => job.circuit.pullUpSource],
      [details.comparedWith, () => String(job.circuit.display.ratiometric)],
    ] as [string, () => unknown][]) {
      const { options } = listOf(wrapper, label);
      expect(options!.length, label).toBeGreaterThan(2);
      for (const { value, label: words } of options!) {
        await pickFrom(wrapper, label, value);
        expect([at(), listOf(wrapper, label).modelValue, words !== ''], label).toEqual([value, value, true]);
      }
    }
    for (const [label, text, at, value] of [
      [details.supplyBattery, '24', () => job.circuit.supplyV.value, 24],
      [details.hotPullUp, '350', () => job.circuit.hotPullUpOhm.value, 350],
      [details.cableLength, '12', () => job.circuit.cableM.value, 12],
      [details.itsCopperMm, '0.5', () => job.circuit.cableMm2.value, 0.5],
      [details.displayColdest, '-30', () => job.circuit.display.minC.value, -30],
      [details.displayHottest, '140', () => job.circuit.display.maxC.value, 140],
      [details.substituteValue, '80', () => job.circuit.display.substituteC.value, 80],
    ] as [string, string, () => unknown, number][]) {
      await type(thePage(), label, text);
      expect(at(), label).toBe(value);
    }
  });
  test('a specification has a second line at most, a table as many points as are added', async () => {
    const job = await bench((j) => {
      j.circuit.curve = {
        source: 'band',
        slope: 'ntc',
        bands: [{ temperatureC: { text: '20 °C', value: 20 }, resistanceOhm: { text: '', value: null } }],
      } as never;
    });
    await show(CircuitDetails, { props: { open: true } });
    await press(thePage(), details.aSecondLine);
    expect((job.circuit.curve as { bands: unknown[] }).bands).toHaveLength(2);
    expect(isOff(thePage(), details.aSecondLine)).toBe(true);
    await type(thePage(), details.temperature(2), '80');
    expect(job.circuit.curve).toMatchObject({ bands: [{}, { temperatureC: { value: 80 } }] });
  });
});

describe('the card of a test', () => {
  const card = async (id: string): Promise<VueWrapper> => {
    session().work.goTest(id);
    return show(TestCard);
  };
  test('a reading is excluded with a reason, and included again; without one nothing is excluded', async () => {
    const job = await bench((j) => (j.readings = [reading('sensor-ohms', '2k8', 2800)]));
    const wrapper = await card('sensor-ohms');
    await type(wrapper, outcome.noteLabel, 'cold');
    expect(job.readings[0].note).toBe('cold');
    await press(wrapper, outcome.voidWhy);
    expect(wrapper.get('.voiding button[type="submit"]').attributes('disabled')).toBeDefined();
    await wrapper.get('.voiding').trigger('submit');
    expect(job.readings[0].voided ?? null).toBeNull();
    await press(wrapper, outcome.voidWhy);
    await type(wrapper, outcome.exclusionReason, '  wrong pin ');
    await press(wrapper, outcome.keep);
    expect(wrapper.find('.voiding').exists()).toBe(false);
    await press(wrapper, outcome.voidWhy);
    await wrapper.get('.voiding').trigger('submit');
    expect(job.readings[0].voided?.reason).toBe('wrong pin');
    await flushPromises();
    expect(wrapper.get('.box.voided').text()).toContain(outcome.voided('wrong pin'));
    await press(wrapper, outcome.include);
    expect(job.readings[0].voided ?? null).toBeNull();
    // The words of the last time are gone.
    await press(wrapper, outcome.voidWhy);
    expect(typedFields(wrapper).find((f) => f.name === outcome.exclusionReason)!.field.element.value).toBe('');
  });
  test('how it was taken: as found, hot or wiggling, or at a moment of this check', async () => {
    const job = await bench((j) => {
      j.readings = [reading('sensor-ohms', '2k8', 2800)];
      j.moments.push({ ...newMoments()[0], id: 'later', temperatureC: { text: '60 °C', value: 60 } });
    });
    const wrapper = await card('sensor-ohms');
    const { options } = listOf(wrapper, entry.while);
    expect(options!.map((o) => o.label)).toEqual([
      entry.asFound,
      entry.hotAfterHeat,
      entry.wiggling,
      entry.atTemperature('60 °C'),
    ]);
    for (const [value, state, moment] of [
      ['hot', 'hot', 'hot'],
      ['wiggling', 'wiggling', 'steady'],
      ['later', 'steady', 'later'],
      ['steady', 'steady', 'steady'],
    ] as const) {
      await pickFrom(wrapper, entry.while, value);
      expect([job.readings[0].state, job.readings[0].moment, listOf(wrapper, entry.while).modelValue], value).toEqual([
        state,
        moment,
        value,
      ]);
    }
  });
  test('a reading along the harness has its place, and its side at a connector; before it is typed the place is kept', async () => {
    const job = await bench(
      (j) => (j.loom = { ...newHarness(), stops: [newStop('a', 'connector'), newStop('b', 'connector')] }),
    );
    const wrapper = await card('connector-voltage');
    const { options, modelValue } = listOf(wrapper, entry.where);
    expect([
      options!.length,
      new Set(options!.map((o) => o.label)).size,
      options!.some((o) => o.value === modelValue),
    ]).toEqual([8, 8, true]);
    await pickFrom(wrapper, entry.where, 'return 2 sensor');
    expect(listOf(wrapper, entry.where).modelValue).toBe('return 2 sensor');
    await wrapper.get('.large input').setValue('4.4');
    await flushPromises();
    expect(job.readings[0].conditions).toMatchObject({ wire: 'return', position: 2, side: 'sensor' });
    await pickFrom(wrapper, entry.where, 'signal 1 module');
    expect(job.readings[0].conditions).toMatchObject({ wire: 'signal', position: 1, side: 'module' });
  });
  test('a reading belongs to the moment it was taken at: as found, hot, or one of the check’s own', async () => {
    const job = await bench((j) => {
      j.moments.push({ ...newMoments()[1], id: 'later', state: 'hot', temperatureC: { text: '80 °C', value: 80 } });
      j.readings = [reading('sensor-ohms', '2k', 2000)];
    });
    session().work.goReading('sensor-ohms');
    const wrapper = await show(TestCard);
    const moment = () => [job.readings[0].moment, job.readings[0].state, listOf(wrapper, entry.while).modelValue];
    const first = moment();
    expect(listOf(wrapper, entry.while).options!.map((o) => o.value)).toEqual(['steady', 'hot', 'wiggling', 'later']);
    await pickFrom(wrapper, entry.while, 'later');
    expect(moment()).toEqual(['later', 'hot', 'later']);
    await pickFrom(wrapper, entry.while, 'hot');
    expect(moment()).toEqual([job.moments[1].id, 'hot', 'hot']);
    await pickFrom(wrapper, entry.while, 'steady');
    expect(moment()).toEqual(first);
  });
  test('at an open connector there is one side to measure on: a place and a wire are enough', async () => {
    await bench((j) => (j.loom = { ...newHarness(), stops: [newStop('a', 'connector'), newStop('b', 'connector')] }));
    session().work.goTest('parted-voltage');
    const wrapper = await show(TestCard);
    expect(listOf(wrapper, entry.where).options).toHaveLength(4);
  });
  test('what hangs on the temperature asks for it; what is put into a bath asks for that', async () => {
    const job = await bench();
    const scan = await card('displayed');
    await type(scan, entry.thermometer, '18');
    expect(job.moments[0].temperatureC.value).toBe(18);
    scan.unmount();
    const substituted = await card('displayed-substituted');
    await type(substituted, entry.withResistor, '2k2');
    await substituted.get('.large input').setValue('25');
    await flushPromises();
    expect(job.readings[0]).toMatchObject({ value: 25, conditions: { substituteOhm: { value: 2200 } } });
  });
});

describe('the large view', () => {
  const key = async (name: string): Promise<void> => {
    window.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }));
    await flushPromises();
  };
  test('a figure is typed by keys, corrected, and saved by Enter; nothing before', async () => {
    const job = await judgedBench();
    session().work.goTest('open-voltage');
    const wrapper = await show(ReadingMode);
    const figure = (): string => wrapper.get('[data-test="far-figure"]').text();
    expect([figure(), wrapper.get('.name').text()]).toEqual(['—', measurementById('open-voltage')!.title]);
    for (const k of ['4', '.', '8', '9', 'Backspace', 'x', 'Tab']) await key(k);
    expect([figure(), wrapper.text().includes(large.notTakenYet), job.readings]).toEqual(['4.8 V', true, []]);
    await key('Enter');
    expect([job.readings.map((r) => [r.measurement, r.value]), figure()]).toEqual([[['open-voltage', 4.8]], '4.8 V']);
    expect(wrapper.text()).not.toContain(large.notTakenYet);
    await key('Enter');
    expect(job.readings).toHaveLength(1);
    await judged();
    await flushPromises();
    expect(wrapper.get('.range').text()).toContain(large.healthy);
    await key('Escape');
    expect(wrapper.emitted('close')).toHaveLength(1);
  });
});

describe('the verdict in figures', () => {
  const OPEN = [reading('open-voltage', '5', 5), reading('sensor-ohms', 'OL', 0)].map((r, i) =>
    i === 1 ? { ...r, value: 'OL' as const } : r,
  );
  test('every fault with its weight before and now; a factor of one’s own weighs at once, and can be left out', async () => {
    const job = await judgedBench((j) => (j.readings = OPEN));
    await show(WhyDrawer, { props: { open: true } });
    const { ranking } = session().verdict.result!.assessment;
    expect(rowsOf(thePage(), why.everyFault)).toHaveLength(ranking.length);
    const [cells] = rowsOf(thePage(), why.everyFault);
    expect(cells[0]).toContain(ranking[0].name);
    expect(cells.slice(1, 3)).toEqual([formatProbability(ranking[0].prior), formatProbability(ranking[0].probability)]);
    const factor = why.yourFactorOn(ranking[0].name);
    const weigh = async (text: string): Promise<void> => {
      const field = typedFields(thePage()).find((f) => f.name === factor)!.field;
      await field.setValue(text);
      await field.trigger('change');
      await field.trigger('blur');
      await flushPromises();
    };
    await weigh('0,5');
    expect(job.weightFactors).toEqual({ [ranking[0].fault]: 0.5 });
    await weigh('-3');
    await weigh('2000');
    expect(job.weightFactors).toEqual({ [ranking[0].fault]: 0.5 });
    await weigh('1');
    expect(job.weightFactors).toEqual({});
  });
  test('what was seen is named with its factor, at the faults it speaks of alone; one’s own factor is not', async () => {
    const { id, name, ratios } = FINDINGS.find((f) => f.id === 'corrosion')!;
    const [weighed] = Object.keys(ratios);
    const job = await judgedBench((j) => {
      j.findings = [id];
      j.weightFactors = { [weighed]: 0.5 };
    });
    await show(WhyDrawer, { props: { open: true } });
    const cells = rowsOf(thePage(), why.everyFault).map(([fault]) => fault);
    const { ranking } = session().verdict.result!.assessment;
    for (const [i, { fault }] of ranking.entries()) {
      const ratio = ratios[fault];
      const moves = ratio !== undefined && Math.abs(ratio - 1) > 0.02;
      expect(cells[i].includes(moves ? `${name} × ${significant(ratio, 2)}` : name), fault).toBe(moves);
    }
    const both = cells[ranking.findIndex((r) => r.fault === weighed)];
    expect([both.includes('× 0.5'), job.findings]).toEqual([false, [id]]);
  });
  test('a workshop’s own rates are named with their factor, and can be left out', async () => {
    const job = await judgedBench((j) => {
      j.experience = { factors: { wiring: 2, sensor: 0.7 }, checks: 7, at: j.createdAt };
    });
    await show(WhyDrawer, { props: { open: true } });
    const own = () => thePage().find('[data-test="experience"]');
    expect(own().text()).toContain('7 closed checks');
    const named = (): number =>
      rowsOf(thePage(), why.everyFault).filter(([fault]) => /7 closed checks × /.test(fault)).length;
    expect(named()).toBeGreaterThan(1);
    await press(thePage(), why.leaveThemOut);
    await judged();
    await untilShown(() => named() === 0, 'the verdict without them');
    expect([own().exists(), job.experience]).toEqual([false, undefined]);
  });
  test('how much each reading matters, and how the verdict changed; nothing while it is closed', async () => {
    await judgedBench((j) => (j.readings = OPEN));
    const closed = await show(WhyDrawer, { props: { open: false } });
    await flushPromises();
    expect(thePage().findAll('li')).toHaveLength(0);
    closed.unmount();
    await show(WhyDrawer, { props: { open: true } });
    await until(() => thePage().findAll('li').length === 2 && thePage().find('[data-test="course"]').exists(), 'both');
    expect(thePage().text()).not.toContain(why.computingWeights);
    const lines = thePage()
      .findAll('li')
      .map((l) => l.text().toLowerCase());
    for (const { measurement } of OPEN)
      expect(
        lines.some((l) => l.includes(measurementById(measurement).name.toLowerCase())),
        measurement,
      ).toBe(true);
  });
  test('without a reading, and without a circuit, it says so', async () => {
    const job = await judgedBench();
    await show(WhyDrawer, { props: { open: true } });
    expect(thePage().text()).toContain(why.noReadingYet);
    job.circuit.referenceV = { text: '', value: null };
    await judged();
    await untilShown(() => thePage().text().includes(why.incomplete), 'the reason');
  });
});

test('the drawing has the resistor of the reading in hand; a tap on a figure of it goes to its test', async () => {
  const job = await bench();
  const { work } = session();
  work.goTest('displayed-substituted');
  work.draft.substituteOhm = { text: '220', value: 220 };
  const drawing = await show(CardDrawing);
  // Without a reading it is what is typed on the card.
  expect(plain(drawing.text())).toContain('220 Ω');
  job.readings = [1000, 4700].map((ohm) => ({
    ...reading('displayed-substituted', '20', 20, `at ${ohm}`),
    conditions: { substituteOhm: { text: `${ohm}`, value: ohm } },
  }));
  for (const [id, ohm] of [
    ['at 4700', '4.70 kΩ'],
    ['at 1000', '1.00 kΩ'],
  ]) {
    work.goReading(id);
    await flushPromises();
    expect(plain(drawing.text())).toContain(ohm);
  }
  const circuit = drawing.getComponent({ name: 'CircuitDrawing' });
  circuit.vm.$emit('mark', 'open-voltage');
  await flushPromises();
  expect([work.test, circuit.props('drawing')]).toMatchObject(['open-voltage', { plug: { kind: 'open' } }]);
});

describe('the quick check of a phone', () => {
  const names = (w: VueWrapper): string[] => w.findAll('[data-field]').map((f) => f.attributes('data-field')!);
  test('its figures in their order; a circuit of one wire has no return; a picture shows where the leads go', async () => {
    await bench();
    const wrapper = await show(QuickPhone);
    expect(names(wrapper)).toEqual([
      'thermometer',
      'displayed',
      'sensor-ohms',
      'open-voltage',
      'loaded-voltage',
      'return-drop',
    ]);
    await wrapper.get('[data-field="open-voltage"] .look').trigger('click');
    await flushPromises();
    const { steps } = measurementById('open-voltage')!;
    expect(document.body.textContent).toContain(steps[0]);
    const sheet = wrapper.getComponent({ name: 'AskSheet' });
    expect(sheet.props('open')).toBe(true);
    sheet.vm.$emit('update:open', false);
    await flushPromises();
    expect(sheet.props('open')).toBe(false);
    wrapper.unmount();
    await session().close();
    await bench(() => undefined, CATALOGUE_CIRCUITS.find((c) => c.layout === 'one-wire')!.id);
    expect(names(await show(QuickPhone))).not.toContain('return-drop');
  });
  test('the circuit is changed in place; a figure typed is a reading', async () => {
    const job = await bench();
    const wrapper = await show(QuickPhone);
    expect(wrapper.find('.choice').exists()).toBe(false);
    await wrapper.get(`[aria-label="${phoneWords.change}"]`).trigger('click');
    expect(wrapper.find('.choice').exists()).toBe(true);
    await press(wrapper, phoneWords.done);
    expect(wrapper.find('.choice').exists()).toBe(false);
    await wrapper.get('[data-field="open-voltage"] input').setValue('4.8');
    await flushPromises();
    expect(job.readings.map((r) => [r.measurement, r.value])).toEqual([['open-voltage', 4.8]]);
  });
  test('a figure that is judged has its sign; no prediction stands beside it', async () => {
    await judgedBench((j) => (j.readings = [reading('open-voltage', '5', 5), reading('loaded-voltage', '5', 5)]));
    const wrapper = await show(QuickPhone);
    await untilShown(() => wrapper.find('[data-field="loaded-voltage"] .sign.off').exists(), 'the sign');
    expect(wrapper.find('[data-field="open-voltage"] .sign.fits').exists()).toBe(true);
    expect(wrapper.find('.second').exists()).toBe(false);
  });
});
