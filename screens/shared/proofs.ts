/** What adds up rates, behind one dynamic import (later.tsx): their distributions must not weigh on the first screen. */
export { Rates } from '../learn/Rates';
export { CaughtHere } from '../read/CaughtHere';
