// @vitest-environment happy-dom
import { ownResistors } from '@mellow-probe/core/catalogue/kit/ownResistors';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import { curveModel } from '@mellow-probe/core/circuit/curves/curve';
import { curveCsv, curveTable } from '@mellow-probe/core/circuit/curves/curveTable';
import { openCurve } from '@mellow-probe/core/circuit/curves/ownCurve';
import { formatOhm, formatTemperature } from '@mellow-probe/core/base/units/format';
import { boilingPointC, pressureAtAltitudeKPa } from '@mellow-probe/core/tools/baths/boilingPoint';
import { substitutesFor, sweepSteps } from '@mellow-probe/core/tools/divider/substitutes';
import {
  curvesToolWords as curveWords,
  fitViewWords as fit,
  identifyToolWords as identify,
  ownCurveToolWords as own,
  tableReadingWords as reading,
} from '@mellow-probe/core/wording/screens/shelfCurves';
import {
  bathsToolWords as baths,
  codesToolWords as codes,
  judgeToolWords as judge,
  learnToolWords as learn,
  machineToolWords as machine,
  substitutesToolWords as substitutes,
  sweepToolWords as sweep,
} from '@mellow-probe/core/wording/screens/tools';
import { kelvinText } from '@mellow-probe/core/wording/logText';
import { NOT_TAKEN } from '@mellow-probe/core/wording/storageText';
import { pairsOfChecks } from '@mellow-probe/core/history/learn/pairsOfChecks';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { describe, expect, test } from 'vitest';
import { browser, until } from '../../../test/browserWindow.ts';
import { lastSaved } from '../../../test/savedFiles.ts';
import {
  bring,
  checkOpened,
  DEMO,
  drawn,
  isOff,
  jobDoor,
  listOf,
  NOW,
  pickFrom,
  plain,
  press,
  pressNamed,
  rowsOf,
  show,
  type,
  typedFields,
  untilShown,
  usedOnCheck,
} from '../../../test/mountedScreens.ts';

const { useCurves } = await import('../../session/curves.ts');
const { useKit } = await import('../../session/kit.ts');
const { useLive } = await import('../../data/stores/live/live.ts');
const { usePreferences } = await import('../../data/stores/preferences.ts');
const { default: BathsTool } = await import('./BathsTool.vue');
const { default: CodesTool } = await import('./CodesTool.vue');
const { default: CurvesTool } = await import('./CurvesTool.vue');
const { default: IdentifyTool } = await import('./IdentifyTool.vue');
const { default: JudgeTool } = await import('./JudgeTool.vue');
const { default: LearnTool } = await import('./LearnTool.vue');
const { default: MachineTool } = await import('./MachineTool.vue');
const { default: OwnCurveTool } = await import('./OwnCurveTool.vue');
const { default: SubstitutesTool } = await import('./SubstitutesTool.vue');
const { default: SweepTool } = await import('./SweepTool.vue');

const text = (w: VueWrapper, id: string): string => w.get(`[data-test="${id}"]`).text();
const has = (w: VueWrapper, id: string): boolean => w.find(`[data-test="${id}"]`).exists();
const model = (id = 'ntc-2k8') => useCurves().byId(id).model;

describe('a saved curve', () => {
  test('its table, chart and CSV are those of the curve, from, to and by the step that is typed', async () => {
    const wrapper = await show(CurvesTool);
    expect(rowsOf(wrapper, curveWords.tableLabel)).toHaveLength(17);
    await type(wrapper, curveWords.from, '0');
    await type(wrapper, curveWords.to, '50');
    await type(wrapper, curveWords.step('C'), '12.5');
    const lines = curveTable(model(), 0, 50, 12.5);
    expect(rowsOf(wrapper, curveWords.tableLabel)).toEqual(
      lines.map((l, i) =>
        [`${12.5 * i} °C`, formatOhm(l.resistanceOhm), `${formatOhm(l.lowOhm)} … ${formatOhm(l.highOhm)}`].map(plain),
      ),
    );
    const chart = drawn(wrapper);
    const { x, y } = chart[useCurves().byId('ntc-2k8').name];
    expect([x[0], x.at(-1), x.length]).toEqual([0, 50, 121]);
    expect([y[0], y.at(-1)]).toEqual([0, 50].map((t) => model().resistanceOhm(t)));
    expect(chart[curveWords.low].y[60]).toBeLessThan(y[60]);
    expect(chart[curveWords.high].y[60]).toBeGreaterThan(y[60]);
    await press(wrapper, curveWords.csv);
    expect((await lastSaved()).text).toBe(curveCsv(lines));
    await press(wrapper, curveWords.json);
    expect(openCurve((await lastSaved()).text)).toMatchObject({ ok: true });
    expect(usedOnCheck(wrapper, curveWords.useOnCheck).circuit.curve).toMatchObject({
      source: 'given',
      name: useCurves().byId('ntc-2k8').name,
    });
  });
  test('5 °F are no 5 K: the step is in the unit shown', async () => {
    usePreferences().temperatureUnit = 'F';
    const wrapper = await show(CurvesTool);
    await type(wrapper, curveWords.from, '32');
    await type(wrapper, curveWords.to, '50');
    await type(wrapper, curveWords.step('F'), '9');
    expect(rowsOf(wrapper, curveWords.tableLabel).map(([t]) => t)).toEqual(['32 °F', '41 °F', '50 °F']);
    expect(drawn(wrapper)[curveWords.low].x[0]).toBeCloseTo(32, 9);
  });
  test('it is named by R25 and both B values; a curve that is not NTC has neither', async () => {
    const wrapper = await show(CurvesTool);
    const r = model();
    const b = (low: number, high: number): number =>
      Math.log(r.resistanceOhm(low) / r.resistanceOhm(high)) / (1 / (low + 273.15) - 1 / (high + 273.15));
    expect(plain(text(wrapper, 'curve-names'))).toBe(
      plain(
        `R25 ${formatOhm(r.resistanceOhm(25))} · B25/85 ${Math.round(b(25, 85))} K · B0/50 ${Math.round(b(0, 50))} K`,
      ),
    );
    expect(plain(text(wrapper, 'curve-facts'))).toContain(
      plain(`${formatTemperature(r.minC, 'C')} … ${formatTemperature(r.maxC, 'C')}`),
    );
    const rising = useCurves().all.find((c) => c.model.slope !== 'ntc')!;
    wrapper.findComponent({ name: 'CurvePick' }).vm.$emit('update:modelValue', rising.id);
    await flushPromises();
    expect(has(wrapper, 'curve-names')).toBe(false);
  });
  test('one of one’s own can be deleted and brought back', async () => {
    const curves = useCurves();
    const curve = { kind: 'beta', r25Ohm: 2000, betaK: 3600 } as const;
    await curves.keep({
      format: 'mellow-probe/curve',
      formatVersion: 1,
      id: 'mine',
      name: 'Mine',
      source: '',
      note: '',
      createdAt: NOW,
      curve,
    });
    const wrapper = await show(CurvesTool);
    expect(wrapper.findAll('button').some((b) => b.text() === curveWords.deleteThisCurve)).toBe(false);
    wrapper.findComponent({ name: 'CurvePick' }).vm.$emit('update:modelValue', 'mine');
    await flushPromises();
    await press(wrapper, curveWords.deleteThisCurve);
    expect([curves.all.some((c) => c.id === 'mine'), wrapper.text()]).toEqual([
      false,
      expect.stringContaining(curveWords.deleted('Mine')),
    ]);
    await press(wrapper, curveWords.undo);
    expect(curves.all.some((c) => c.id === 'mine')).toBe(true);
  });
});

