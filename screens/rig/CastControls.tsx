import { memo, useMemo } from 'react';
import {
  beyondMeans,
  type CastPlan,
  type Hands,
  handsOf,
  type MendBy,
  type Opening,
  ownsTheRod,
  presented,
  PRESENTATIONS,
  RHYTHMS,
  ROD_WAYS,
  shortestCast,
  standFor,
  TIP_WAYS,
  type Way,
  windAsks,
} from '@/core/cast';
import type { FishLie } from '@/core/lies';
import { rowAt } from '@/core/water';
import { Block, Button, Caution, Choice, plainOptions, Stack, Stepper, Text } from '@/ui';
import { WadeCaution } from '../shared/WadeCaution';
import { useStable } from '../shared/useStable';
import { type PlanSetting, PlanSlider } from './PlanSlider';
import {
  ANGLE,
  DOWN_THE_RUN,
  HAND_SETTINGS,
  LINE_OUT,
  MEND,
  MENDED_AT,
  RHYTHM_LABELS,
  TIP_DEPTH,
} from './planSettings';
import { useRigInHand } from './RigInHand';
import { WayRow } from './WayRow';
import { beyondWords, openingWords, outOfReachWords, windWords } from '@/words/cast';
import { format, type UnitSystem } from '@/words/units';
import { HowThisWorks } from '../shared/HowThisWorks';

interface Props {
  plan: CastPlan;
  onChoose: (rank: number) => void;
  onPlan: (part: Partial<CastPlan>) => void;
  /** The whole cast at once: another way of showing the fly leaves nothing of the last. */
  onCast: (plan: CastPlan) => void;
  /** The rule by which a swing begins today. */
  rule: Opening;
  lie: FishLie | null;
}

/** Lie, way, angle, length, mend, rod, and where one stands. Parts that a drag does not touch stay as they are drawn. */
export function CastControls({ plan, onChoose, onPlan, onCast, rule, lie }: Props) {
  const { run, survey, rig, units, means, reading } = useRigInHand();
  const least = shortestCast(rig);
  const hands = handsOf(plan);
  const ofHands = PRESENTATIONS[hands.way].sets.flatMap((set): readonly PlanSetting[] => HAND_SETTINGS[set]);
  const onValue = useStable((setting: PlanSetting, v: number) => onPlan(setting.set(plan, v)));
  const standIn = (way: Way) => lie && standFor(lie, survey.channel, rig, survey.lies, rule, way, means);
  // Another way wants another stand: the lie stays the same.
  const onWay = useStable((way: Way) => onCast(standIn(way)?.plan ?? presented(plan, way)));
  const stand = useMemo(
    () => lie && standFor(lie, survey.channel, rig, survey.lies, rule, hands.way, means),
    [lie, survey, rig, rule, hands.way, means],
  );
  // What the rig itself asks is told with it; here what this cast and this place ask.
  const ofRig = new Set(beyondMeans(means, rig).map(beyondWords));
  const beyond = beyondMeans(means, rig, plan, survey.channel)
    .map(beyondWords)
    .filter((says) => !ofRig.has(says));
  const wind = windAsks(reading.wind, run.bank, means);
  const choose = useStable(onChoose);
  const reset = useStable(() => stand && onCast(stand.plan));
  const slider = (setting: PlanSetting) => (
    <PlanSlider
      key={setting.label}
      setting={setting}
      value={setting === LINE_OUT ? Math.max(least, plan.outM) : setting.of(plan)}
      units={units}
      min={setting === LINE_OUT ? least : undefined}
      max={setting === DOWN_THE_RUN ? run.lengthM : undefined}
      onValue={onValue}
    />
  );
  return (
    <>
      <Block title="The cast">
        <LieChoice onChoose={choose} />
        <WayRow way={hands.way} onWay={onWay} />
        {[ANGLE, LINE_OUT, MEND, ...(plan.mendM === 0 ? [] : [MENDED_AT])].map(slider)}
        {plan.mendM !== 0 && plan.mendAtS ? <MendChoice by={plan.mendBy ?? 'lift'} onPlan={onPlan} /> : null}
        {ofHands.map(slider)}
        {PRESENTATIONS[hands.way].sets.includes('rhythm') ? <RhythmChoice hands={hands} onPlan={onPlan} /> : null}
        <RodChoices rod={plan.rod} tip={tipPlaceOf(plan)} ownRod={ownsTheRod(hands)} onPlan={onPlan} />
        {plan.tipUnder ? slider(TIP_DEPTH) : null}
        <HowThisWorks page="swing" />
      </Block>
      <Block title="Where you stand">
        <WadeCaution survey={survey} reading={reading} at={plan} />
        {wind ? <Text>{windWords(wind)}</Text> : null}
        {beyond.map((says) => (
          <Caution key={says}>{says}</Caution>
        ))}
        {slider(DOWN_THE_RUN)}
        {hands.way === 'swing' && rule.by ? (
          <Text size="small" tone="ink2">{`To begin with: ${openingWords(rule.by)}`}</Text>
        ) : null}
        {stand?.outOfReach ? <Caution>{outOfReachWords(stand.outOfReach, units)}</Caution> : null}
        <StandChoices
          yM={plan.yM}
          edgeM={survey.channel.edgeNear[rowAt(survey.channel, plan.xM)]!}
          inwards={plan.inwards ?? false}
          units={units}
          onPlan={onPlan}
          onReset={reset}
        />
      </Block>
    </>
  );
}

