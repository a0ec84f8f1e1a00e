// @vitest-environment happy-dom
import { shelfScreenWords as say } from '@mellow-probe/core/wording/screens/tools';
import { expect, test } from 'vitest';
import { show } from '../../../test/mountedScreens.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { MOST_TEXT, tooLongText } from './tableText.ts';
import { TOOLS } from './tools.ts';
import ToolsScreen from './ToolsScreen.vue';

test.each([...TOOLS.map((t) => [t.id, t.id]), ['elsewhere', TOOLS[0].id]])(
  '/shelf/%s opens %s',
  async (address, id) => {
    const screen = await show(ToolsScreen, { path: `/shelf/${address}` });
    const tool = TOOLS.find((t) => t.id === id)!;
    expect(screen.get('[data-tool]').attributes('data-tool')).toBe(id);
    expect([screen.get('h1').text(), screen.get('header p').text()]).toEqual([tool.name, tool.purpose]);
    const current = screen.findAll(`[aria-label="${say.title}"] [aria-current="page"]`).map((a) => a.text());
    expect(current).toEqual([tool.name]);
  },
);
test('u changes the unit of temperatures', async () => {
  await show(ToolsScreen, { path: '/shelf/curves' });
  for (const unit of ['F', 'C']) {
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'u', bubbles: true }));
    expect(usePreferences().temperatureUnit).toBe(unit);
  }
});
test('a text is too long beyond the most that the field takes, with its length in thousands', () => {
  expect(tooLongText('x'.repeat(MOST_TEXT))).toBeNull();
  expect(tooLongText('x'.repeat(MOST_TEXT + 1000))).toContain(String((MOST_TEXT + 1000) / 1000));
});
