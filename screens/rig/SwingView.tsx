import { useIsFocused, useRouter } from 'expo-router';
import { memo, type ReactNode, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { judge, type Trial } from '@/core/advice';
import { type CastPlan, openingCast, openingOf } from '@/core/cast';
import { movedLie, type Survey } from '@/core/lies';
import { choiceOf, type KitItem, type Rig, rigOf, takenUp } from '@/core/tackle';
import type { PlanPoint } from '@/core/water';
import { useSettings } from '@/store/hooks';
import type { Session } from '@/store/records';
import { Button, Loading, Problem, Screen, Stack, Text } from '@/ui';
import type { RunReady } from '../shared/RunGate';
import { useMeansToday } from '../shared/useMeans';
import { useResting } from '../shared/useResting';
import { useSlowly } from '../shared/useSlowly';
import { useStable } from '../shared/useStable';
import { type JudgedCast, useBand, useSwing } from '../shared/useSwing';
import { capital } from '@/words/capital';
import { throwWords } from '@/words/cast';
import { readingLine } from '@/words/water';
import { CastControls } from './CastControls';
import { ChangeRows } from './ChangeRows';
import { Compare, type KeptCast } from './Compare';
import { type RigInHand, RigInHandProvider } from './RigInHand';
import { SwingPicture, usePictureH } from './SwingPicture';
import { Fold } from '../shared/Fold';
import { SwingWords } from './SwingWords';
import { refusalWords } from '@/words/refusals';

interface Props extends RunReady {
  rig: Rig;
  kit: readonly KitItem[];
  session: Session;
  /** The cast in hand; null: the one to begin with. */
  cast: CastPlan | null;
  /** The lie that is talked about. */
  picked: number;
  onLie: (rank: number) => void;
  onChange: (change: Partial<Session>) => void;
  /** Before the picture. */
  head: ReactNode;
  /** Under what the swing does. */
  words: ReactNode;
  /** What is shown is only a first look: its picture is pale, and one is asked before one fishes it. */
  firstLook: boolean;
  /** Fishes what is shown as it is told; not said: by the cast in hand. */
  onFish?: () => void;
  children: ReactNode;
}

/** Words follow a hand that drags no faster than they can be read, ms. */
const WORDS_MS = 200;

// What does not change while a hand moves the cast is left as it is drawn.
const Picture = memo(SwingPicture);
const Words = memo(SwingWords);
const Changes = memo(ChangeRows);
const Kept = memo(Compare);

/** The swing of the rig and cast in hand: picture, verdict, what to change, controls. */
export function SwingView({ run, water, survey: found, today, rig, kit, session, onChange, ...p }: Props) {
  const router = useRouter();
  const [{ units, school }] = useSettings();
  const means = useMeansToday(run, today);
  const [moved, setMoved] = useState<(PlanPoint & { rank: number }) | null>(null);
  const [kept, setKept] = useState<KeptCast | null>(null);
  const [aboveH, setAboveH] = useState(0);
  const pictureH = usePictureH(aboveH);
  const survey = useMemo(() => withMoved(found, moved), [found, moved]);
  const lie = survey.lies.find((l) => l.rank === p.picked) ?? survey.lies[0] ?? null;
  const chosen = lie?.rank ?? null;
  const asFound = found.lies.find((l) => l.rank === chosen);
  const rule = useMemo(() => openingOf(today.reading, rig, school), [today, rig, school]);
  const opening = useMemo(
    () => openingCast(asFound, run, found.channel, rig, found.lies, rule, means),
    [asFound, found, rig, run, rule, means],
  );
  const stored = p.cast ?? opening;
  const {
    value: plan,
    set,
    moving,
    forget,
    settle,
  } = useResting(
    stored,
    useStable((cast: CastPlan) => onChange({ cast })),
  );
  const request = useMemo(() => ({ channel: survey.channel, rig, plan, lies: survey.lies }), [survey, rig, plan]);
  const inSight = useIsFocused();
  // Another run may be chosen elsewhere: what comes late would be taken for a cast on that one.
  useEffect(() => {
    if (!inSight) settle();
  }, [inSight, settle]);
  const { simulated, error } = useSwing(request, inSight);
  const band = useBand(moving ? null : simulated);
  const judged = useMemo<JudgedCast | null>(
    () =>
      simulated && {
        ...simulated,
        verdicts: judge(simulated.result, simulated.request),
      },
    [simulated],
  );
  const spoken = useSlowly(judged, WORDS_MS);
  // Nothing is said of another rig, or of lies that were elsewhere.
  const told = spoken?.request.rig === rig && spoken.request.lies === survey.lies ? spoken : null;
  const main = told?.verdicts.find((v) => v.lie.rank === chosen) ?? null;
  /** It is the first cast of the answer, and comes to no lie yet. */
  const opens = p.onFish !== undefined && (main?.fit === 'not reached' || main?.fit === 'not fishing');
  const rigged = useMemo(() => (session.rigged ?? []).flatMap((c) => rigOf(kit, c) ?? []), [session.rigged, kit]);
  const inHand = useMemo<RigInHand>(
    () => ({
      ...{ run, survey, rig, kit, rigged, means, units, chosen },
      rules: water?.rules ?? null,
      reading: today.reading,
    }),
    [run, survey, rig, kit, rigged, means, water, today, units, chosen],
  );

  const setPlan = useStable((part: Partial<CastPlan>) => set({ ...plan, ...part }));
  const setCast = (cast: CastPlan | null) => {
    forget();
    onChange({ cast });
  };
  const apply = useStable((t: Trial) => {
    forget();
    const tied = choiceOf(t.rig);
    const rods = t.rig.rod.id === rig.rod.id ? { rig: tied } : takenUp(session.rig, session.rigged ?? [], tied);
    onChange({ cast: t.plan, ...rods });
  });
  const fish =
    p.onFish ??
    (() => {
      setCast(plan);
      router.navigate('/fish');
    });
  const moveLie = useStable((p: PlanPoint) => lie && setMoved({ ...p, rank: lie.rank }));
  const setTip = useStable((tipId: string) => onChange({ rig: { ...choiceOf(rig), tipId } }));
  return (
    <RigInHandProvider value={inHand}>
      <Screen
        title={run.name}
        subtitle={readingLine(today.reading, units)}
        footer={
          p.firstLook ? (
            <>
              <Text>The answer is not finished yet.</Text>
              <Button label="Fish the first answer" kind="quiet" onPress={fish} />
            </>
          ) : (
            <Button label="Fish this" kind="primary" onPress={fish} />
          )
        }
        picture={
          <Stack>
            <View onLayout={(e) => setAboveH(e.nativeEvent.layout.height)}>{p.head}</View>
            {judged ? (
              <Picture
                aboveH={aboveH}
                judged={judged}
                told={told}
                kept={kept?.judged ?? null}
                band={band}
                onPlan={setPlan}
                onMoveLie={moveLie}
                onTip={setTip}
                pale={p.firstLook}
                opens={opens}
              />
            ) : error ? null : (
              <Loading what="Simulating the swing…" room={pictureH} />
            )}
          </Stack>
        }
        third={
          <>
            <Fold title="Change the cast" summary={capital(throwWords(plan, units))}>
              {lie && main && inSight && !opens ? (
                <Changes
                  lie={lie}
                  verdict={main}
                  plan={moving ? stored : plan}
                  settled={!moving && told?.request === request}
                  onApply={apply}
                />
              ) : null}
              <CastControls
                plan={plan}
                onChoose={(rank) => {
                  p.onLie(rank);
                  setMoved(null);
                }}
                onPlan={setPlan}
                onCast={setCast}
                rule={rule}
                lie={lie}
              />
              <Kept judged={told} kept={kept} onKeep={setKept} />
              <Button
                label="What moves the fly?"
                hint="Try one thing at a time"
                onPress={() => router.navigate('/moves')}
              />
            </Fold>
            {p.children}
          </>
        }
      >
        {error ? <Problem title="This cast isn’t possible">{refusalWords(error, units)}</Problem> : null}
        {p.words}
        {told ? <Words judged={told} band={band} /> : null}
        {moved ? <Button label={`Move lie ${moved.rank} back`} onPress={() => setMoved(null)} /> : null}
      </Screen>
    </RigInHandProvider>
  );
}

/** The survey with a lie where the hand has put it. */
const withMoved = (found: Survey, moved: (PlanPoint & { rank: number }) | null): Survey =>
  moved
    ? {
        ...found,
        lies: found.lies.map((l) => (l.rank === moved.rank ? movedLie(l, found.channel, moved.xM, moved.yM) : l)),
      }
    : found;
