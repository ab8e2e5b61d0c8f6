import { StyleSheet, Text as Base, type TextProps, type TextStyle } from 'react-native';
import { FONT, themed, type Theme } from './theme';

const SIZES = StyleSheet.create({
  display: { fontSize: 34, lineHeight: 38, fontWeight: '750' as TextStyle['fontWeight'] },
  title: { fontSize: 22, lineHeight: 28, fontWeight: '700' },
  heading: { fontSize: 18, lineHeight: 24, fontWeight: '700' },
  body: { fontSize: 16, lineHeight: 23, fontWeight: '400' },
  strong: { fontSize: 16, lineHeight: 23, fontWeight: '700' },
  small: { fontSize: 14, lineHeight: 19, fontWeight: '400' },
  number: { fontSize: 20, lineHeight: 26, fontWeight: '700' },
});
type TextSize = keyof typeof SIZES;

interface Props extends TextProps {
  size?: TextSize;
  tone?: keyof Pick<Theme, 'ink' | 'ink2' | 'onInk' | 'flyText' | 'cautionText'>;
  /** Heading level for readers of the page's outline. */
  level?: 1 | 2 | 3;
}

const s = StyleSheet.create({ face: { fontFamily: FONT, fontVariant: ['tabular-nums'] } });
const useTones = themed((t) => ({
  ink: { color: t.ink },
  ink2: { color: t.ink2 },
  onInk: { color: t.onInk },
  flyText: { color: t.flyText },
  cautionText: { color: t.cautionText },
}));

/** All text of the program: one face, five sizes, tabular figures. */
export function Text({ size = 'body', tone = 'ink', level, style, ...rest }: Props) {
  const tones = useTones();
  return (
    <Base
      {...(level ? { role: 'heading', 'aria-level': level } : null)}
      style={[s.face, tones[tone], SIZES[size], style]}
      {...rest}
    />
  );
}