describe('a curve of one’s own', () => {
  const byTable = async (table: string): Promise<VueWrapper> => {
    const wrapper = await show(OwnCurveTool);
    await wrapper.get('textarea').setValue(table);
    await flushPromises();
    return wrapper;
  };
  const TABLE = [0, 20, 40, 60, 80].map(
    (t) => `${t} °C\t${Math.round(curveModel({ kind: 'beta', r25Ohm: 2000, betaK: 3600 }).resistanceOhm(t))} Ω`,
  );
  test('from a table: the fit, its chart and what is left over; saved it is a curve like any other', async () => {
    const wrapper = await byTable(TABLE.slice(0, 1).join('\n'));
    expect(isOff(wrapper, own.saveCurve)).toBe(true);
    await wrapper.get('textarea').setValue(TABLE.join('\n'));
    await flushPromises();
    expect(text(wrapper, 'fit')).not.toBe('');
    const chart = drawn(wrapper);
    expect(chart[fit.points].x).toEqual([0, 20, 40, 60, 80]);
    expect([chart[fit.curve].x[0], chart[fit.curve].x.at(-1)]).toEqual([0, 80]);
    expect(chart[fit.curve].y[0] / chart[fit.points].y[0]).toBeCloseTo(1, 2);
    await type(wrapper, own.name, ' Oil ');
    await press(wrapper, own.saveCurve);
    await until(() => useCurves().all.some((c) => c.name === 'Oil'), 'the curve');
    await until(() => wrapper.vm.$route.path === '/shelf/curves', 'the list of curves');
    expect(wrapper.get('textarea').element.value).toBe('');
  });
  test('a mistyped row is named with its line, and can be left out', async () => {
    const wrapper = await byTable([...TABLE.slice(0, 3), '60 °C\t900 Ω', ...TABLE.slice(4)].join('\n'));
    expect(text(wrapper, 'mistyped')).toMatch(/^Line 4/);
    await press(wrapper, fit.leaveItOut);
    expect([has(wrapper, 'mistyped'), wrapper.get('textarea').element.value.split('\n')[3]]).toEqual([
      false,
      '# 60 °C\t900 Ω',
    ]);
    expect(drawn(wrapper)[fit.points].x).toEqual([0, 20, 40, 80]);
  });
  test('a table that cannot be read names its line or column and stays as it is', async () => {
    for (const [table, words] of [
      ['0;9000\nfive;2800\n20;3520', /Line 2: No temperature/],
      ['0;9000\n0;8900\n20;3520', /Line 2: This temperature is listed twice/],
      ['0;11,883\n25;9,912', /Column 2: is a mark before three digits a decimal point/],
      ['20;3520', /at least two points/],
      ['0;100\n50;119\n100;110\n150;157', /reverses|does not fit/],
    ] as const) {
      const wrapper = await byTable(table);
      const told = wrapper.findAll('.told').map((t) => t.text());
      expect(
        told.some((t) => words.test(t)),
        table,
      ).toBe(true);
      expect(wrapper.get('textarea').element.value).toBe(table);
      wrapper.unmount();
    }
  });
  test('a table with two readings waits for the answer before anything is used', async () => {
    const wrapper = await byTable('0;32,650\n25;10,000\n60;2,488');
    expect(isOff(wrapper, own.saveCurve)).toBe(true);
    await pickFrom(wrapper, reading.decimalMarkOf(2), ',');
    expect(isOff(wrapper, own.saveCurve)).toBe(true);
    await pickFrom(wrapper, reading.unitOfColumn(2), 'kΩ');
    expect(isOff(wrapper, own.saveCurve)).toBe(false);
    expect(plain(text(wrapper, 'table-reading'))).toContain('25.0 °C: 10.0 kΩ');
  });
  test('the CSV of a platinum curve comes back as that very curve', async () => {
    const pt = useCurves().all.find((c) => c.name.includes('Pt200'))!;
    const wrapper = await byTable(curveCsv(curveTable(pt.model, -50, 400, 50)));
    expect(plain(text(wrapper, 'fit'))).toContain('platinum (Callendar–Van Dusen): misses 0.00 K at left-out rows');
  });
  test('from constants: those of no sensor get a warning and cannot be saved', async () => {
    const wrapper = await show(OwnCurveTool);
    wrapper.findComponent({ name: 'ChoiceRow' }).vm.$emit('update:modelValue', 'r25b');
    await flushPromises();
    expect(wrapper.text()).not.toContain(own.noSensor);
    await type(wrapper, 'R25', '2k');
    expect([wrapper.text().includes(own.noSensor), isOff(wrapper, own.saveCurve)]).toEqual([true, true]);
    await type(wrapper, 'B (K)', '3600');
    expect([wrapper.text().includes(own.noSensor), isOff(wrapper, own.saveCurve)]).toEqual([false, false]);
    const chart = drawn(wrapper);
    expect([Object.keys(chart), chart[fit.curve].x[0]]).toEqual([[fit.curve], -40]);
    expect(usedOnCheck(wrapper, own.useOnCheck).circuit.curve).toMatchObject({
      source: 'given',
      name: own.ownCurve,
      curve: { kind: 'beta', r25Ohm: 2000, betaK: 3600 },
    });
  });
  test('too much text is not pasted: the page says so, and what was there stays', async () => {
    const wrapper = await show(OwnCurveTool);
    const paste = async (text: string): Promise<boolean> => {
      const event = new Event('paste', { bubbles: true, cancelable: true });
      Object.assign(event, { clipboardData: { getData: () => text } });
      wrapper.get('textarea').element.dispatchEvent(event);
      await flushPromises();
      return event.defaultPrevented;
    };
    expect(await paste('0 9420\n20 3520')).toBe(false);
    expect(await paste('x'.repeat(200_001))).toBe(true);
    expect(wrapper.get('p[role="status"]').text()).toContain('The earlier text stays');
  });
  test('a store that is full keeps the curve on the page and says so', async () => {
    const wrapper = await show(OwnCurveTool);
    await wrapper.get('textarea').setValue('0 9420\n20 3520\n40 1459\n60 667\n80 332');
    await flushPromises();
    await type(wrapper, own.name, 'Flow sensor');
    browser.refuse = 'full';
    await press(wrapper, own.saveCurve);
    await untilShown(() => wrapper.text().includes(own.notSaved), 'the refusal');
    expect(typedFields(wrapper).map((f) => f.field.element.value)).toContain('Flow sensor');
    browser.refuse = null;
    // With the next letter the store has the draft, too.
    await type(wrapper, own.name, 'Flow sensor 2');
    await untilShown(() => !Object.keys(localStorage).some((key) => key.includes('.ahead.')), 'the draft in the store');
    await press(wrapper, own.saveCurve);
    await until(() => useCurves().all.some((c) => c.name === 'Flow sensor 2'), 'the curve on the list');
  });
  test('a file: a table goes into the field with its name, a curve is saved, what is neither says why', async () => {
    const wrapper = await show(OwnCurveTool);
    wrapper.findComponent({ name: 'ChoiceRow' }).vm.$emit('update:modelValue', 'table');
    await flushPromises();
    await bring(wrapper, ['oil.txt', TABLE.join('\n')]);
    await until(() => wrapper.get('textarea').element.value !== '', 'the table');
    expect(typedFields(wrapper).find((f) => f.name === own.name)!.field.element.value).toBe('oil');
    const rows = Array.from({ length: 100_000 }, (_, i) => `${i};${300_000 - i}`).join('\n');
    await bring(wrapper, ['many.csv', rows]);
    await untilShown(() => wrapper.find('p[role="status"]').exists(), 'why');
    expect(wrapper.get('p[role="status"]').text()).toContain('Too many: 100000 rows');
    expect(wrapper.get('textarea').element.value).toBe(TABLE.join('\n'));
    await bring(wrapper, ['x.json', '{"format":"other"}']);
    await until(() => wrapper.find('p[role="status"]').exists(), 'why');
    expect(wrapper.get('p[role="status"]').text()).toMatch(/^Not opened/);
    await bring(wrapper, ['huge.txt', 'x'.repeat(2_000_001)]);
    expect(wrapper.get('p[role="status"]').text()).toBe(own.tooLarge('huge.txt', '2'));
  });
});

