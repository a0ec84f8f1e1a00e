// @vitest-environment happy-dom
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { formatOhm } from '@mellow-probe/core/base/units/format';
import { cardScreenWords as say } from '@mellow-probe/core/wording/screens/tools';
import { expect, test, vi } from 'vitest';
import {
  expectSound,
  listOf,
  pickFrom,
  plain,
  press,
  rowsOf,
  show,
  watchedPrint,
} from '../../../test/mountedScreens.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useCurves } from '../../session/curves.ts';
import CardScreen from './CardScreen.vue';

test('the pocket card: a page of temperatures with ohms, volts and what is shown; of the circuit that is chosen', async () => {
  const card = await show(CardScreen, { path: '/card?curve=ntc-2k8' });
  expectSound(card);
  const { model, name } = useCurves().byId('ntc-2k8');
  expect(card.get('h1').text()).toBe(name);
  const known = CATALOGUE_CIRCUITS.filter((c) => c.pullUpOhm !== null);
  const { modelValue, options } = listOf(card, say.inCircuit);
  expect([modelValue, options!.length]).toEqual([known.find((c) => c.curveId === 'ntc-2k8')!.id, known.length]);
  const rows = (): string[][] => rowsOf(card, say.tableLabel);
  expect([rows().length > 20, rows().length <= 42]).toEqual([true, true]);
  const at = (c: string): string[] => rows().find(([t]) => t === c)!;
  // 3.52 kΩ at 20 °C under the pull-up of the circuit: the divider's rule.
  const own = known.find((c) => c.id === modelValue)!;
  const ohm = model.resistanceOhm(20);
  const volts = (5 * ohm) / (ohm + own.pullUpOhm!);
  const [, fahrenheit, ohms, band, shownVolts, shown] = at('20');
  expect([fahrenheit, ohms, shown]).toEqual(['68', plain(formatOhm(ohm)), '20 °C']);
  const [low, high] = band.split(' … ').map(parseFloat);
  expect([low < parseFloat(ohms), high > parseFloat(ohms)]).toEqual([true, true]);
  expect(parseFloat(shownVolts)).toBeCloseTo(volts, 1);
  const other = known.find(
    (c) => c.pullUpOhm !== own.pullUpOhm && c.layout === own.layout && c.referenceV === own.referenceV,
  )!;
  await pickFrom(card, say.inCircuit, other.id);
  expect(parseFloat(at('20')[4])).toBeCloseTo((5 * ohm) / (ohm + other.pullUpOhm!), 1);
  usePreferences().temperatureUnit = 'F';
  await vi.waitFor(() => expect(at('20')[5]).toBe('68 °F'));
  const print = watchedPrint();
  await press(card, say.print);
  expect(print).toHaveBeenCalledOnce();
  vi.unstubAllGlobals();
});
test('without a curve in the address it is the usual one', async () => {
  const card = await show(CardScreen, { path: '/card' });
  expect(card.get('h1').text()).toBe(useCurves().byId('ntc-2k8').name);
});
