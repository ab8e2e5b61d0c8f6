import { createContext, use, useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Button } from './Button';
import { FOOTER } from './Screen';
import { Text } from './Text';
import { radius, space, themed } from './theme';

interface Message {
  readonly text: string;
  readonly undo?: () => void;
}
type Show = (text: string, undo?: () => void) => void;

const ToastContext = createContext<Show>(() => {});
/** Tells what was done, with a way back. */
export const useToast = (): Show => use(ToastContext);

const STAYS_MS = 7000;
/** Above the rooms at the bottom of a phone, px. */
const LOWEST = 84;
const GAP = 8;

/** How far from below a message stands, px: above the buttons of the screen in sight, which it may not cover. */
function restingPlace(): number {
  if (typeof document === 'undefined') return LOWEST;
  const tops = [...document.querySelectorAll(`[data-testid="${FOOTER}"]`)]
    .filter((el) => el.getClientRects().length > 0)
    .map((el) => window.innerHeight - el.getBoundingClientRect().top + GAP);
  return Math.max(LOWEST, ...tops);
}

const useStyles = themed((t) => ({
  place: {
    position: 'absolute',
    left: space.l,
    right: space.l,
    alignItems: 'center',
    pointerEvents: 'box-none',
  },
  toast: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    maxWidth: 520,
    backgroundColor: t.ink,
    borderColor: t.paper,
    borderWidth: 2,
    borderRadius: radius.m,
    paddingLeft: space.l,
    paddingRight: space.s,
    paddingVertical: space.xs,
    minHeight: 52,
  },
  text: { flexShrink: 1 },
}));

export function ToastProvider({ children }: { children: ReactNode }) {
  const [[message], setMessages] = useState<readonly (Message & { readonly bottom: number })[]>([]);
  const s = useStyles();
  const show = useCallback<Show>((text, undo) => {
    const fresh = { text, undo, bottom: restingPlace() };
    // A way back is not taken away by something that is only told: that waits.
    setMessages(([now]) => (now?.undo && !undo ? [now, fresh] : [fresh]));
  }, []);
  // That message and no other: a newer one may have taken its place since its time began to run out.
  const done = useCallback((told: Message) => setMessages((all) => (all[0] === told ? all.slice(1) : all)), []);
  useEffect(() => {
    if (!message) return;
    const timer = setTimeout(() => done(message), STAYS_MS);
    return () => clearTimeout(timer);
  }, [message, done]);
  const body = useMemo(() => <ToastContext value={show}>{children}</ToastContext>, [show, children]);
  return (
    <>
      {body}
      <View style={[s.place, { bottom: message?.bottom ?? LOWEST }]} role="status" aria-live="polite">
        {message ? (
          <View style={s.toast}>
            <Text tone="onInk" style={s.text}>
              {message.text}
            </Text>
            {message.undo ? (
              <Button
                label="Undo"
                icon="undo"
                kind="primary"
                onPress={() => {
                  message.undo?.();
                  done(message);
                }}
              />
            ) : null}
          </View>
        ) : null}
      </View>
    </>
  );
}
