import { usePathname } from 'expo-router';
import { own } from '@/core/units/own'; // not the barrel: this weighs on the first look
import { useRecord } from '@/store/hooks';

/** Pages by the first part of their address. */
const NAMES: Readonly<Record<string, string>> = {
  '': 'Plan',
  bag: 'Bag',
  day: 'The day by the clock',
  fish: 'Fish',
  learn: 'Learn',
  moves: 'What moves the fly',
  pack: 'What to pack',
  read: 'Read',
  rig: 'Rig',
  'rig-card': 'Rig card',
  schools: 'Schools',
  settings: 'Settings',
  water: 'Water',
  waters: 'Which water',
};

/** The title of the page that is shown: its room, and under Read the run that is read. */
export function usePageTitle(): string {
  const [, room = '', part] = usePathname().split('/');
  const run = useRecord('run', room === 'read' && part && part !== 'new' ? part : null);
  const name = own(NAMES, room) ?? 'Not found';
  return `${run ? `${run.name}, ` : ''}${name} · Wanderung`;
}
