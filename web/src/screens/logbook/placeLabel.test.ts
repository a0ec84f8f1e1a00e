// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { placeCode, placeKey } from '@mellow-probe/core/history/register/placeKey';
import { notFoundWords } from '@mellow-probe/core/wording/screens/app';
import { placeLabelWords as say } from '@mellow-probe/core/wording/screens/logbook';
import { expect, test, vi } from 'vitest';
import { expectSound, jobDoor, NOW, press, show, untilShown, watchedPrint } from '../../../test/mountedScreens.ts';
import NotFoundScreen from '../notFound/NotFoundScreen.vue';
import PlaceLabel from './PlaceLabel.vue';

test('the label of a machine: its name, its code, and an address that leads to it; an unknown code is named', async () => {
  const job = { ...newJob('a', NOW), machine: 'Ferry' };
  await jobDoor('a').write(job, null);
  const code = placeCode(placeKey('Ferry', job.circuit.name));
  const label = await show(PlaceLabel, { path: `/logbook/label/${code}` });
  await untilShown(() => label.find('h1').exists(), 'the label');
  expectSound(label);
  const address = `${window.location.origin}/logbook/place/${code}`;
  expect([label.get('h1').text(), label.get('.code').text()]).toEqual(['Ferry', code]);
  expect(label.getComponent({ name: 'QrCode' }).props()).toEqual({ text: address, label: say.qrCode(address) });
  const print = watchedPrint();
  await press(label, say.print);
  expect(print).toHaveBeenCalledOnce();
  vi.unstubAllGlobals();
  const other = await show(PlaceLabel, { path: '/logbook/label/NOWHERE' });
  await untilShown(() => other.text().includes(say.unknownCode('NOWHERE')), 'that it is unknown');
});
test('an address that leads nowhere offers the nearest page', async () => {
  const page = await show(NotFoundScreen, { path: '/logbok/due' });
  expect(page.text()).toContain(notFoundWords.checkTheAddress('/logbok/due'));
  const offers = page.findAll('a').map((a) => a.attributes('href'));
  expect(offers).toEqual(expect.arrayContaining(['/']));
  expect(offers.some((to) => to!.startsWith('/logbook'))).toBe(true);
});