describe('what sensor is this', () => {
  const pairs = async (...list: [t: number, ohm: number][]): Promise<VueWrapper> => {
    const wrapper = await show(IdentifyTool);
    for (const [i, [t, ohm]] of list.entries()) {
      await type(wrapper, identify.temperature(i + 1), String(t));
      await type(wrapper, identify.ohms(i + 1), String(ohm));
    }
    return wrapper;
  };
  test('nothing entered asks for a pair; half a pair does not count', async () => {
    const wrapper = await show(IdentifyTool);
    expect(wrapper.text()).toContain(identify.empty);
    await type(wrapper, identify.temperature(1), '20');
    expect(wrapper.text()).toContain(identify.empty);
  });
  test('two pairs of a saved curve lead with it, and it is what is used', async () => {
    const r = model();
    const wrapper = await pairs([20, Math.round(r.resistanceOhm(20))], [80, Math.round(r.resistanceOhm(80))]);
    const [first] = wrapper.findAll('[data-test="candidate"]');
    const { name } = useCurves().byId('ntc-2k8');
    expect(first.text()).toContain(name);
    expect(rowsOf(wrapper, identify.missChart)[0][1]).toMatch(/^[+−]0\.\d K, [+−]0\.\d K$/);
    expect(usedOnCheck(wrapper, identify.useOnCheck).circuit.curve).toMatchObject({ name });
    expect(has(wrapper, 'none-fits')).toBe(false);
    // No more than eight, and none that is next to impossible.
    const shares = wrapper.findAll('[data-test="candidate"]').map((c) => /(\d[\d.]*) %/.exec(plain(c.text()))![1]);
    expect([shares.length <= 8, shares.every((s) => parseFloat(s) > 0.5)]).toEqual([true, true]);
    const { options } = listOf(wrapper, identify.curveToUse);
    expect(options!.map((o) => o.value).filter((v) => v !== '' && v !== 'not-on-the-shelf')).toHaveLength(
      shares.length - 1,
    );
  });
  test('one pair, in °F and with a gap in its figure, says which second one helps most', async () => {
    const wrapper = await show(IdentifyTool);
    await type(wrapper, identify.temperature(1), '70F');
    await type(wrapper, identify.ohms(1), '11 883');
    expect(text(wrapper, 'separate')).toContain(identify.nextPair('°', '', '', '', '').split(' °')[0]);
    await type(wrapper, identify.temperature(2), '80');
    await type(wrapper, identify.ohms(2), '1255');
    // A third of a kelvin apart: nothing measured here tells the two steep ones from each other.
    const names = wrapper.findAll('[data-test="candidate"]').map((c) => plain(c.text()));
    expect([names[0], names[1]]).toEqual([
      expect.stringContaining('NTC 10 kΩ, steep, B25/85 3978'),
      expect.stringContaining('NTC 10 kΩ, B25/85 3950'),
    ]);
    expect(usedOnCheck(wrapper, identify.useOnCheck).circuit.curve).toMatchObject({
      name: expect.stringContaining('NTC 10 kΩ, steep') as string,
    });
  });
  test('pairs of no saved curve say so, with the figures of a curve of their own to use', async () => {
    const other = curveModel({ kind: 'beta', r25Ohm: 77_000, betaK: 4600 });
    const wrapper = await pairs([20, Math.round(other.resistanceOhm(20))], [70, Math.round(other.resistanceOhm(70))]);
    expect(has(wrapper, 'none-fits')).toBe(true);
    await pickFrom(wrapper, identify.curveToUse, 'not-on-the-shelf');
    const used = usedOnCheck(wrapper, identify.useOnCheck).circuit.curve as {
      curve: { r25Ohm: number; betaK: number };
    };
    expect(used.curve.r25Ohm / 77_000).toBeCloseTo(1, 1);
    expect(used.curve.betaK / 4600).toBeCloseTo(1, 1);
    const named = identify.ntcFromPairs(formatOhm(used.curve.r25Ohm), String(Math.round(used.curve.betaK)));
    const label = (): string | undefined =>
      listOf(wrapper, identify.curveToUse).options!.find((o) => o.value === 'not-on-the-shelf')?.label;
    expect(plain(label()!)).toBe(plain(named));
    // With one pair alone there is no such curve: the likeliest of the saved ones is used.
    await type(wrapper, identify.ohms(2), '');
    expect([label(), listOf(wrapper, identify.curveToUse).modelValue]).toEqual([undefined, '']);
    expect(usedOnCheck(wrapper, identify.useOnCheck).circuit.curve).toMatchObject({
      name: listOf(wrapper, identify.curveToUse).options![0].label,
    });
    const [, second] = listOf(wrapper, identify.curveToUse).options!;
    await pickFrom(wrapper, identify.curveToUse, second.value);
    expect(usedOnCheck(wrapper, identify.useOnCheck).circuit.curve).toMatchObject({ name: second.label });
  });
  test('pairs can be added and removed, down to none', async () => {
    const wrapper = await pairs([20, 2000], [33, 1500]);
    expect(wrapper.findAll('.pair')).toHaveLength(2);
    await pressNamed(wrapper, identify.removePair(1));
    expect(typedFields(wrapper)[0].field.element.value).toMatch(/^33/);
  });
});

