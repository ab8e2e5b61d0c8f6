/** What is read out of calendars, behind one dynamic import: what two of them share must not weigh on the first screen. */
export { readReleases } from './releaseFile';
export { readTides } from './tideFile';
