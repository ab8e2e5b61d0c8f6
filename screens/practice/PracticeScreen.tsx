import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet } from 'react-native';
import { USUAL_QUARRY } from '@/core/lies';
import { eyeOf } from '@/core/practice/eye';
import type { OwnRun } from '@/core/practice/invented';
import { LESSON_NAMES, type LessonName } from '@/core/practice/lessons';
import { type GameKind, type Grade, GRADES, OWN_KINDS } from '@/core/practice/played';
import { useRecords } from '@/store/hooks';
import { Block, Button, Choice, IconButton, Loading, PickRow, plainOptions, Screen, Stack, Text, useWide } from '@/ui';
import { LESSON_TITLES } from '@/words/lessonTitles';
import { eyeWords, GAME_TITLES } from '@/words/practice';
import { LessonSheet } from '../shared/LessonLink';
import { PickOne } from '../shared/PickOne';
import { EyeOverTime } from './EyeOverTime';
import { HourScreen } from './HourScreen';
import { RoundScreen } from './RoundScreen';

/** Where the rounds are played when it is no run of one’s own. */
const INVENTED = 'invented';

/** A game of one round after the other on water that nobody has to drive to. */
export function PracticeScreen() {
  const router = useRouter();
  const { data: played } = useRecords('practice');
  const own = useOwnRuns();
  const wide = useWide();
  const [grade, setGrade] = useState<Grade>('plain');
  const [on, setOn] = useState(INVENTED);
  const [playing, setPlaying] = useState<{ kind: GameKind; seed: number } | null>(null);
  const run = own.get(on) ?? null;
  const asked = useMemo(() => playing && { seed: playing.seed, grade, own: run }, [playing, grade, run]);
  if (playing && asked) {
    const { kind, seed } = playing;
    const turn = {
      asked,
      onNext: () => setPlaying({ kind, seed: newSeed() }),
      onBack: () => setPlaying(null),
    };
    const key = `${kind}-${seed}`;
    return kind === 'hour' ? <HourScreen key={key} {...turn} /> : <RoundScreen key={key} kind={kind} {...turn} />;
  }
  const back = <IconButton label="Back to Learn" icon="back" onPress={() => router.navigate('/learn')} />;
  if (!played)
    return (
      <Screen title="Practice ground" lead={back}>
        <Loading what="Opening…" />
      </Screen>
    );
  const known = new Set(played.flatMap((p) => (p.lesson && p.marks > 0 ? p.lesson : [])));
  const offered = (kind: GameKind) => !run || kind === 'hour' || OWN_KINDS.includes(kind);
  return (
    <Screen title="Practice ground" subtitle="A minute a round. Your log stays as it is." lead={back} full={wide}>
      <Stack row={wide} align={wide ? 'flex-start' : 'stretch'} gap={wide ? 'xl' : 'l'}>
        <Stack gap="l" style={wide && styles.column}>
          <Choice label="How hard" options={plainOptions(GRADES)} value={grade} onChange={setGrade} />
          {own.size > 0 ? (
            <PickOne
              label="On which water"
              options={[
                { value: INVENTED, label: 'Invented water', detail: 'Another river each round' },
                ...[...own].map(
                  ([
                    value,
                    {
                      run: { name },
                    },
                  ]) => ({ value, label: name, detail: 'As you drew it' }),
                ),
              ]}
              value={on}
              onChange={setOn}
            />
          ) : null}
          {run ? (
            <Text size="small" tone="ink2">
              {`${run.run.name} as you drew it, at another level, in other light. Marks follow your drawing: they are as true as it is.`}
            </Text>
          ) : null}
          <Block title="What is due comes first">
            <Stack gap="s">
              {eyeOf(played)
                .filter((e) => offered(e.kind))
                .map((e) => (
                  <PickRow
                    key={e.kind}
                    label=""
                    value={GAME_TITLES[e.kind]}
                    detail={eyeWords(e).join('. ')}
                    icon="play"
                    onPress={() => setPlaying({ kind: e.kind, seed: newSeed() })}
                  />
                ))}
            </Stack>
          </Block>
        </Stack>
        <Stack gap="l" style={wide && styles.column}>
          <Lessons known={known} />
          <EyeOverTime played={played} />
          <PickRow
            label="To look at, without marks"
            value="What moves the fly"
            detail="One thing at a time, the rest fixed"
            onPress={() => router.navigate('/moves')}
          />
          <Text size="small" tone="ink2">
            The answers are those of this program’s own model of water, fish and line. On the river, look before you
            step in, and learn hard wading and hard casts with a qualified instructor.
          </Text>
        </Stack>
      </Stack>
    </Screen>
  );
}

/** Lessons, the next one first; the others behind a tap. */
function Lessons({ known }: { known: ReadonlySet<LessonName> }) {
  const [open, setOpen] = useState<LessonName | null>(null);
  const [all, setAll] = useState(false);
  const next = LESSON_NAMES.find((l) => !known.has(l)) ?? null;
  return (
    <Block title="Lessons for a first season">
      <Stack gap="s">
        {(all ? LESSON_NAMES : LESSON_NAMES.filter((l) => l === next)).map((l) => (
          <PickRow
            key={l}
            label={l === next ? 'Next' : ''}
            value={LESSON_TITLES[l]}
            {...(known.has(l) && { detail: 'Answered', icon: 'check' as const })}
            onPress={() => setOpen(l)}
          />
        ))}
        <Button
          kind="quiet"
          label={all ? 'Fewer lessons' : `All ${LESSON_NAMES.length} lessons`}
          onPress={() => setAll(!all)}
        />
      </Stack>
      {open ? <LessonSheet lesson={open} open onClose={() => setOpen(null)} /> : null}
    </Block>
  );
}

/** One’s own runs, with what is fished for there, by id. */
function useOwnRuns(): ReadonlyMap<string, OwnRun> {
  const { data: runs } = useRecords('run');
  const { data: waters } = useRecords('water');
  return useMemo(
    () =>
      new Map(
        (runs ?? []).map((run) => {
          const water = waters?.find((w) => w.id === run.waterId);
          return [run.id, { run, quarry: water?.quarry ?? USUAL_QUARRY }];
        }),
      ),
    [runs, waters],
  );
}

/** Seeds are whole numbers that a person could say. */
const SEEDS = 1_000_000;
const newSeed = (): number => 1 + Math.floor(SEEDS * Math.random());

const styles = StyleSheet.create({ column: { flex: 1 } });
