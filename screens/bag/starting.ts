/** All that knows ordinary tackle, behind one dynamic import (later.tsx), so that none of it weighs on the first screen. */
export { AddItem } from './AddItem';
export { StarterBags } from './StarterBags';
