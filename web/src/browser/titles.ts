import { screenTitleWords } from '@mellow-probe/core/wording/screens/app';
import { topBarWords } from '@mellow-probe/core/wording/screens/components';

const { mellowProbe: program } = topBarWords;
const TITLES: Readonly<Record<string, string>> = screenTitleWords;

/** Title of the screen of this route. */
export const screenTitle = (name: unknown): string => TITLES[String(name)] ?? '';

/** Names the window: the most particular part first, so that a row of tabs tells them apart. */
export function titled(...parts: string[]): void {
  document.title = [...parts.filter((part) => part.trim() !== ''), program].join(' · ');
}
