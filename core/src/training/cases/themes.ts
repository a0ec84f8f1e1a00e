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
    idea: 'Five volts at the plug, and the wire is bad all the same: only a load shows it.',
  },
  {
    id: 'two-sensors',
    name: 'Two sensors, which one?',
    idea: 'Two plugs that look alike: which one does the display look at?',
  },
  {
    id: 'shared-reference',
    name: 'Shared reference',
    idea: 'Several circuits hang on one supply: what pulls them all is none of the sensors.',
  },
  { id: 'nothing-now', name: 'Nothing wrong now', idea: 'A complaint of yesterday, a code of the past: stop in time.' },
  { id: 'only-hot', name: 'Only when hot', idea: 'Cold all is well. It has to be warmed to be seen.' },
  { id: 'wiggle', name: 'Comes and goes', idea: 'It is there only while the loom is moved.' },
  {
    id: 'new-sensor',
    name: 'The new sensor did not help',
    idea: 'Somebody has changed it already: the odds have moved.',
  },
  { id: 'two-faults', name: 'Two things at once', idea: 'The first repair helps, and does not heal.' },
];

/** The theme of that id; throws on an id that is not in the list. */
export function themeById(id: string): Theme {
  const found = THEMES.find((t) => t.id === id);
  if (!found) throw new Error(`themeById: no theme "${id}"`);
  return found;
}