describe('a module’s own curve', () => {
  const rows = async (w: VueWrapper, list: [ohm: number, shown: number, volts?: number][]): Promise<void> => {
    for (const [i, [ohm, shown, volts]] of list.entries()) {
      await type(w, i === 0 ? sweep.resistor : sweep.resistorOf(i + 1), String(ohm));
      await type(w, i === 0 ? sweep.displayed : sweep.displayedOf(i + 1), String(shown));
      await type(w, i === 0 ? sweep.voltsIfRead : sweep.volts(i + 1), String(volts ?? ''));
    }
  };
  test('known resistors and what is displayed give its curve; with volts its pull-up; all of it goes on a check', async () => {
    const wrapper = await show(SweepTool);
    expect(isOff(wrapper, sweep.useOnCheck)).toBe(true);
    const r = model();
    const at = (t: number): [number, number, number] => {
      const ohm = Math.round(r.resistanceOhm(t));
      return [ohm, t, Number(((5 * ohm) / (ohm + 2490)).toFixed(3))];
    };
    await rows(wrapper, [at(0), at(20), at(40), at(60), at(80)]);
    expect(wrapper.findAll('[data-test="sweep-told"]').length).toBeGreaterThan(1);
    const chart = drawn(wrapper);
    expect(chart.rows.x).toEqual([0, 20, 40, 60, 80]);
    expect(chart.rows.y[0]).toBe(at(0)[0]);
    expect([chart[sweep.module].x[0], chart[sweep.module].x.at(-1), chart[sweep.module].x.length]).toEqual([0, 80, 80]);
    expect(chart[sweep.module].y[0] / at(0)[0]).toBeCloseTo(1, 1);
    expect(chart[useCurves().byId('ntc-2k8').name].y.at(-1)).toBeCloseTo(r.resistanceOhm(80), 6);
    const { circuit } = usedOnCheck(wrapper, sweep.useOnCheck);
    expect(circuit.curve).toMatchObject({ source: 'given', name: sweep.curveName });
    expect(circuit.pullUpOhm.value! / 2490).toBeCloseTo(1, 1);
  });
  test('its ends are those of the scale; a sensor that it does not expect is named as the wrong part', async () => {
    const wrapper = await show(SweepTool);
    for (let i = 0; i < 3; i++) await press(wrapper, sweep.anotherRow);
    await rows(wrapper, [
      ...([
        [100, 120, 0.19],
        [470, 70],
        [1000, 49, 1.43],
        [2200, 30],
        [4700, 14],
        [10_000, -1],
      ] as [number, number][]),
      ...([
        [220_000, -40],
        [470_000, -40],
      ] as [number, number][]),
    ]);
    const said = (): string[] => wrapper.findAll('[data-test="sweep-told"]').map((t) => plain(t.text()));
    expect(said()).toContain(plain(sweep.coldEnd(formatTemperature(-40, 'C'))));
    expect(said().some((t) => /Pull-up about 2\.[45]\d kΩ/.test(t))).toBe(true);
    expect(said().some((t) => t.includes('The module expects NTC 2.8 kΩ'))).toBe(true);
    expect(wrapper.findAll('[data-test="sweep-told"].odd')).toHaveLength(0);
    const other = useCurves().all.find((c) => c.name === 'NTC 5 kΩ, B25/85 3976')!;
    wrapper.findComponent({ name: 'CurvePick' }).vm.$emit('update:modelValue', other.id);
    await flushPromises();
    expect(wrapper.get('[data-test="sweep-told"].odd').text()).toContain('wrong part is fitted');
    expect(usedOnCheck(wrapper, sweep.useOnCheck).circuit.pullUpOhm.text).toMatch(/^2[45]\d\d$/);
    expect(usedOnCheck(wrapper, sweep.useOnCheck).circuit.display.minC.value).toBe(-40);
  });
  test('rows are added up to the most', async () => {
    const wrapper = await show(SweepTool);
    await press(wrapper, sweep.anotherRow);
    expect(wrapper.findAll('[data-test="sweep-row"]')).toHaveLength(6);
  });
});

