import type { Caution, Mistake } from '@/core/answer';
import type { WaterCaution } from '@/core/rules';
import { windWords } from './cast';
import { consequenceWords } from './consequences';
import { signWords } from './reasons';
import { breachWords } from './rules';
import { format, type UnitSystem } from './units';

/** What the water of a day asks for. */
export function waterCaution(c: WaterCaution, units: UnitSystem): string {
  switch (c.code) {
    case 'too warm':
      return 'The water is too warm: fish played now may die. Stop fishing.';
    case 'warm':
      return 'Warm water: fish the early hours, land fish fast, stop when it passes the limit.';
    case 'rising':
      return 'The river is rising: cross only where you can come back.';
    case 'high water':
      return 'High water: stay back from the edge, banks give way. Do not cross, and look upstream for drifting wood.';
    case 'cold wading':
      return `Water of ${format('temperature', c.tempC, units)} takes your strength within minutes of going in: vest on, staff in hand.`;
  }
}

/** What to mind on a run. */
export function cautionWords(c: Caution, units: UnitSystem): string {
  switch (c.code) {
    case 'closed':
      return breachWords(c.breach);
    case 'wind':
      return windWords(c.asks);
    case 'impossible water':
      return 'No run has such water: the depths and the speed contradict each other. Time another float, or measure a depth.';
    case 'juveniles':
      return 'Young fish swarm here: release them in the water, move on, and log them as juveniles.';
    case 'spawning fish':
      return 'Fish are spawning here: leave them alone, and keep off pale gravel and the water below it. If unsure, treat it as a redd.';
    case 'rises':
      return 'For a steady riser change to a dry fly, and log the rise. Dry flies are not worked out here.';
    case 'redd':
      return 'This run has a redd: do not fish it, and do not wade on or just below it.';
    case 'staged':
      return c.lies === 'all'
        ? 'Fish may be waiting to spawn at every lie of this run. Better leave the run alone.'
        : `Fish at ${c.lies.length > 1 ? 'lies' : 'lie'} ${c.lies.join(', ')} may be waiting to spawn: leave paired or dark fish alone.`;
    case 'weighted fly':
      return 'A weighted fly: wear glasses and a brimmed hat.';
    case 'two flies':
      return 'Two flies: mind the free hook while you unhook a fish.';
    default:
      return waterCaution(c, units);
  }
}

/** What a rig does wrong, cast the usual way, at so many lies. */
const AT_LIES: Record<Extract<Mistake, { lies: unknown }>['code'], (where: string) => string> = {
  'too high': (where) => `rides too high at ${where}.`,
  'too thin': (where) => `drags or lies on the bed at ${where}: too thin or slow there for a swing.`,
  'cast shorter': (where) => `drags or lies on the bed at ${where}: cast shorter or further downstream there.`,
  'too heavy': (where) => `is too heavy for ${where}: it drags or lies on the bed there.`,
  'too fast': (where) => `crosses too fast at ${where}.`,
  'over the redd': (where) => `swings over the redd at ${where}.`,
};

/** What is wrong with what is tied on. */
export function mistakeWords(m: Mistake, units: UnitSystem): string {
  switch (m.code) {
    case 'breach':
      return breachWords(m.breach);
    case 'put together':
      return consequenceWords(m.consequence, units);
    case 'only a floating line':
      return 'The bag holds only a floating line. Add a sinking tip or leader.';
    case 'rises and a streamer':
      return 'Fish are rising, and a streamer is tied on.';
    case 'signs against':
      return `Against your rig (${m.method}): ${m.signs.map((s) => signWords(s, units)).join('; ')}.`;
    default: {
      const ranks = [...m.lies].sort((a, b) => a - b).join(', ');
      const where = m.of === 1 ? 'the lie' : `${m.lies.length} of ${m.of} lies (${ranks})`;
      return `Your rig, cast the usual way, ${AT_LIES[m.code](where)}`;
    }
  }
}
