import { useState } from 'react';
import { noMoreFlies, type WaterRules } from '@/core/rules';
import {
  chosenAnew,
  FLOAT_ABOVE_M,
  hangAnother,
  itemOf,
  type KitItem,
  leaderLengthM,
  placeName,
  type RigChoice,
  SPACING_M,
  spacingOf,
  TIE_WAYS,
  type TieWay,
} from '@/core/tackle';
import { useSettings } from '@/store/hooks';
import { Button, Choice, PickRow, Slider, Stack, Text } from '@/ui';
import { FlyLikeness } from '@/ui/charts';
import { LIST_PER_M } from '../shared/ItemPicker';
import { PartSheet } from '../shared/PartSheet';
import { breachOf } from '@/words/rules';
import { itemDetail } from '@/words/tackle';
import { format } from '@/words/units';

interface Props {
  kit: readonly KitItem[];
  choice: RigChoice;
  onChange: (choice: RigChoice) => void;
  rules: WaterRules | null;
}

const WAY_LABELS: Record<TieWay, string> = {
  ring: 'from a ring',
  tag: 'on the tag of a join',
  bend: 'in line, from its bend',
  loop: 'on a sliding loop',
};
const APART_FOR: Record<ReturnType<typeof spacingOf>, string> = {
  streamers: 'for streamers',
  wets: 'for soft hackles',
  'under a float': 'under a float',
};
const MOST_ABOVE = 2;

/** The flies of the rig: the point fly, and up to two above it with how they hang. */
export function FlyRows({ kit, choice, onChange, rules }: Props) {
  const [{ units }] = useSettings();
  /** Which place is chosen for: 0 the point, one more than there are a new one. */
  const [open, setOpen] = useState<number | null>(null);
  const point = itemOf(kit, 'fly', choice.flyId);
  const leader = itemOf(kit, 'leader', choice.leaderId);
  const hung = choice.droppers.flatMap((d) => {
    const fly = itemOf(kit, 'fly', d.flyId);
    return fly ? [{ ...d, fly }] : [];
  });
  const float = itemOf(kit, 'float', choice.floatId);
  const afloat = float && { float: { item: float, aboveM: FLOAT_ABOVE_M } };
  const noMore = point ? breachOf(noMoreFlies(rules, { fly: point, droppers: hung })) : null;
  const hungWith = (i: number, part: Partial<RigChoice['droppers'][number]>) => ({
    ...choice,
    droppers: choice.droppers.map((d, j) => (j === i ? { ...d, ...part } : d)),
  });
  /** Other flies hang as is usual for them. */
  const change = (next: RigChoice) => onChange(chosenAnew(kit, choice, next));
  const pick = (place: number, id: string) => {
    const fly = itemOf(kit, 'fly', id);
    if (place === 0) change({ ...choice, flyId: id });
    else if (!id) onChange({ ...choice, droppers: choice.droppers.filter((_, i) => i !== place - 1) });
    else if (place <= choice.droppers.length) change(hungWith(place - 1, { flyId: id }));
    else if (fly && point && leader) {
      const { fly: _fly, ...way } = hangAnother({ fly: point, droppers: hung, leader, ...afloat }, fly);
      onChange({ ...choice, droppers: [...choice.droppers, { ...way, flyId: fly.id }] });
    }
    setOpen(null);
  };
  const lead = (fly: (typeof hung)[number]['fly'] | null) =>
    fly ? <FlyLikeness fly={fly} perM={LIST_PER_M} /> : undefined;
  return (
    <Stack>
      <PickRow
        label={hung.length > 0 ? 'Point fly' : 'Fly'}
        value={point?.name ?? 'choose'}
        detail={point ? itemDetail(point, units) : undefined}
        lead={lead(point)}
        onPress={() => setOpen(0)}
      />
      {hung.map((d, i) => (
        <Stack key={`${i} ${d.flyId}`}>
          <PickRow
            label={placeName({ droppers: hung }, i + 1).replace(/^./, (c) => c.toUpperCase())}
            value={d.fly.name}
            detail={`${format('depth', d.aboveM, units)} above the point, ${WAY_LABELS[d.way]}`}
            lead={lead(d.fly)}
            onPress={() => setOpen(i + 1)}
          />
          <Hanging
            dropper={d}
            mostM={leader ? leaderLengthM(leader) - 0.1 : 1}
            spacing={spacingOf({ fly: point ?? d.fly, ...afloat }, d.fly)}
            onChange={(part) => onChange(hungWith(i, part))}
            onSwap={() => {
              // The two change places; how they hang stays.
              onChange({
                ...choice,
                flyId: d.flyId,
                droppers: choice.droppers.map((e, j) => (j === i ? { ...e, flyId: choice.flyId } : e)),
              });
            }}
          />
        </Stack>
      ))}
      {point && leader && hung.length < MOST_ABOVE ? (
        <PickRow
          label=""
          value={hung.length === 0 ? 'Add a second fly' : 'Add a third fly'}
          caution={noMore}
          barred={noMore !== null}
          icon="plus"
          onPress={() => setOpen(hung.length + 1)}
        />
      ) : null}
      {open !== null ? (
        <PartSheet
          part={{
            type: 'fly',
            label: open === 0 ? 'Fly' : 'Fly above the point',
            ...(open > 0 && open <= hung.length ? { none: 'remove' } : null),
          }}
          kit={kit}
          chosenId={open === 0 ? choice.flyId : (choice.droppers[open - 1]?.flyId ?? '-')}
          rules={rules}
          onPick={(id) => pick(open, id)}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </Stack>
  );
}

interface HangingProps {
  dropper: RigChoice['droppers'][number];
  mostM: number;
  spacing: ReturnType<typeof spacingOf>;
  onChange: (part: Partial<RigChoice['droppers'][number]>) => void;
  onSwap: () => void;
}

/** How one fly hangs above the point. */
function Hanging({ dropper, mostM, spacing, onChange, onSwap }: HangingProps) {
  const [{ units }] = useSettings();
  return (
    <>
      <Choice
        label="How the fly hangs"
        options={TIE_WAYS.map((value) => ({ value, label: WAY_LABELS[value] }))}
        value={dropper.way}
        onChange={(way) => onChange({ way, armM: way === 'bend' ? 0 : dropper.armM || SPACING_M.arm })}
      />
      <Slider
        label="Above the point"
        min={0.15}
        max={Math.max(0.2, mostM)}
        step={0.05}
        value={dropper.aboveM}
        onChange={(aboveM) => onChange({ aboveM })}
        format={(m) => format('depth', m, units)}
      />
      {dropper.way === 'bend' ? null : (
        <Slider
          label="Length of the arm"
          min={0.05}
          max={0.4}
          step={0.01}
          value={dropper.armM}
          onChange={(armM) => onChange({ armM })}
          format={(m) => format('small', m, units)}
        />
      )}
      <Text size="small" tone="ink2">
        {`Usual: ${format('depth', SPACING_M[spacing], units)} apart ${APART_FOR[spacing]}, an arm of ${format('small', SPACING_M.arm, units)}. Heavier or larger on the point turns over; larger above, small on the point, is the way of many with soft hackles.`}
      </Text>
      <Button label="Switch with the point fly" kind="quiet" onPress={onSwap} />
    </>
  );
}
