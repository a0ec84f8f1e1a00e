import type { ThemeConfig } from 'ant-design-vue/es/config-provider/context';
import type { DesignTokenContext } from 'ant-design-vue/es/theme/internal';

/**
 * The one place of the look: colours, fonts, space, corners, widths and motion. The library's theme, the style sheets' variables,
 * the charts and the printed report are all made from this; no other file names a colour.
 */
const LIGHT = {
  paper: '#f5f0e6',
  sheet: '#fffdf8',
  field: '#ffffff',
  ink: '#22302d',
  soft: '#5a655e',
  line: '#d8cfbd',
  'line-strong': '#8d8a78',
  spruce: '#1d5a55',
  'spruce-soft': '#e0ece8',
  'on-spruce': '#fffdf8',
  amber: '#c9741b',
  'amber-ink': '#8a4a0a',
  'amber-soft': '#fbe9d2',
  clay: '#a63d2a',
  'clay-soft': '#f7e0da',
  moss: '#587a35',
  'moss-ink': '#44621f',
  'moss-soft': '#e6eed8',
  plum: '#6a3f68',
  bar: '#ece5d6',
  strip: '#b9d3cc',
  'strip-off': '#eac7be',
};
export type Palette = Readonly<typeof LIGHT>;

const DARK: Palette = {
  paper: '#14201e',
  sheet: '#1b2927',
  field: '#101a18',
  ink: '#e9e2d3',
  soft: '#a9b3a8',
  line: '#37473f',
  'line-strong': '#7b8a80',
  spruce: '#7fc4b8',
  'spruce-soft': '#23403c',
  'on-spruce': '#10201d',
  amber: '#e39a4a',
  'amber-ink': '#f0b577',
  'amber-soft': '#43311c',
  clay: '#eb9786',
  'clay-soft': '#4a2821',
  moss: '#a3c477',
  'moss-ink': '#b6d48f',
  'moss-soft': '#2c3a20',
  plum: '#cf9fcb',
  bar: '#2b3a36',
  strip: '#3f6a62',
  'strip-off': '#6d3d33',
};

/** The colours of a theme; the printed report is always light. */
export const palette = (dark: boolean): Palette => (dark ? DARK : LIGHT);

/** What does not change with the light. Lengths in px, time in s. */
export const SHAPE = {
  sans: "'IBM Plex Sans Variable', 'DejaVu Sans', sans-serif",
  mono: "'JetBrains Mono Variable', 'DejaVu Sans Mono', monospace",
  /** Corners of a sheet, of a control, of something small inside one. */
  corner: { sheet: 12, control: 9, small: 6 },
  text: { small: 12, label: 13, body: 15, title: 20, figure: 38 },
  /** Height of what is pressed: by mouse, and by a thumb in a glove. */
  control: { mouse: 44, thumb: 48 },
  motion: 0.12,
} as const;

/**
 * Widths at which the layout folds, in px. A style sheet cannot read them, so a test holds every `@media` to this list.
 * phone: one thing at a time; cards: no tables; portrait: the shelf's columns become one; desk: the bench's three stand side by side.
 * signs: the bar has room for signs beside its words.
 */
export const FOLDS = { phone: 620, cards: 700, portrait: 900, desk: 1080, signs: 1439 } as const;

/** The style sheet that defines `var(--…)` for both themes; goes into the page's head before anything else. */
export function cssVariables(): string {
  const colours = (p: Palette): string =>
    Object.entries(p)
      .map(([name, colour]) => `--${name}:${colour};`)
      .join('');
  const shape =
    `--sans:${SHAPE.sans};--mono:${SHAPE.mono};--motion:${SHAPE.motion}s;` +
    `--corner:${SHAPE.corner.sheet}px;--corner-control:${SHAPE.corner.control}px;--corner-small:${SHAPE.corner.small}px;` +
    `--press:${SHAPE.control.mouse}px;`;
  return (
    `:root,.light{${colours(LIGHT)}color-scheme:light}:root{${shape}}` +
    `:root[data-theme='dark']{${colours(DARK)}color-scheme:dark}` +
    `@media (pointer:coarse){:root{--press:${SHAPE.control.thumb}px}}` +
    `@media (prefers-reduced-motion:reduce){:root{--motion:0s}}`
  );
}

