// What journeys need: a browser, and the build that they run on.
import { ensureBuilt, ensureChromium } from './lib.mjs';

ensureChromium();
ensureBuilt();
