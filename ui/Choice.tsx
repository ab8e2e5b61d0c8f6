import { useRef } from 'react';
import { Pressable, View } from 'react-native';
import { Text } from './Text';
import { radius, space, TARGET, themed } from './theme';

interface Option<T extends string> {
  readonly value: T;
  readonly label: string;
  /** What it means, under its name: then each has a row of its own. */
  readonly says?: string;
}

interface Props<T extends string> {
  label: string;
  options: readonly Option<T>[];
  value: T | null;
  onChange: (value: T) => void;
  /** Show the label above (otherwise it is for readers only). */
  showLabel?: boolean;
}

const useStyles = themed((t) => ({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  option: {
    minHeight: TARGET,
    minWidth: TARGET,
    maxWidth: '100%',
    flexGrow: 1,
    paddingHorizontal: space.m,
    paddingVertical: space.s,
    borderRadius: radius.s,
    borderWidth: 1.5,
    borderColor: t.edge,
    backgroundColor: t.card,
    alignItems: 'center',
    justifyContent: 'center',
  },
  explained: { width: '100%', alignItems: 'flex-start' },
  chosen: { backgroundColor: t.ink, borderColor: t.ink },
  pressed: { opacity: 0.7 },
  label: { marginBottom: space.xs },
}));

/** Where the arrow keys lead within a group. */
const ARROWS: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** One of a few, all in sight: one stop of the tab key, the arrows go from one to the next. */
export function Choice<T extends string>({ label, options, value, onChange, showLabel = true }: Props<T>) {
  const s = useStyles();
  const row = useRef<View>(null);
  const at = options.findIndex((o) => o.value === value);
  const onKeyDown = (e: { key: string; preventDefault: () => void }) => {
    const by = ARROWS[e.key];
    if (by === undefined) return;
    e.preventDefault();
    const radios = [...(row.current as unknown as HTMLElement).querySelectorAll<HTMLElement>('[role=radio]')];
    const now = radios.indexOf(document.activeElement as HTMLElement);
    const next = ((now < 0 ? Math.max(0, at) : now) + by + options.length) % options.length;
    radios[next]?.focus();
    onChange(options[next]!.value);
  };
  return (
    <View role="radiogroup" aria-label={label} {...({ onKeyDown } as object)}>
      {showLabel ? (
        <Text size="small" tone="ink2" aria-hidden style={s.label}>
          {label}
        </Text>
      ) : null}
      <View style={s.row} ref={row}>
        {options.map((o, i) => {
          const chosen = o.value === value;
          return (
            <Pressable
              key={o.value}
              role="radio"
              tabIndex={i === Math.max(0, at) ? 0 : -1}
              aria-checked={chosen}
              aria-label={o.says ? `${o.label}: ${o.says}` : o.label}
              onPress={() => onChange(o.value)}
              style={({ pressed }) => [s.option, !!o.says && s.explained, chosen && s.chosen, pressed && s.pressed]}
            >
              <Text size="strong" tone={chosen ? 'onInk' : 'ink'}>
                {o.label}
              </Text>
              {o.says ? (
                <Text size="small" tone={chosen ? 'onInk' : 'ink2'}>
                  {o.says}
                </Text>
              ) : null}
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}

interface ManyProps<T extends string> {
  label: string;
  options: readonly Option<T>[];
  values: readonly T[];
  onChange: (values: readonly T[]) => void;
}

/** Any of a few, or none, all in sight. */
export function ManyChoice<T extends string>({ label, options, values, onChange }: ManyProps<T>) {
  const s = useStyles();
  return (
    <View role="group" aria-label={label}>
      <Text size="small" tone="ink2" aria-hidden style={s.label}>
        {label}
      </Text>
      <View style={s.row}>
        {options.map(({ value, label: name }) => {
          const chosen = values.includes(value);
          return (
            <Pressable
              key={value}
              role="checkbox"
              aria-checked={chosen}
              aria-label={name}
              onPress={() => onChange(chosen ? values.filter((v) => v !== value) : [...values, value])}
              style={({ pressed }) => [s.option, chosen && s.chosen, pressed && s.pressed]}
            >
              <Text size="strong" tone={chosen ? 'onInk' : 'ink'}>
                {name}
              </Text>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}

/** Options whose labels are their values. */
export const plainOptions = <T extends string>(values: readonly T[]): Option<T>[] =>
  values.map((value) => ({ value, label: value }));
