import { itemsOf, type KitItem, type TipItem } from '@/core/tackle';
import { Stepper } from '@/ui';

interface Props {
  kit: readonly KitItem[];
  tip: TipItem | null;
  onTip: (id: string) => void;
}

/** How much a tip pulls down: what it sinks at, over its length. */
const pull = (t: TipItem | null) => (t ? t.lengthM * t.sinkRateMps ** 2 : 0);

/** Lighter and heavier tips of the kit, one step each, with the picture in sight. */
export function TipStepper({ kit, tip, onTip }: Props) {
  const tips = [null, ...itemsOf(kit, 'tip').sort((a, b) => pull(a) - pull(b))];
  const i = tips.findIndex((t) => t?.id === tip?.id);
  const go = (to: number) => onTip(tips[to]?.id ?? '');
  return (
    <Stepper
      label="Tip"
      text={tip?.name ?? 'no tip'}
      lessLabel="A lighter tip"
      moreLabel="A heavier tip"
      canLess={i > 0}
      canMore={i < tips.length - 1}
      onLess={() => go(i - 1)}
      onMore={() => go(i + 1)}
    />
  );
}
