// @vitest-environment happy-dom
import { expect, test } from 'vitest';
import { nearestAddress } from '../screens/notFound/nearestAddress.ts';
import { SCREENS } from './screens.ts';
import { screenTitle, titled } from '../browser/titles.ts';

test('every screen has a title; the check goes before it', () => {
  for (const { name } of SCREENS) expect(screenTitle(name), name).not.toBe('');
  titled('Tern · jacket water', screenTitle('bench'));
  expect(document.title).toBe('Tern · jacket water · Check · Mellow Probe');
  titled('', screenTitle('jobs'));
  expect(document.title).toBe('Checks · Mellow Probe');
});

test('an address that does not exist offers the nearest one', () => {
  expect(nearestAddress('/logboook/due')).toMatchObject({ path: '/logbook', name: 'logbook' });
  expect(nearestAddress('/trian')).toMatchObject({ path: '/train', name: 'train' });
  expect(nearestAddress('/xyzzy')).toMatchObject({ path: '/', name: 'jobs' });
});
