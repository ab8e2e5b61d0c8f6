import { useMemo } from 'react';
import { type RigChoice, rigOf } from '@/core/tackle';
import { useKit } from './useKit';

export function useRig(choice: RigChoice | undefined) {
  const { data: kit } = useKit();
  const rig = useMemo(() => (kit && choice ? rigOf(kit, choice) : null), [kit, choice]);
  return { kit, rig };
}
