import { useId, useState } from 'react';
import { TextInput, View } from 'react-native';
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
}

export function TextField({ label, value, onChange, error, hint, multiline, unit, inputMode, onBlur }: TextFieldProps) {
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
          multiline={multiline}
          inputMode={inputMode}
          selectionColor={theme.ink2}
          style={[s.input, multiline && s.many]}
        />
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
}

const show = (v: number | null, digits: number) => (v === null ? '' : String(Number(v.toFixed(digits))));

/** A number with its unit. What is typed is kept as typed; a comma is a decimal point; limits are told, not enforced. */
export function NumberField({ value, onChange, min, max, digits = 2, error, ...rest }: NumberFieldProps) {
  const [text, setText] = useState(show(value, digits));
  const [shown, setShown] = useState(value);
  if (value !== shown) {
    // Changed from outside (another unit, a reset): show that.
    setShown(value);
    if (parse(text) !== value) setText(show(value, digits));
  }
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
      onChange={(t) => {
        setText(t);
        const n = parse(t);
        setShown(n);
        onChange(n);
      }}
    />
  );
}

function parse(text: string): number | null {
  const t = text.trim().replace(',', '.').replace('−', '-');
  return t === '' || !Number.isFinite(Number(t)) ? null : Number(t);
}
