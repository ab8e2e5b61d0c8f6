import { type KitItem, type RigChoice, SHOT_ABOVE_M, shotName, shotsToHand } from '@/core/tackle';

/** None, and the sizes that the bag has, as choices by their mass in kg. */
export const shotOptions = (kit: readonly KitItem[], onKg?: number) => [
  { value: '0', label: 'none' },
  ...shotsToHand(kit, onKg).map((kg) => ({ value: String(kg), label: shotName(kg) })),
];

/** A rig with so much shot, kg, or none: where shot sat before, else as the school says. */
export function withShot({ shotKg, shotAboveM, ...bare }: RigChoice, kg: number, aboveTheFly: boolean): RigChoice {
  if (kg <= 0) return bare;
  const above = shotKg ? (shotAboveM ?? 0) : aboveTheFly ? SHOT_ABOVE_M : 0;
  return { ...bare, shotKg: kg, ...(above > 0 ? { shotAboveM: above } : null) };
}
