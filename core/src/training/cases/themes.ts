/** What a training case is about. A learner may ask for one; what is really wrong he is not told. */
export interface Theme {
  id: ThemeId;
  name: string;
  /** In one line: what is to be learned from it. */
  idea: string;
}

export const THEME_IDS = [
  'any',
  'series-resistance',
  'two-sensors',
  'shared-reference',
  'nothing-now',
  'only-hot',
  'wiggle',
  'new-sensor',
  'two-faults',
] as const;
export type ThemeId = (typeof THEME_IDS)[number];

/** In the order in which their numbers are written into a case number: append only. */
export const THEMES: readonly Theme[] = [
  { id: 'any', name: 'Anything', idea: 'Whatever comes into the yard, as often as it comes.' },
  {
    id: 'series-resistance',
    name: 'Series resistance',
    idea: 'Five volts at the plug, and the wire is still bad. Only a load shows it.',
  },
  {
    id: 'two-sensors',
    name: 'Two sensors, which one?',
    idea: 'Two plugs look alike. Which of them does the display use?',
  },
  {
    id: 'shared-reference',
    name: 'Shared reference',
    idea: 'Several circuits share one supply. Something pulls all of them down.',
  },
  { id: 'nothing-now', name: 'Nothing wrong now', idea: 'An old complaint and an old code. Know when to stop.' },
  { id: 'only-hot', name: 'Only when hot', idea: 'Everything is fine when cold. Warm it up to see the fault.' },
  { id: 'wiggle', name: 'Comes and goes', idea: 'The fault appears only while the harness is moved.' },
  {
    id: 'new-sensor',
    name: 'The new sensor did not help',
    idea: 'The sensor was replaced already. That changes the odds.',
  },
  { id: 'two-faults', name: 'Two things at once', idea: 'The first repair helps but does not cure the machine.' },
];

/** The theme of that id; throws on an id that is not in the list. */
export function themeById(id: string): Theme {
  const found = THEMES.find((t) => t.id === id);
  if (!found) throw new Error(`themeById: no theme "${id}"`);
  return found;
}
