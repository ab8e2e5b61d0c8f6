import { useState } from 'react';
import { type Hands, PRESENTATIONS, usualHands, type Way, WAYS } from '@/core/cast';
import { BLOCK } from '@/core/cover/trial';
import { notAllowed, rigNotAllowed, type WaterRules } from '@/core/rules';
import {
  choiceOf,
  chosenAnew,
  describeRig,
  hangAnother,
  itemOf,
  type KitItem,
  type KitType,
  placeName,
  type Rig,
  type RigChoice,
  rigOf,
  takenUp,
} from '@/core/tackle';
import { clamp, roundTo } from '@/core/maths/bounds';
import { useSession, useSettings } from '@/store/hooks';
import type { Session } from '@/store/records';
import { Button, Choice, Loading, PickRow, Sheet, Stack, Stepper, Text } from '@/ui';
import { ItemPicker } from '../shared/ItemPicker';
import type { RunReady } from '../shared/RunGate';
import { shotOptions, withShot } from '../shared/shotOptions';
import { useAnswer } from '../shared/useAnswer';
import { useKit } from '../shared/useKit';
import { barWords, breachOf } from '@/words/rules';
import { WAY_WORDS } from '@/words/cast';
import { turnWords } from '@/words/reasons';
import { capital } from '@/words/capital';
import { format } from '@/words/units';

interface Props {
  ready: RunReady;
  rig: Rig;
  /** How the fly is fished now. */
  hands: Hands;
  rules: WaterRules | null;
  onClose: () => void;
  onChange: (rig: Rig, session: Pick<Session, 'rig' | 'rigged'>) => void;
  /** Null: as planned. */
  onHands: (hands: Hands | null) => void;
  /** To where all of the rig is chosen. */
  onRig: () => void;
  /** Holds another fly, or way, against what is on, in turn. */
  onTrial: (other: { readonly flyId: string } | { readonly hands: Hands }) => void;
}

type Part = 'fly' | 'dropper' | 'tip' | 'leader' | 'shot' | 'rod' | 'way';
const TYPE_OF: Record<'fly' | 'dropper' | 'tip' | 'leader', KitType> = {
  ...{ fly: 'fly', dropper: 'fly', tip: 'tip', leader: 'leader' },
};

/** Whatever is in force, one tap each, what is worth trying next on top; what the water forbids cannot be tapped. */
export function ChangeSheet({ ready, rig, hands, rules, onClose, onChange, onHands, onTrial, onRig }: Props) {
  const { data: kit } = useKit();
  const [session] = useSession();
  const [{ units }] = useSettings();
  const [part, setPart] = useState<Part>('fly');
  const [fair, setFair] = useState(false);
  if (!kit || !session) return null;
  // What is on the line, as the log has it, not what was last chosen under Rig.
  const now = choiceOf(rig);
  const rods = session.rigged ?? [];
  const change = (taken: ReturnType<typeof takenUp>) => {
    const next = rigOf(kit, taken.rig);
    if (next && rigNotAllowed(rules, next) === null) onChange(next, taken);
  };
  const tieOn = (choice: RigChoice) =>
    change(choice.rodId === now.rodId ? { rig: choice, rigged: rods } : takenUp(now, rods, choice));
  const retie = (some: Partial<RigChoice>) => tieOn(chosenAnew(kit, now, { ...now, ...some }));
  const [dropper, ...above] = now.droppers;
  /** A second fly as such flies are hung. */
  const hung = (flyId: string) => {
    const { fly: _fly, ...way } = hangAnother(rig, itemOf(kit, 'fly', flyId)!);
    return { ...way, flyId };
  };
  const options = [
    { value: 'fly' as const, label: rig.droppers.length > 0 ? placeName(rig, 0) : 'the fly' },
    { value: 'dropper' as const, label: dropper ? placeName(rig, 1) : 'a second fly' },
    { value: 'tip' as const, label: 'the tip' },
    { value: 'leader' as const, label: 'the leader' },
    { value: 'shot' as const, label: 'shot' },
    ...(rods.length > 0 ? [{ value: 'rod' as const, label: 'the rod' }] : []),
    { value: 'way' as const, label: 'how it’s fished' },
  ];
  return (
    <Sheet title="Change" open onClose={onClose}>
      <WorthTrying ready={ready} onTieOn={tieOn} onHands={onHands} now={now} hands={hands} />
      <Choice label="What" showLabel={false} options={options} value={part} onChange={setPart} />
      {part === 'fly' || part === 'way' ? (
        <Choice
          label="What for"
          showLabel={false}
          options={[
            { value: 'use', label: 'use it' },
            { value: 'trial', label: `fair trial, ${BLOCK} casts each in turn` },
          ]}
          value={fair ? 'trial' : 'use'}
          onChange={(v) => setFair(v === 'trial')}
        />
      ) : null}
      {part === 'rod' ? (
        <ReadyRods rods={rods} onTake={(choice) => change(takenUp(now, rods, choice))} rules={rules} />
      ) : part === 'way' ? (
        <Shown hands={hands} onHands={(to) => (fair && to ? onTrial({ hands: to }) : onHands(to))} />
      ) : part === 'shot' ? (
        <Shot kit={kit} choice={now} rules={rules} onChange={tieOn} />
      ) : (
        <ItemPicker
          key={part}
          type={TYPE_OF[part]}
          kit={kit}
          chosenId={{ fly: now.flyId, dropper: dropper?.flyId ?? '', tip: now.tipId, leader: now.leaderId }[part]}
          rules={rules}
          units={units}
          none={part === 'tip' ? 'no tip' : dropper && part === 'dropper' ? 'remove' : undefined}
          onPick={(id) => {
            if (part === 'fly' && fair) onTrial({ flyId: id });
            else if (part === 'fly') retie({ flyId: id });
            else if (part === 'tip') retie({ tipId: id });
            else if (part === 'leader') retie({ leaderId: id });
            else if (!id) retie({ droppers: above });
            else retie({ droppers: [dropper ? { ...dropper, flyId: id } : hung(id), ...above] });
          }}
        />
      )}
      <Button label="Line, float and the rest" hint="Under Rig; logged when you are back" onPress={onRig} />
    </Sheet>
  );
}