describe('substitute resistors', () => {
  test('those of the drawer that come nearest, with what they show; the steps of a sweep', async () => {
    const wrapper = await show(SubstitutesTool);
    const { resistors } = useKit().kit;
    const { ohms } = ownResistors(resistors);
    const share = (resistors.tolerancePercent.value ?? 1) / 100;
    const list = substitutesFor(25, model(), ohms, share, 6);
    const cells = rowsOf(wrapper, substitutes.resistorsLabel);
    expect(cells.map((c) => c[1])).toEqual(list.map((s) => plain(formatOhm(s.ohm))));
    expect(cells.map((c) => c[2])).toEqual(list.map((s) => plain(formatTemperature(s.shownC, 'C', 1))));
    expect(cells.map((c) => c[0].split(/ [+∥] /).length)).toEqual(list.map((s) => s.parts.length));
    expect(rowsOf(wrapper, substitutes.sweepTitle)).toEqual(
      sweepSteps(-20, 110, 8, model(), ohms).map((s) => [
        plain(formatOhm(s.ohm)),
        plain(formatTemperature(s.shownC, 'C', 0)),
      ]),
    );
    const [reading] = usedOnCheck(wrapper, substitutes.addBestToCheck).readings;
    expect(reading).toMatchObject({
      measurement: 'displayed-substituted',
      conditions: { substituteOhm: { value: Number(list[0].ohm.toPrecision(4)) } },
    });
  });
  test('outside the curve the page offers none and says why; it names what it cannot read', async () => {
    const wrapper = await show(SubstitutesTool);
    const { minC, maxC } = model();
    await type(wrapper, substitutes.toBeShown, String(maxC + 1));
    const said = substitutes.outsideThisCurve(formatTemperature(minC, 'C', 0), formatTemperature(maxC, 'C', 0));
    expect([wrapper.text().includes(said), isOff(wrapper, substitutes.addBestToCheck)]).toEqual([true, true]);
    await type(wrapper, substitutes.toBeShown, String(maxC));
    expect([wrapper.text().includes(said), isOff(wrapper, substitutes.addBestToCheck)]).toEqual([false, false]);
    await pickFrom(wrapper, substitutes.myDrawer, 'own');
    expect(isOff(wrapper, substitutes.addBestToCheck)).toBe(true);
    await type(wrapper, substitutes.resistorsIOwn, '4k7, red, 220');
    expect(wrapper.text()).toContain(substitutes.notRead('red'));
    expect(useKit().kit.resistors.series).toBe('own');
    expect(rowsOf(wrapper, substitutes.resistorsLabel).length).toBeGreaterThan(0);
  });
});