/** The library's theme in our dress. `touch`: pressed by thumbs, so everything is a size larger; `still`: nothing moves. */
export function libraryTheme(dark: boolean, touch: boolean, still: boolean): ThemeConfig {
  const motion = still ? '0s' : `${SHAPE.motion}s`;
  const p = palette(dark);
  return {
    token: {
      ...libraryColours(p),
      controlOutlineWidth: 0,
      controlHeight: touch ? SHAPE.control.thumb : SHAPE.control.mouse,
      fontFamily: SHAPE.sans,
      fontSize: SHAPE.text.body,
      borderRadius: SHAPE.corner.control,
      borderRadiusLG: SHAPE.corner.sheet,
      borderRadiusSM: SHAPE.corner.small,
      // Hairlines, not shadows.
      boxShadow: `0 0 0 1px ${p.line}`,
      boxShadowSecondary: `0 0 0 1px ${p.line}`,
      boxShadowTertiary: 'none',
      motionDurationFast: motion,
      motionDurationMid: motion,
      motionDurationSlow: motion,
    },
    components: {
      Slider: {
        colorPrimaryBorder: p.spruce,
        colorPrimaryBorderHover: p.spruce,
        colorFillTertiary: p.bar,
        colorFillSecondary: p.bar,
      },
      // A button lies on the sheet; only a field is lighter than it.
      Button: { colorBgContainer: p.sheet, colorPrimaryHover: p.spruce },
    },
  };
}

/** The library's colours, each from our palette. */
function libraryColours(p: ReturnType<typeof palette>): ThemeConfig['token'] {
  return {
    colorPrimary: p.spruce,
    colorInfo: p.spruce,
    colorSuccess: p.moss,
    colorWarning: p.amber,
    colorError: p.clay,
    colorLink: p.spruce,
    colorText: p.ink,
    colorTextSecondary: p.soft,
    colorTextTertiary: p.soft,
    colorTextQuaternary: p.soft,
    colorTextDescription: p.soft,
    colorTextHeading: p.ink,
    colorTextPlaceholder: p.soft,
    colorTextDisabled: p.soft,
    colorTextLightSolid: p['on-spruce'],
    colorPrimaryBorder: p.amber,
    colorPrimaryHover: p.spruce,
    colorPrimaryActive: p.spruce,
    colorPrimaryBg: p['spruce-soft'],
    colorPrimaryBgHover: p['spruce-soft'],
    colorInfoBg: p['spruce-soft'],
    colorInfoBorder: p.spruce,
    colorWarningBg: p['amber-soft'],
    colorWarningBorder: p.amber,
    colorErrorBg: p['clay-soft'],
    colorErrorBorder: p.clay,
    colorErrorHover: p.clay,
    colorErrorActive: p.clay,
    colorSuccessBg: p['moss-soft'],
    colorSuccessBorder: p.moss,
    colorBgLayout: p.paper,
    colorBgContainer: p.field,
    colorBgElevated: p.sheet,
    colorBgTextHover: p['spruce-soft'],
    colorBgTextActive: p['spruce-soft'],
    colorBgContainerDisabled: p.bar,
    colorBorder: p['line-strong'],
    colorBorderSecondary: p.line,
    colorSplit: p.line,
    colorFillAlter: p.sheet,
    controlItemBgHover: p['spruce-soft'],
    controlItemBgActive: p['spruce-soft'],
    controlItemBgActiveHover: p['spruce-soft'],
  };
}

/**
 * A theme once more, as it lies around itself: the library's provider of a theme asks for the one around it first, and would work out the library's
 * own dress, which nobody wears. What the library has for that comes from the caller: the page and the build have it in different forms.
 */
export function themeAround(
  { token, algorithm: _, ...rest }: ThemeConfig,
  usual: DesignTokenContext,
): DesignTokenContext {
  return {
    ...usual,
    ...rest,
    token: { ...usual.token, ...token },
  };
}