/** Shot where it sat, or as the school says, or none. */
function Shot({
  choice,
  kit,
  rules,
  onChange,
}: {
  kit: readonly KitItem[];
  choice: RigChoice;
  rules: WaterRules | null;
  onChange: (choice: RigChoice) => void;
}) {
  const [{ schools }] = useSettings();
  const bar = barWords(notAllowed(rules, { type: 'shot', id: '', name: '', massKg: 1 }));
  if (bar) return <Text>{`Shot: ${bar}.`}</Text>;
  const options = shotOptions(kit, choice.shotKg);
  if (options.length === 1) return <Text>No shot in the bag.</Text>;
  return (
    <Choice
      label="Shot on the leader"
      options={options}
      value={String(choice.shotKg ?? 0)}
      onChange={(kg) => onChange(withShot(choice, Number(kg), schools?.shot !== 'at the fly'))}
    />
  );
}

interface TryingProps {
  ready: RunReady;
  now: RigChoice;
  hands: Hands;
  onTieOn: (choice: RigChoice) => void;
  onHands: (hands: Hands) => void;
}

/** The next two changes that teach something, cheapest first, worked out while one looks. */
function WorthTrying({ ready, now, hands, onTieOn, onHands }: TryingProps) {
  const { answer, settled } = useAnswer(ready, 'change');
  const [{ units }] = useSettings();
  if (!settled || !answer) return <Loading what="Choosing what to try next…" />;
  if (answer.rotation.length === 0) return null;
  return (
    <Stack>
      {answer.rotation.map((turn) => (
        <PickRow
          key={turnWords(turn, units)}
          label={`Worth trying: a different ${turn.differs}`}
          value={turnWords(turn, units)}
          detail={turn.costS >= 60 ? `about ${Math.round(turn.costS / 60)} min` : 'seconds'}
          onPress={() =>
            turn.way !== hands.way && turn.rig.flyId === now.flyId && turn.rig.tipId === now.tipId
              ? onHands(usualHands(turn.way))
              : onTieOn(turn.rig)
          }
        />
      ))}
    </Stack>
  );
}

function ReadyRods({
  rods,
  rules,
  onTake,
}: {
  rods: readonly RigChoice[];
  rules: WaterRules | null;
  onTake: (choice: RigChoice) => void;
}) {
  const { data: kit } = useKit();
  return (
    <Stack>
      {rods.map((choice) => {
        const other = rigOf(kit ?? [], choice);
        const bar = other ? breachOf(rigNotAllowed(rules, other)) : 'Incomplete: see Rig.';
        return (
          <PickRow
            key={choice.rodId}
            label={other?.rod.name ?? ''}
            value={other ? describeRig(other) : 'A rod you have ready'}
            caution={bar}
            barred={bar !== null}
            onPress={() => onTake(choice)}
          />
        );
      })}
      <Text size="small" tone="ink2">
        Picking up another rod takes seconds.
      </Text>
    </Stack>
  );
}

/** What of the hands is altered between two casts; the rest is set under Rig. */
const CADENCE = [
  { of: 'count', key: 'countS', label: 'Count before the first pull', step: 1, least: 0, most: 20 },
  { of: 'pull', key: 'pullM', label: 'One pull', step: 0.05, least: 0.05, most: 0.8 },
  { of: 'pull', key: 'restS', label: 'Pause after a pull', step: 0.1, least: 0, most: 3 },
] as const;

/** The ways to show the fly, and the cadence of the one in use. */
function Shown({ hands, onHands }: { hands: Hands; onHands: (hands: Hands | null) => void }) {
  const [{ units }] = useSettings();
  const [draft, setDraft] = useState(hands);
  const sets = PRESENTATIONS[draft.way].sets;
  const pick = (way: Way) => onHands(usualHands(way));
  return (
    <>
      {CADENCE.filter((c) => sets.includes(c.of)).map(({ key, label, step, least, most }) => {
        const by = (n: number) => () =>
          setDraft({ ...draft, [key]: clamp(roundTo(100, draft[key] + n * step), least, most) });
        const text = key === 'pullM' ? format('depth', draft[key], units) : `${roundTo(10, draft[key])} s`;
        return <Stepper key={key} label={label} text={text} onLess={by(-1)} onMore={by(1)} />;
      })}
      {draft === hands ? null : <Button label="Fish it this way" kind="primary" onPress={() => onHands(draft)} />}
      <Stack>
        <PickRow label="" value="As planned" onPress={() => onHands(null)} />
        {WAYS.map((way) => (
          <PickRow
            key={way}
            label=""
            value={capital(way)}
            detail={WAY_WORDS[way]}
            chosen={way === hands.way}
            onPress={() => pick(way)}
          />
        ))}
      </Stack>
    </>
  );
}