describe('one resistance', () => {
  test('a figure is judged by its tolerance, in a bath or at the machine; it goes on a check as a pair', async () => {
    const wrapper = await show(JudgeTool);
    expect([wrapper.text().includes(judge.empty), isOff(wrapper, judge.addToCheck)]).toEqual([true, true]);
    const said = (): string[] => wrapper.findAll('[data-test="judged"]').map((l) => l.text());
    const odd = (): boolean => wrapper.findAll('[data-test="judged"]').some((l) => l.classes('odd'));
    const nominal = Math.round(model().resistanceOhm(20));
    await type(wrapper, judge.ohms, String(nominal));
    const inBath = said();
    expect([inBath.length > 0, odd(), isOff(wrapper, judge.addToCheck)]).toEqual([true, false, false]);
    // A thermometer beside the machine errs more than one in a stirred bath.
    await pickFrom(wrapper, judge.taken, 'machine');
    expect(said()).not.toEqual(inBath);
    expect(listOf(wrapper, judge.taken).modelValue).toBe('machine');
    await pickFrom(wrapper, judge.taken, 'bath');
    expect(said()).toEqual(inBath);
    await type(wrapper, judge.ohms, String(2 * nominal));
    expect(odd()).toBe(true);
    expect(usedOnCheck(wrapper, judge.addToCheck).comparison.pairs).toMatchObject([
      { sensor: 'this', phase: 'heating', temperatureC: { value: 20 }, resistanceOhm: { value: 2 * nominal } },
    ]);
    await type(wrapper, judge.tolerance, '0');
    expect([said(), isOff(wrapper, judge.addToCheck)]).toEqual([[], true]);
  });
});

describe('baths', () => {
  test('water boils by the altitude, or by the pressure where that is known; impossible figures get an error', async () => {
    const wrapper = await show(BathsTool);
    const boils = (): string => plain(text(wrapper, 'boils'));
    const at = (kPa: number): string => plain(formatTemperature(boilingPointC(kPa), 'C', 1));
    await type(wrapper, baths.altitudeM, '1500');
    expect(boils()).toContain(at(pressureAtAltitudeKPa(1500)));
    expect(usedOnCheck(wrapper, baths.useBoilingWater).comparison.pairs[0].temperatureC.value).toBe(
      Number(boilingPointC(pressureAtAltitudeKPa(1500)).toFixed(1)),
    );
    await type(wrapper, baths.altitudeM, '3000');
    expect(boils()).toContain('90.0 °C');
    await type(wrapper, baths.altitudeM, '12000');
    expect([has(wrapper, 'boils'), wrapper.text().includes(baths.altitudeLimits)]).toEqual([false, true]);
    await type(wrapper, baths.pressure, '950');
    expect(boils()).toContain('98.2 °C');
    usePreferences().temperatureUnit = 'F';
    await flushPromises();
    expect(boils()).toContain('208.7 °F');
    usePreferences().temperatureUnit = 'C';
    await type(wrapper, baths.pressure, '1');
    expect([
      has(wrapper, 'boils'),
      wrapper.text().includes(baths.pressureLimits),
      isOff(wrapper, baths.useBoilingWater),
    ]).toEqual([false, true, true]);
    expect(usedOnCheck(wrapper, baths.useIceBath).comparison.pairs).toMatchObject([
      { sensor: 'this', temperatureC: { value: 0 } },
    ]);
  });
  test('readings over time say where they end, once there are some', async () => {
    const wrapper = await show(BathsTool);
    expect(has(wrapper, 'settled')).toBe(false);
    for (const [i, v] of [20, 50, 65].entries()) {
      await type(wrapper, baths.minute(i + 1), String(i));
      await type(wrapper, baths.reading(i + 1), String(v));
    }
    // Halved at each step: 80 remains.
    expect(text(wrapper, 'settled')).toMatch(/\b80\b|79\.|80\./);
    const { length } = wrapper.findAll('.timed');
    await press(wrapper, baths.anotherReading);
    expect(wrapper.findAll('.timed')).toHaveLength(length + 1);
  });
});

