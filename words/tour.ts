/** A step of the tour: the page that it leads to, and what one sees and does there. */
interface TourStep {
  readonly page: 'run' | 'rig' | 'fish';
  readonly title: string;
  readonly says: string;
}

/** A minute on the demo, in the order of the work; the first only offers it. */
export const TOUR: readonly TourStep[] = [
  {
    page: 'run',
    title: 'A tour of one minute?',
    says: 'Rivers, bag and log of the demo are invented. See a run read, a rig chosen and a cast counted.',
  },
  {
    page: 'run',
    title: '1 of 5: read the run',
    says: 'The run from above: the darker, the deeper. Numbers are lies, the best first. Drag the level, and they move.',
  },
  {
    page: 'rig',
    title: '2 of 5: choose the rig',
    says: 'What to tie on and where to begin, searched for this run and this bag. Open a row for the reasons.',
  },
  {
    page: 'rig',
    title: '3 of 5: watch the swing',
    says: 'Tap the play button below the picture. The strip shows how deep the fly swims, second by second.',
  },
  {
    page: 'fish',
    title: '4 of 5: count the casts',
    says: 'Start fishing, then tap “Cast” after each one. The picture paints the water your fly has covered.',
  },
  {
    page: 'fish',
    title: '5 of 5: log the take',
    says: 'A pluck or a fish? “Take” asks where on the swing it came. Learn tells later what pays.',
  },
];
