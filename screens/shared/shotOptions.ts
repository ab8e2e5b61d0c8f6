import { type KitItem, shotName, shotsToHand } from '@/core/tackle';

/** None, and the sizes that the bag has, as choices by their mass in kg. */
export const shotOptions = (kit: readonly KitItem[], onKg?: number) => [
  { value: '0', label: 'none' },
  ...shotsToHand(kit, onKg).map((kg) => ({ value: String(kg), label: shotName(kg) })),
];