describe('own codes', () => {
  const listed = (w: VueWrapper): string[][] =>
    has(w, 'own-codes') ? rowsOf(w, codes.ownCodes).map((r) => r.slice(0, 2)) : [];
  test('a code needs its circuit; added the form is empty; deleted it comes back', async () => {
    const wrapper = await show(CodesTool);
    await type(wrapper, codes.code, ' E12 ');
    expect(isOff(wrapper, codes.addTheCode)).toBe(true);
    await wrapper.get('form').trigger('submit');
    expect(listed(wrapper)).toEqual([]);
    await type(wrapper, codes.circuit, 'flue gas');
    await wrapper.get('form').trigger('submit');
    expect([listed(wrapper), typedFields(wrapper)[0].field.element.value]).toEqual([[['E12', 'flue gas']], '']);
    await pressNamed(wrapper, codes.deleteCode('E12'));
    expect(listed(wrapper)).toEqual([]);
    await press(wrapper, codes.undo);
    expect(listed(wrapper)).toEqual([['E12', 'flue gas']]);
    await press(wrapper, codes.csv);
    expect((await lastSaved()).text).toContain('E12');
  });
  test('a code of the standards may get another meaning; the page says that it is known', async () => {
    const wrapper = await show(CodesTool);
    await type(wrapper, codes.code, 'P0118');
    expect(wrapper.get('.told').text()).toMatch(/^P0118/);
    await type(wrapper, codes.code, 'E12');
    expect(wrapper.find('.told').exists()).toBe(false);
  });
  test('a file says how many came, and what did not', async () => {
    const wrapper = await show(CodesTool);
    await type(wrapper, codes.code, 'E12');
    await type(wrapper, codes.circuit, 'flow temperature');
    await wrapper.get('form').trigger('submit');
    await bring(wrapper, ['codes.csv', 'E13;return temperature;open\nE14;;open\n']);
    await until(() => wrapper.findAll('p[role="status"]').length > 0, 'what came');
    const said = wrapper.findAll('p[role="status"]').map((p) => p.text());
    expect(said).toEqual([
      codes.taken('codes.csv', '1 code'),
      expect.stringContaining('Line 2 is left out: no circuit'),
    ]);
    await press(wrapper, codes.csv);
    expect((await lastSaved()).text).toBe(
      'code,circuit,meaning\nE12,flow temperature,open\nE13,return temperature,open\n',
    );
    expect(rowsOf(wrapper, codes.ownCodes).map((r) => r.slice(0, 3))).toContainEqual([
      'E13',
      'return temperature',
      'open',
    ]);
    await bring(wrapper, ['big.csv', 'x'.repeat(500_001)]);
    expect(wrapper.findAll('p[role="status"]').map((p) => p.text())).toEqual([codes.tooLarge('big.csv')]);
  });
});

describe('all sensors of a machine', () => {
  test('the one that is out of line is named, drawn and can be checked, with what is known of it', async () => {
    const wrapper = await show(MachineTool);
    expect(wrapper.text()).toContain(machine.enterThree);
    await type(wrapper, machine.machine, 'Pump 3');
    for (const [i, v] of ['18', '18.5', '31', '18.2'].entries())
      await type(wrapper, i === 0 ? machine.moment(1) : machine.valueOf(i + 1, 1), v);
    await type(wrapper, machine.sensorOf(3), 'Oil');
    await type(wrapper, machine.airC, '18');
    await until(
      () => has(wrapper, 'machine-told') && wrapper.text().includes(machine.startACheck('Oil')),
      'the verdict',
    );
    expect(wrapper.text()).not.toContain(machine.enterThree);
    expect(wrapper.get('[data-test="machine-told"]').classes('odd')).toBe(true);
    expect(drawn(wrapper).Oil.y).toEqual([31]);
    await press(wrapper, machine.startACheck('Oil'));
    const job = await checkOpened(wrapper);
    expect(job).toMatchObject({
      machine: 'Pump 3',
      title: 'Pump 3 · Oil',
      complaint: { symptoms: ['reads-hot'] },
      note: expect.stringMatching(/^Oil: 31/) as string,
    });
    expect(job.moments[0].temperatureC.value).toBe(18);
  });
  test('one that reads cold, without a name of the machine and without the air, is checked as cold', async () => {
    const wrapper = await show(MachineTool);
    await type(wrapper, machine.paste, 'A 60\nB 60.5\nC 44\nD 61');
    await press(wrapper, machine.useThem);
    expect(typedFields(wrapper).find((f) => f.name === machine.paste)!.field.element.value).toBe('');
    await untilShown(() => wrapper.text().includes(machine.startACheck('C')), 'the verdict');
    expect(Object.keys(drawn(wrapper))).toEqual(expect.arrayContaining(['A', 'B', 'C', 'D']));
    await press(wrapper, machine.startACheck('C'));
    const job = await checkOpened(wrapper);
    expect(job).toMatchObject({ machine: '', title: 'C', complaint: { symptoms: ['reads-cold'] } });
    expect(job.moments[0].temperatureC.value).toBeNull();
  });
  test('names and values come from pasted lines, from another screen and from live values', async () => {
    const names = (w: VueWrapper): string[] =>
      w.findAll('[data-test="sensor-row"]').map((r) => (r.get('input').element as HTMLInputElement).value);
    const handed = await show(MachineTool, { path: '/shelf/machine?machine=Boiler&values=Flow%2060%0AReturn%2045' });
    await until(() => names(handed).length === 2, 'what was handed over');
    expect([names(handed), handed.vm.$route.fullPath]).toEqual([['Flow', 'Return'], '/shelf/machine']);
    const live = useLive();
    // One that has no value yet gives no sensor, nor does one in volts.
    for (const [name, quantity, recent] of [
      ['Coolant', 'celsius', [{ timeS: 0, value: 81.26 }]],
      ['Oil', 'celsius', []],
      ['Supply', 'volt', [{ timeS: 0, value: 5 }]],
    ] as const)
      live.channels.set(name, {
        channel: { id: name, name, quantity } as never,
        instrument: 'adapter',
        recent: [...recent],
        still: { still: false, why: 'few', amount: 0 },
      });
    live.beat++;
    await flushPromises();
    await press(handed, machine.takeLive);
    expect([names(handed), typedFields(handed).find((f) => f.name === machine.moment(1))?.field.element.value]).toEqual(
      [['Coolant'], '81.3 °C'],
    );
    await press(handed, machine.anotherSensor);
    await press(handed, machine.anotherMoment);
    expect(names(handed)).toEqual(['Coolant', '']);
    expect(handed.findAll('.moment')).toHaveLength(2);
  });
});

