import { useState } from 'react';
import { View } from 'react-native';
import {
  Block,
  Button,
  Caution,
  Choice,
  Empty,
  Fact,
  Hint,
  Icon,
  IconButton,
  type IconName,
  Loading,
  NumberField,
  PickRow,
  Problem,
  Screen,
  Sheet,
  Slider,
  Stack,
  Stepper,
  Text,
  TextField,
  ThemeProvider,
  useTheme,
  useToast,
} from '@/ui';
import { Hydrograph, RateBar, SunArc } from '@/ui/charts';
import { HOUR_MS } from '@/core/units';

const ICONS: IconName[] = [
  'plan',
  'read',
  'rig',
  'fish',
  'learn',
  'settings',
  'plus',
  'minus',
  'back',
  'forward',
  'close',
  'check',
  'undo',
  'caution',
  'out',
  'in',
  'edit',
];
const T0 = Date.UTC(2026, 8, 1);

/** All components in all states, for looking at; not in the navigation. */
export function ComponentsScreen() {
  const [theme, setTheme] = useState<'daylight' | 'dusk'>('daylight');
  return (
    <ThemeProvider choice={theme}>
      <Parts theme={theme} onTheme={setTheme} />
    </ThemeProvider>
  );
}

function Parts({ theme, onTheme }: { theme: 'daylight' | 'dusk'; onTheme: (t: 'daylight' | 'dusk') => void }) {
  const t = useTheme();
  const toast = useToast();
  const [number, setNumber] = useState<number | null>(1.2);
  const [text, setText] = useState('Alder pool');
  const [value, setValue] = useState(60);
  const [sheet, setSheet] = useState(false);
  return (
    <Screen
      title="Components"
      subtitle="Every part in every state"
      lead={<IconButton label="Back" icon="back" onPress={() => {}} />}
      footer={<Button label="The one primary action" kind="primary" onPress={() => toast('Pressed.', () => {})} />}
    >
      <Choice
        label="Theme"
        options={[
          { value: 'daylight', label: 'daylight' },
          { value: 'dusk', label: 'dusk' },
        ]}
        value={theme}
        onChange={onTheme}
      />
      <Block title="Type">
        <Text size="display">Display 34</Text>
        <Text size="title">Title 22</Text>
        <Text size="heading">Heading 18</Text>
        <Text>Body 16: the fly passes at 0.80 m, 1234567890.</Text>
        <Text size="small" tone="ink2">
          Small 14 in second ink
        </Text>
        <Text tone="flyText">The fly’s own colour as text</Text>
      </Block>
      <Block title="Colours">
        <Stack row wrap>
          {[...t.depth, t.bed, t.sand, t.fly, t.cautionGround].map((c, i) => (
            <View
              key={i}
              style={{ width: 44, height: 44, backgroundColor: c, borderWidth: 1, borderColor: t.hairline }}
            />
          ))}
        </Stack>
        <Stack row wrap gap="m">
          {ICONS.map((name) => (
            <Icon key={name} name={name} color={t.ink} />
          ))}
        </Stack>
      </Block>
      <Block title="Buttons">
        <Button label="Primary" kind="primary" onPress={() => {}} />
        <Button label="Plain" hint="with a second line" onPress={() => {}} />
        <Button label="About the fly" kind="fly" onPress={() => {}} />
        <Button label="Quiet" kind="quiet" onPress={() => {}} />
        <Button label="Not now" disabled onPress={() => {}} />
        <Button label="Big, with a key" big shortcut="C" onPress={() => {}} />
        <Button label="Open a sheet" onPress={() => setSheet(true)} />
        <PickRow label="A row" value="that opens something" detail="and says more" onPress={() => {}} />
        <PickRow label="" value="chosen" chosen onPress={() => {}} />
      </Block>
      <Block title="Entering">
        <TextField label="Text" value={text} onChange={setText} hint="A hint stands below" />
        <TextField
          label="Text that is wrong"
          value={text}
          onChange={setText}
          error="Says what is wrong and what to do."
        />
        <NumberField label="Number" unit="m" value={number} min={0} max={5} onChange={setNumber} />
        <Slider label="Slider" value={value} min={10} max={110} step={5} onChange={setValue} format={(v) => `${v}°`} />
        <Stepper
          label="Stepper"
          text={`${value}°`}
          onLess={() => setValue(value - 5)}
          onMore={() => setValue(value + 5)}
          canMore={value < 110}
        />
      </Block>
      <Block title="Saying">
        <Hint>A hint is paper with an ink line.</Hint>
        <Caution>Amber is danger and nothing else.</Caution>
        <Caution strong>Strong: stop.</Caution>
        <Fact name="A fact" value="46 %" />
        <Loading what="Waiting for something…" onCancel={() => {}} />
        <Problem title="What went wrong" onRetry={() => {}}>
          And what to do about it.
        </Problem>
        <Empty title="Empty" actions={<Button label="How to begin" onPress={() => {}} />}>
          What goes here.
        </Empty>
      </Block>
      <Block title="Charts">
        <Hydrograph
          points={Array.from({ length: 100 }, (_, i) => ({ at: T0 + i * HOUR_MS, value: 20 * Math.sin(i / 15) }))}
          unit="cm"
          now={T0 + 100 * HOUR_MS}
          height={140}
          summary="A sample hydrograph"
        />
        <SunArc
          altitude={Array.from({ length: 49 }, (_, i) => ({
            at: T0 + (i * HOUR_MS) / 2,
            deg: 45 * Math.sin(((i - 12) * Math.PI) / 24),
          }))}
          marks={[{ at: T0 + 6 * HOUR_MS, text: '06:00' }]}
          now={T0 + 10 * HOUR_MS}
          height={120}
          summary="A sample of the sun’s height"
        />
        <RateBar low={0.004} mean={0.01} high={0.02} max={0.03} />
      </Block>
      <Sheet title="A sheet" open={sheet} onClose={() => setSheet(false)}>
        <Text>It rises over the page.</Text>
      </Sheet>
    </Screen>
  );
}
