// @vitest-environment happy-dom
import { settingsWords as say } from '@mellow-probe/core/wording/screens/settings';
import { expect, test } from 'vitest';
import { expectSound, show, untilShown } from '../../../test/mountedScreens.ts';
import SettingsScreen from './SettingsScreen.vue';

test.each([
  ['/settings/general', 'general'],
  ['/settings/workshop', 'workshop'],
  ['/settings/instruments', 'instruments'],
  ['/settings/storage', 'storage'],
  ['/settings/about', 'about'],
  // An address of no part opens the first.
  ['/settings/elsewhere', 'general'],
])('%s opens its part', async (path, part) => {
  const screen = await show(SettingsScreen, { path });
  await untilShown(() => screen.find('[data-part]').exists(), 'the part');
  expectSound(screen);
  expect(screen.get('[data-part]').attributes('data-part')).toBe(part);
  expect(screen.get('h1').text()).toBe(say.settings);
  expect(screen.findAll('nav [aria-current]').at(-1)!.text()).toBe(say[part as keyof typeof say]);
});
