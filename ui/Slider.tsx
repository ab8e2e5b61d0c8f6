import { View } from 'react-native';
import { Text } from './Text';
import { TARGET, themed } from './theme';
import { DRAGGED, useDrag } from './useDrag';

interface Props {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  onChange: (value: number) => void;
  /** How the value is read. */
  format: (value: number) => string;
}

const KNOB = 26;

const useStyles = themed((t) => ({
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline' },
  track: { height: TARGET, justifyContent: 'center', marginHorizontal: KNOB / 2 },
  rail: { height: 4, borderRadius: 2, backgroundColor: t.edge, marginHorizontal: -KNOB / 2 },
  knob: {
    position: 'absolute',
    width: KNOB,
    height: KNOB,
    marginLeft: -KNOB / 2,
    borderRadius: KNOB / 2,
    backgroundColor: t.ink,
    borderWidth: 3,
    borderColor: t.paper,
  },
}));

/** A value along a line: drag, tap, or the arrow keys. */
export function Slider({ label, value, min, max, step, onChange, format }: Props) {
  const s = useStyles();
  const settle = (raw: number) => {
    const stepped = Math.round((raw - min) / step) * step + min;
    return Math.min(max, Math.max(min, Number(stepped.toFixed(6))));
  };
  const give = (raw: number) => {
    const to = settle(raw);
    if (to !== value) onChange(to);
  };
  const drag = useDrag((p) => give(min + Math.min(1, Math.max(0, p.x)) * (max - min)));
  const keys: Record<string, number> = {
    ArrowLeft: -1,
    ArrowDown: -1,
    ArrowRight: 1,
    ArrowUp: 1,
    PageDown: -5,
    PageUp: 5,
  };
  const onKeyDown = (e: { key: string; preventDefault: () => void }) => {
    const by = keys[e.key];
    const to = e.key === 'Home' ? min : e.key === 'End' ? max : by === undefined ? null : value + by * step;
    if (to === null) return;
    e.preventDefault();
    give(to);
  };
  const share = (Math.min(max, Math.max(min, value)) - min) / (max - min || 1);
  return (
    <View>
      <View style={s.head} aria-hidden>
        <Text size="small" tone="ink2">
          {label}
        </Text>
        <Text size="strong">{format(value)}</Text>
      </View>
      <View
        {...drag}
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-valuemin={min}
        aria-valuemax={max}
        aria-valuenow={value}
        aria-valuetext={format(value)}
        {...({ onKeyDown } as object)}
        style={[s.track, DRAGGED]}
      >
        <View style={[s.rail, { pointerEvents: 'none' }]} />
        <View style={[s.knob, { left: `${share * 100}%`, pointerEvents: 'none' }]} />
      </View>
    </View>
  );
}
