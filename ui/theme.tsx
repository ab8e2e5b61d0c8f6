import { createContext, use, useEffect, type ReactNode } from 'react';
import { StyleSheet, type ImageStyle, type TextStyle, type ViewStyle } from 'react-native';
import { useMedia } from './useMedia';

/** Roles, not colours: `fly` always and only means the fly, `caution` always and only means danger. */
export interface Theme {
  readonly name: 'daylight' | 'dusk';
  readonly paper: string;
  readonly card: string;
  readonly sand: string;
  readonly ink: string;
  readonly ink2: string;
  readonly onInk: string;
  readonly hairline: string;
  /** Edges of what can be pressed or dragged, 3:1 against what they stand on. */
  readonly edge: string;
  /** Lines of charts, 3:1 against paper and card. */
  readonly line: string;
  /** Shallow to deep. */
  readonly depth: readonly string[];
  readonly flow: string;
  readonly fly: string;
  readonly flyText: string;
  readonly flyHalo: string;
  readonly cautionGround: string;
  readonly cautionLine: string;
  readonly cautionText: string;
  readonly bed: string;
  readonly focus: string;
  readonly scrim: string;
}

export const daylight: Theme = {
  name: 'daylight',
  paper: '#FAF8F2',
  card: '#FFFFFF',
  sand: '#EFEADC',
  ink: '#16211D',
  ink2: '#43504A',
  onInk: '#FFFFFF',
  hairline: '#D9D5C8',
  edge: '#84806D',
  line: '#35756A',
  depth: ['#EAF3EE', '#CFE4DA', '#A9CFC0', '#7FB5A3', '#569483', '#35756A'],
  flow: '#FFFFFF',
  fly: '#C8371F',
  flyText: '#8F2611',
  flyHalo: '#FAF8F2',
  cautionGround: '#FFF1CC',
  cautionLine: '#8A5A00',
  cautionText: '#4D3300',
  bed: '#B9AF96',
  focus: '#1B5FA8',
  scrim: 'rgba(22,33,29,0.45)',
};

export const dusk: Theme = {
  name: 'dusk',
  paper: '#121512',
  card: '#1A1E1A',
  sand: '#211F18',
  ink: '#E3D6BC',
  ink2: '#B9AC92',
  onInk: '#15130D',
  hairline: '#3A382F',
  edge: '#857F68',
  line: '#8FBFAE',
  depth: ['#4C5B50', '#41524A', '#374843', '#2D3D39', '#23312F', '#1A2625'],
  flow: '#8A9683',
  fly: '#E8694C',
  flyText: '#F09A80',
  flyHalo: '#121512',
  cautionGround: '#3A2C0A',
  cautionLine: '#D9A441',
  cautionText: '#F5D999',
  bed: '#4A4334',
  focus: '#E3B15A',
  scrim: 'rgba(0,0,0,0.6)',
};

const ThemeContext = createContext<Theme>(daylight);
export const useTheme = (): Theme => use(ThemeContext);

type ThemeChoice = 'daylight' | 'dusk' | 'system';

export function ThemeProvider({ choice, children }: { choice: ThemeChoice; children: ReactNode }) {
  const systemDusk = useMedia('(prefers-color-scheme: dark)');
  const theme = choice === 'dusk' || (choice === 'system' && systemDusk) ? dusk : daylight;
  useEffect(() => {
    document.body.style.backgroundColor = theme.paper;
    document.querySelector('meta[name="theme-color"]')?.setAttribute('content', theme.paper);
    document.documentElement.style.colorScheme = theme.name === 'dusk' ? 'dark' : 'light';
    document.documentElement.style.setProperty('--focus', theme.focus);
  }, [theme]);
  return <ThemeContext value={theme}>{children}</ThemeContext>;
}

type Styles = Record<string, ViewStyle | TextStyle | ImageStyle>;

/** Styles that depend on the theme, made once for each. */
export function themed<S extends Styles>(make: (t: Theme) => S): () => S {
  const made = new Map<string, S>();
  return function useStyles() {
    const t = useTheme();
    let s = made.get(t.name);
    if (!s) made.set(t.name, (s = StyleSheet.create(make(t))));
    return s;
  };
}

/** Steps of four. */
export const space = { xs: 4, s: 8, m: 12, l: 16, xl: 24, xxl: 32 } as const;
export const radius = { s: 8, m: 14, l: 20 } as const;
export const FONT = 'Atkinson, system-ui, sans-serif';
/** From here on the tab bar is a rail and screens have two panes. */
export const WIDE = 900;
/** From here on a third one stands beside them. */
export const VERY_WIDE = 1700;
/** Smallest target: what a wet thumb hits. */
export const TARGET = 48;
/** Below this height (a phone on its side, a page at 200 %) what stands at the foot scrolls with the content. */
export const SHORT = 520;
