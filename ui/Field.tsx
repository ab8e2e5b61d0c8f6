import { useId, useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { Text } from './Text';
import { FONT, radius, space, TARGET, themed, useTheme } from './theme';

const useStyles = themed((t) => ({
  label: { marginBottom: space.xs },
  box: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: TARGET + 4,
    borderWidth: 1.5,
    borderColor: t.ink2,
    borderRadius: radius.s,
    backgroundColor: t.card,
    paddingHorizontal: space.m,
  },
  wrong: { borderColor: t.cautionLine, borderWidth: 2 },
  input: {
    flex: 1,
    minWidth: 0,
    minHeight: TARGET,
    fontFamily: FONT,
    fontSize: 18,
    color: t.ink,
    fontVariant: ['tabular-nums'],
  },
  sign: { minWidth: TARGET, minHeight: TARGET, alignItems: 'center', justifyContent: 'center' },
  many: { minHeight: 88, paddingVertical: space.s, textAlignVertical: 'top' },
  error: { marginTop: space.xs, backgroundColor: t.cautionGround, padding: space.xs, borderRadius: 4 },
}));

interface Base {
  label: string;
  error?: string | null;
  hint?: string;
}

interface TextFieldProps extends Base {
  value: string;
  onChange: (text: string) => void;
  multiline?: boolean;
  unit?: string;
  inputMode?: 'text' | 'decimal';
  onBlur?: () => void;
  onFocus?: () => void;
  /** Turns the sign: phones’ number pads have no minus. */
  onSign?: () => void;
}

export function TextField({
  label,
  value,
  onChange,
  error,
  hint,
  multiline,
  unit,
  inputMode,
  onBlur,
  onFocus,
  onSign,
}: TextFieldProps) {
  const s = useStyles();
  const theme = useTheme();
  const id = useId();
  return (
    <View>
      <Text size="small" tone="ink2" aria-hidden style={s.label}>
        {label}
      </Text>
      <View style={[s.box, error ? s.wrong : null]}>
        <TextInput
          aria-label={unit ? `${label}, ${unit}` : label}
          aria-describedby={error || hint ? id : undefined}
          aria-invalid={error ? true : undefined}
          value={value}
          onChangeText={onChange}
          onBlur={onBlur}
          onFocus={onFocus}
          multiline={multiline}
          inputMode={inputMode}
          selectionColor={theme.ink2}
          style={[s.input, multiline && s.many]}
        />
        {onSign ? (
          <Pressable role="button" aria-label={`${label}: plus or minus`} onPress={onSign} style={s.sign}>
            <Text size="strong">±</Text>
          </Pressable>
        ) : null}
        {unit ? (
          <Text tone="ink2" aria-hidden>
            {unit}
          </Text>
        ) : null}
      </View>
      {error ? (
        <Text size="small" tone="cautionText" nativeID={id} role="alert" style={s.error}>
          {error}
        </Text>
      ) : hint ? (
        <Text size="small" tone="ink2" nativeID={id}>
          {hint}
        </Text>
      ) : null}
    </View>
  );
}

interface NumberFieldProps extends Base {
  /** As shown, in the unit; null is empty. */
  value: number | null;
  onChange: (value: number | null) => void;
  unit?: string;
  min?: number;
  max?: number;
  digits?: number;
  /** It may be below 0: its sign can be turned. */
  signed?: boolean;
  /** A change is told once the field is left, not with each key: where what is stored moves things about. */
  whenDone?: boolean;
}

const show = (v: number | null, digits: number) => (v === null ? '' : String(Number(v.toFixed(digits))));

/** Two numbers are one: converted to another unit and back one differs in its last bit. */
const alike = (a: number | null, b: number | null): boolean =>
  a === b || (a !== null && b !== null && Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a)));

/** A number with its unit. What is typed is kept as typed, for as long as the field has the focus; a comma is a decimal point; limits
 * are told, not enforced. */
export function NumberField({
  value,
  onChange,
  min,
  max,
  digits = 2,
  error,
  signed,
  whenDone,
  ...rest
}: NumberFieldProps) {
  const [text, setText] = useState(show(value, digits));
  const [shown, setShown] = useState(value);
  const [focused, setFocused] = useState(false);
  if (value !== shown && !focused) {
    // Changed from outside (another unit, a reset), or typed and not taken: show what holds.
    setShown(value);
    if (!alike(parse(text), value)) setText(show(value, digits));
  }
  const tell = (t: string) => {
    const n = parse(t);
    if (whenDone && alike(n, value)) return;
    setShown(n);
    onChange(n);
  };
  const type = (t: string) => {
    setText(t);
    if (!whenDone) tell(t);
  };
  const leave = () => {
    setFocused(false);
    if (whenDone) tell(text);
  };
  const number = parse(text);
  const problem =
    text.trim() !== '' && number === null
      ? 'Enter a number.'
      : number !== null && min !== undefined && number < min
        ? `At least ${show(min, digits)}${rest.unit ? ` ${rest.unit}` : ''}.`
        : number !== null && max !== undefined && number > max
          ? `At most ${show(max, digits)}${rest.unit ? ` ${rest.unit}` : ''}.`
          : null;
  return (
    <TextField
      {...rest}
      inputMode="decimal"
      value={text}
      error={error ?? problem}
      onChange={type}
      onFocus={() => setFocused(true)}
      onBlur={leave}
      onSign={signed ? () => type(/^\s*[-−]/.test(text) ? text.replace(/[-−]/, '') : `-${text}`) : undefined}
    />
  );
}

function parse(text: string): number | null {
  const t = text.trim().replace(',', '.').replace('−', '-');
  return t === '' || !Number.isFinite(Number(t)) ? null : Number(t);
}
