import type { ReactNode } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { Stack } from './Stack';
import { Text } from './Text';
import { SHORT, space, themed, VERY_WIDE, WIDE } from './theme';

interface Props {
  title: string;
  subtitle?: string;
  /** The title says what to do now: it is read out as it changes, and its subtitle is as large as the text. */
  now?: boolean;
  /** Before the title: a way back. */
  lead?: ReactNode;
  /** At the right of the title. */
  trail?: ReactNode;
  /** The one primary action, at the thumb. */
  footer?: ReactNode;
  /** On a wide screen: the picture, beside the content. On a phone it comes first. */
  picture?: ReactNode;
  /** On a phone the picture stays in view while the content goes by under it. */
  stays?: boolean;
  /** What comes after the content; on a very wide screen with a picture it stands beside it. */
  third?: ReactNode;
  /** The content lays itself out over the whole of a wide screen. */
  full?: boolean;
  children: ReactNode;
}

/** Room below the content, px: its last button can be scrolled clear of a message. */
const MESSAGE = 80;

const useStyles = themed((t) => ({
  screen: { flex: 1, backgroundColor: t.paper },
  head: {
    flexDirection: 'row',
    alignItems: 'flex-start',
    gap: space.s,
    paddingHorizontal: space.l,
    paddingTop: space.m,
    paddingBottom: space.s,
  },
  titles: { flex: 1, minWidth: 0 },
  content: { paddingHorizontal: space.l, paddingBottom: space.xl + MESSAGE, gap: space.l },
  narrow: { width: '100%', maxWidth: 640 },
  footer: {
    paddingHorizontal: space.l,
    paddingVertical: space.s,
    borderTopWidth: 1,
    borderTopColor: t.hairline,
    backgroundColor: t.paper,
    gap: space.s,
  },
  /** Of what scrolls. */
  inside: { paddingHorizontal: 0 },
  panes: { flex: 1, flexDirection: 'row' },
  left: { flex: 6, padding: space.l, paddingTop: 0, paddingRight: 0 },
  right: { flex: 5 },
  third: { flex: 4 },
  stays: { backgroundColor: t.paper, paddingBottom: space.s },
  fill: { flex: 1 },
}));

/** The buttons at the thumb: messages stand above them. */
export const FOOTER = 'screen-footer';

/** Two columns by width and height. */
export function useWide(): boolean {
  const { width, height } = useWindowDimensions();
  return width >= WIDE && height >= SHORT;
}
const useShort = (): boolean => useWindowDimensions().height < SHORT;

/** The frame of every screen: title, content, at most one primary action. */
export function Screen({
  title,
  subtitle,
  now = false,
  lead,
  trail,
  footer,
  picture,
  stays = false,
  third,
  full,
  children,
}: Props) {
  const s = useStyles();
  const wide = useWide();
  const short = useShort();
  const { width } = useWindowDimensions();
  const beside = wide && width >= VERY_WIDE && picture && third;
  const head = (
    <View style={[s.head, short && s.inside]}>
      {lead}
      <View style={s.titles}>
        <Text size="title" level={1} numberOfLines={2} {...(now && { 'aria-live': 'polite' })}>
          {title}
        </Text>
        {subtitle ? (
          <Text size={now ? 'body' : 'small'} tone={now ? 'ink' : 'ink2'}>
            {subtitle}
          </Text>
        ) : null}
      </View>
      {trail}
    </View>
  );
  const foot = footer ? (
    <View style={[s.footer, short && s.inside]} testID={FOOTER}>
      {footer}
    </View>
  ) : null;
  // With little height the head and the foot would leave no room between them: all of it scrolls.
  const scroll = (
    <ScrollView
      style={s.fill}
      contentContainerStyle={[s.content, !picture && !full && s.narrow]}
      {...(stays && !wide && !short && { stickyHeaderIndices: [1] })}
    >
      {short ? head : null}
      {wide ? null : stays ? <View style={s.stays}>{picture}</View> : picture}
      {children}
      {beside ? null : third}
      {short ? foot : null}
    </ScrollView>
  );
  return (
    <View style={s.screen} role="main">
      {short ? null : head}
      {wide && picture ? (
        <View style={s.panes}>
          <View style={s.left}>{picture}</View>
          <View style={s.right}>
            {scroll}
            {foot}
          </View>
          {beside ? (
            <View style={s.third}>
              <ScrollView contentContainerStyle={s.content}>{third}</ScrollView>
            </View>
          ) : null}
        </View>
      ) : (
        <>
          {scroll}
          {short ? null : foot}
        </>
      )}
    </View>
  );
}

const useBlockStyles = themed((t) => ({
  block: { gap: space.s, borderTopWidth: 1, borderTopColor: t.hairline, paddingTop: space.m },
}));

/** A part of a screen under its own heading. */
export function Block({ title, children }: { title: string; children: ReactNode }) {
  const s = useBlockStyles();
  return (
    <View style={s.block} role="region" aria-label={title}>
      <Text size="heading" level={2}>
        {title}
      </Text>
      {children}
    </View>
  );
}

/** A name and its value on one line. */
export function Fact({ name, value }: { name: string; value: string }) {
  return (
    <Stack row gap="m" align="baseline" justify="space-between">
      <Text tone="ink2" style={{ flexShrink: 1 }}>
        {name}
      </Text>
      {/* A short value stays in one line; a long one may wrap. */}
      <Text size="number" style={{ textAlign: 'right', flexShrink: value.length > 12 ? 1 : 0 }}>
        {value}
      </Text>
    </Stack>
  );
}
