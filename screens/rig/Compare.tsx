import { describeFly } from '@/core/tackle';
import { Block, Button, Text } from '@/ui';
import type { JudgedCast } from '../shared/useSwing';
import { useRigInHand } from './RigInHand';
import { SwingWords } from './SwingWords';
import { format } from '@/words/units';

/** A cast that was kept to compare with. */
export interface KeptCast {
  readonly judged: JudgedCast;
  readonly what: string;
}

interface Props {
  judged: JudgedCast | null;
  kept: KeptCast | null;
  onKeep: (kept: KeptCast | null) => void;
}

/** Keeps a swing, dotted on the picture, to compare others with. */
export function Compare({ judged, kept, onKeep }: Props) {
  const { units } = useRigInHand();
  const keep = () => {
    if (!judged) return;
    const { rig, plan } = judged.request;
    const cast = `${format('line', plan.outM, units)} at ${plan.angleDeg}°`;
    onKeep({ judged, what: `${describeFly(rig.fly)}, ${rig.tip?.name ?? 'no tip'}, ${cast}` });
  };
  return (
    <Block title="Compare">
      {kept ? (
        <>
          <Text>{`Dotted: ${kept.what}.`}</Text>
          <SwingWords judged={kept.judged} band={null} brief />
          <Button label="Discard" onPress={() => onKeep(null)} />
        </>
      ) : (
        <Button label="Keep this swing to compare" onPress={keep} />
      )}
    </Block>
  );
}
