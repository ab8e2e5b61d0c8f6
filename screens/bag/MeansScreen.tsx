import { CAST_KINDS, LINE_KINDS, type Means, SHOULDERS, WADE_M, wadingLimit } from '@/core/cast';
import { useSettings } from '@/store/hooks';
import { Block, Button, Caution, IconButton, Screen, Slider, Stack, Text } from '@/ui';
import { useMeans } from '../shared/useMeans';
import { YesNo } from '../shared/YesNo';
import { useBack } from './useBack';
import { format } from '@/words/units';

/** What the angler can do: asked once, changed at any time; advice keeps to it. */
export function MeansScreen() {
  const { back } = useBack('/bag');
  const [{ units }, setSettings] = useSettings();
  const { means } = useMeans();
  const set = (part: Partial<Means>) => setSettings({ means: { ...means, ...part } });
  const many = <K extends 'casts' | 'shoulders' | 'lines'>(
    key: K,
    all: readonly Means[K][number][],
    says: (v: string) => string,
  ) =>
    all.map((value) => {
      const list = means[key] as readonly string[];
      const has = list.includes(value);
      return (
        <YesNo
          key={value}
          label={says(value)}
          value={has}
          onChange={(v) => v !== has && set({ [key]: v ? [...list, value] : list.filter((x) => x !== value) })}
        />
      );
    });
  const limit = wadingLimit(means);
  return (
    <Screen
      title="What you can do"
      lead={<IconButton label="Back" icon="back" onPress={back} />}
      footer={
        <Button
          label="Done"
          kind="primary"
          onPress={() => {
            setSettings({ means });
            back();
          }}
        />
      }
    >
      <Text>Advice keeps to your casts, lines and depths, and says what would be worth learning.</Text>
      <Block title="Casts you can make">{many('casts', CAST_KINDS, (v) => `${v} cast`)}</Block>
      <Block title="Over which shoulder">{many('shoulders', SHOULDERS, (v) => `${v} shoulder`)}</Block>
      <Block title="How far">
        <Slider
          label="Longest comfortable cast, line out"
          min={6}
          max={28}
          step={0.5}
          value={means.longestM}
          onChange={(longestM) => set({ longestM })}
          format={(m) => format('line', m, units)}
        />
      </Block>
      <Block title="Lines you have fished">{many('lines', LINE_KINDS, (v) => v)}</Block>
      <Block title="Wading">
        <Slider
          label="How deep you wade"
          min={0}
          max={WADE_M}
          step={0.05}
          value={Math.min(WADE_M, means.wadeM)}
          onChange={(wadeM) => set({ wadeM })}
          format={(m) => (m === 0 ? 'not at all' : format('depth', m, units))}
        />
        <YesNo label="Children come along" value={means.children} onChange={(children) => set({ children })} />
        <Caution>
          {`Nobody is sent deeper than ${format('depth', limit.depthM, units)}, nor into fast water. Vest on, staff in hand; learn hard wading and hard casts with a qualified instructor.`}
        </Caution>
      </Block>
      <Block title="Knots">
        <Stack>
          <YesNo
            label="You tie fine knots at the water without trouble"
            value={means.fineKnots}
            onChange={(fineKnots) => set({ fineKnots })}
          />
        </Stack>
      </Block>
    </Screen>
  );
}