describe('a curve from one’s own readings', () => {
  test('the checks of a part give pairs and a curve; one that is left out gives none; saved it is on the list', async () => {
    const r = model();
    const jobs: Job[] = [];
    for (const [i, t] of [0, 25, 50, 75].entries()) {
      const job = newJob(`c${i}`, NOW);
      job.title = `Check ${i}`;
      job.repair.partNumber = 'TS-77';
      job.moments[0].temperatureC = { text: `${t} °C`, value: t };
      const ohm = Math.round(r.resistanceOhm(t));
      job.readings = [newReading('sensor-ohms', 'sensor-ohms', { text: `${ohm} Ω`, value: ohm })];
      await jobDoor(job.id).write(job, null);
      jobs.push(job);
    }
    const wrapper = await show(LearnTool);
    expect(wrapper.text()).toContain(learn.enterWhat);
    await type(wrapper, learn.ofWhat, 'zzz');
    expect(wrapper.text()).toContain(learn.noCheckMatches);
    await type(wrapper, learn.ofWhat, 'ts-77');
    await until(() => rowsOf(wrapper, learn.pairs).length === 4, 'the pairs');
    expect(text(wrapper, 'learned')).toContain(learn.learnedFrom('4 pairs', '4 checks'));
    const rows = rowsOf(wrapper, learn.pairs);
    expect(rows.map((c) => c[3]).sort()).toEqual(['Check 0', 'Check 1', 'Check 2', 'Check 3']);
    // Of each temperature its 95 % limits: two sigmas.
    expect(rows.map((c) => c[0]).sort()).toEqual(
      pairsOfChecks(jobs)
        .map((p) => plain(`${formatTemperature(p.temperatureC, 'C')} ± ${kelvinText(2 * p.sigmaK, 'C')}`))
        .sort(),
    );
    for (const [, ohm, off] of rows) {
      expect(ohm).toMatch(/Ω$/);
      expect(Math.abs(parseFloat(off.replace('−', '-')))).toBeLessThan(1);
    }
    const chart = drawn(wrapper);
    expect(chart.pairs.x.toSorted((a, b) => a - b)).toEqual([0, 25, 50, 75]);
    expect(Math.max(...chart.pairs.y)).toBe(Math.round(r.resistanceOhm(0)));
    expect([chart.curve.x[0], chart.curve.x.at(-1), chart.curve.x.length]).toEqual([0, 75, 60]);
    for (const i of [0, 30, 59]) {
      expect(chart.curve.y[i] / r.resistanceOhm(chart.curve.x[i])).toBeCloseTo(1, 1);
      expect([chart.low.y[i] < chart.curve.y[i], chart.high.y[i] > chart.curve.y[i]]).toEqual([true, true]);
    }
    const boxes = wrapper.findAll('input[type="checkbox"]');
    await boxes[0].setValue(false);
    await boxes[1].setValue(false);
    await flushPromises();
    expect([text(wrapper, 'learned'), wrapper.get('[data-test="learned"]').classes('odd')]).toEqual([
      learn.tooFew,
      true,
    ]);
    await boxes[0].setValue(true);
    await flushPromises();
    expect(text(wrapper, 'learned')).toContain(learn.learnedFrom('3 pairs', '3 checks'));
    expect(wrapper.find('[role="alert"]').exists()).toBe(false);
    browser.refuse = 'full';
    await press(wrapper, learn.saveTheCurve);
    await untilShown(() => wrapper.find('[role="alert"]').exists(), 'the failure');
    expect([wrapper.get('[role="alert"]').text(), wrapper.vm.$route.path]).toEqual([NOT_TAKEN, '/']);
    browser.refuse = null;
    await press(wrapper, learn.saveTheCurve);
    await until(() => wrapper.vm.$route.path === '/shelf/curves', 'the list of curves');
    const own = useCurves().all.find((c) => c.name === 'ts-77')!;
    expect(own.source).toBe(learn.source('3 checks'));
    expect(own.model.resistanceOhm(25) / r.resistanceOhm(25)).toBeCloseTo(1, 1);
  });
  test('the checks of the demo: too few pairs of one part; of another a curve, over the range of its readings', async () => {
    for (const job of DEMO) await jobDoor(job.id).write(job, null);
    const wrapper = await show(LearnTool);
    await type(wrapper, learn.ofWhat, 'Beet');
    await untilShown(() => has(wrapper, 'learned') && text(wrapper, 'learned') === learn.tooFew, 'too few');
    await type(wrapper, learn.ofWhat, '10 k');
    await untilShown(() => text(wrapper, 'learned').startsWith('Learned from 8 pairs of 4 checks.'), 'the curve');
    expect(plain(text(wrapper, 'learned'))).toMatch(/ from 0 °C to 60 °C, within ± /);
    expect(wrapper.findAll('.checks input')).toHaveLength(5);
    await type(wrapper, learn.name, 'Learned here');
    await press(wrapper, learn.saveTheCurve);
    await until(() => useCurves().all.some((c) => c.name === 'Learned here'), 'the curve on the list');
    const learned = useCurves().all.find((c) => c.name === 'Learned here')!;
    expect(formatOhm(learned.model.resistanceOhm(20))).toMatch(/^14\.7/);
  });
});