const LieChoice = memo(function LieChoice({ onChoose }: Pick<Props, 'onChoose'>) {
  const { survey, chosen } = useRigInHand();
  if (survey.lies.length === 0) return null;
  return (
    <Choice
      label="For lie"
      options={survey.lies.map((l) => ({ value: String(l.rank), label: String(l.rank) }))}
      value={chosen === null ? null : String(chosen)}
      onChange={(v) => onChoose(Number(v))}
    />
  );
});

interface RodProps extends Pick<Props, 'onPlan'> {
  rod: CastPlan['rod'];
  tip: TipPlace;
  /** The way itself says what the rod does. */
  ownRod: boolean;
}

const TIP_PLACES = ['low', ...TIP_WAYS, 'under water'] as const;
type TipPlace = (typeof TIP_PLACES)[number];
const TIP_LABELS: Record<TipPlace, string> = {
  low: 'low',
  high: 'high',
  lowered: 'raised, then lowered',
  'under water': 'under water',
};
const tipPlaceOf = (p: CastPlan): TipPlace => (p.tipUnder ? 'under water' : (p.tip ?? 'low'));

const RodChoices = memo(function RodChoices({ rod, tip, ownRod, onPlan }: RodProps) {
  return (
    <>
      {ownRod ? null : (
        <Choice label="Rod" options={plainOptions(ROD_WAYS)} value={rod} onChange={(r) => onPlan({ rod: r })} />
      )}
      <Choice
        label="Rod tip"
        options={TIP_PLACES.map((value) => ({ value, label: TIP_LABELS[value] }))}
        value={tip}
        onChange={(v) =>
          onPlan({ tipUnder: v === 'under water', tip: v === 'high' || v === 'lowered' ? v : undefined })
        }
      />
    </>
  );
});

const RhythmChoice = memo(function RhythmChoice({ hands, onPlan }: Pick<Props, 'onPlan'> & { hands: Hands }) {
  return (
    <Choice
      label="Rhythm"
      options={RHYTHMS.map((value) => ({ value, label: RHYTHM_LABELS[value] }))}
      value={hands.rhythm ?? 'even'}
      onChange={(rhythm) => onPlan({ hands: { ...hands, rhythm } })}
    />
  );
});

const MendChoice = memo(function MendChoice({ by, onPlan }: Pick<Props, 'onPlan'> & { by: MendBy }) {
  return (
    <Choice
      label="Mended by"
      options={[
        { value: 'lift', label: 'a soft lift' },
        { value: 'flick', label: 'a flick' },
      ]}
      value={by}
      onChange={(mendBy) => onPlan({ mendBy })}
    />
  );
});

interface StandProps extends Pick<Props, 'onPlan'> {
  onReset: () => void;
  yM: number;
  /** Where the water begins there, m. */
  edgeM: number;
  inwards: boolean;
  units: UnitSystem;
}

const StandChoices = memo(function StandChoices({ yM, edgeM, inwards, units, onPlan, onReset }: StandProps) {
  const step = (by: number) => onPlan({ yM: Math.round((yM + by) * 10) / 10 });
  return (
    <>
      <Stepper
        label="Out from the water’s edge"
        text={yM <= edgeM ? 'on the bank' : format('depth', yM - edgeM, units)}
        onLess={() => step(-0.5)}
        onMore={() => step(0.5)}
      />
      <Choice
        label="Cast towards"
        options={plainOptions(['the wide side', 'the near bank'] as const)}
        value={inwards ? 'the near bank' : 'the wide side'}
        onChange={(v) => onPlan({ inwards: v === 'the near bank' })}
      />
      <Stack gap="xs">
        <Button label="Stand and cast for this lie" onPress={onReset} />
        <Text size="small" tone="ink2">
          Sets your position and cast length for this way of fishing.
        </Text>
      </Stack>
    </>
  );
});
