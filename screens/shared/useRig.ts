import { useMemo } from 'react';
import { useRecords } from '@/store/hooks';
import { type RigChoice, rigOf } from '@/core/tackle';

export function useRig(choice: RigChoice | undefined) {
  const { data: kit } = useRecords('kit');
  const rig = useMemo(() => (kit && choice ? rigOf(kit, choice) : null), [kit, choice]);
  return { kit, rig };
}
