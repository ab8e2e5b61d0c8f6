import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { checkRig, type WaterRules } from '@/core/rules';
import { choiceOf, type FlyItem, type KitItem, level, type Rig, type RigChoice, rigOf, shotName } from '@/core/tackle';
import { OPEN, RIG, some } from '@/core/testing/fixtures';
import { patch, put } from '@/store/changes';
import { ofSession } from '@/store/hooks';
import { openDatabase } from '@/store/open';
import { DEFAULT_SETTINGS } from '@/store/records';
import { ChangeSheet } from '../fish/ChangeSheet';
import type { RunReady } from '../shared/RunGate';
import { ReadyRods } from '../rig/ReadyRods';
import { RigRows } from '../rig/RigRows';
import { WhatFollows } from '../rig/WhatFollows';
import { BagScreen } from './BagScreen';
import { ItemPane } from './ItemPane';
import { MeansScreen } from './MeansScreen';
import { RigCardScreen } from './RigCardScreen';
import { press, show, unfold } from '../shown.testing';

const mockPush = jest.fn();
jest.mock('../shared/useAnswer', () => ({ useAnswer: () => ({ answer: null, settled: false }) }));
jest.mock('expo-router', () => ({
  useRouter: () => ({
    push: mockPush,
    replace: jest.fn(),
    back: jest.fn(),
    canGoBack: () => false,
    navigate: jest.fn(),
  }),
  useIsFocused: () => true,
  useLocalSearchParams: () => ({}),
}));
jest.mock('@/workers/river', () => ({}));
jest.mock('@/ui/charts', () => ({ FlyLikeness: () => null, KnotSteps: () => null, RigCardPicture: () => null }));

const button = (name: string | RegExp) => screen.getByRole('button', { name });
const { db } = openDatabase();

beforeEach(async () => {
  mockPush.mockClear();
  await db.clear();
});
afterEach(cleanup);

const fly = (id: string, o: Partial<FlyItem> = {}): FlyItem => ({ ...RIG.fly, id, name: `fly ${id}`, ...o });
const leader = { ...RIG.leader, id: 'long', name: 'long', pieces: level(2.4, 0.25e-3, 'nylon') };
const FLIES = [
  fly('plain'),
  fly('barbed', { barbless: false }),
  fly('bead', { weight: 'bead' }),
  fly('wired', { weight: 'wire' }),
  fly('deer hair', { weight: 'buoyant' }),
  fly('smelly', { scented: true }),
  fly('old', { aside: true }),
];
const SHOT = [2e-4, 4e-4].map((massKg) => ({ type: 'shot' as const, id: `${massKg}`, name: `Shot ${massKg}`, massKg }));
const KIT: KitItem[] = [RIG.rod, RIG.head, RIG.tip!, RIG.leader, leader, ...SHOT, ...FLIES];
const RULES: readonly WaterRules[] = [
  OPEN,
  { ...OPEN, maxFlies: 2, barbless: true, noScent: true },
  { ...OPEN, maxFlies: 1, noAddedWeight: true },
  { ...OPEN, maxFlies: 1, barbless: true, noAddedWeight: true, noScent: true },
];
const plain: Rig = { ...RIG, leader, fly: FLIES[0]! };

describe('an illegal rig is never accepted, wherever one chooses', () => {
  /** Opens a list and presses each of its enabled buttons of the kind in turn; how often there was one. */
  function pressAll(open: () => void, of: RegExp): number {
    open();
    const all = screen.getAllByRole<HTMLButtonElement>('button', { name: of });
    const names = all.filter((b) => !b.disabled).map((b) => b.getAttribute('aria-label')!);
    names.forEach((name, i) => {
      if (i > 0) open();
      press(name);
    });
    return names.length;
  }

  it.each(RULES)('under Rig, for the point and above it, by rules %#', (rules) => {
    const chosen: RigChoice[] = [];
    show(<RigRows kit={KIT} choice={choiceOf(plain)} rules={rules} onChange={(c) => chosen.push(c)} />);
    const legalFlies = FLIES.filter((f) => !f.aside && checkRig(rules, { ...plain, fly: f }).length === 0).length;
    expect(pressAll(() => press(/^Fly, fly plain/), /^fly (?!old)/)).toBe(legalFlies);
    if (rules.maxFlies > 1) expect(pressAll(() => press('Add a second fly'), /^fly (?!old)/)).toBe(legalFlies);
    else expect(button(/^Add a second fly, Only one fly/)).toHaveProperty('disabled', true);
    // Shot: what is offered.
    for (const g of SHOT.map((s) => shotName(s.massKg))) {
      const option = screen.queryByRole('radio', { name: g });
      expect(option === null).toBe(rules.noAddedWeight);
      if (option) fireEvent.click(option);
    }
    for (const c of some(chosen)) expect(checkRig(rules, rigOf(KIT, c)!)).toEqual([]);
  });

  it('nor from what is added to the bag on the way', async () => {
    const strict = RULES.at(-1)!;
    show(<RigRows kit={KIT} choice={choiceOf(plain)} rules={strict} onChange={() => {}} />);
    press(/^Fly, fly plain/);
    press('Add one to the bag');
    const weighted = await screen.findByRole('button', { name: /^sculpin,.*not allowed here: weighted/ });
    expect(weighted).toHaveProperty('disabled', true);
    expect(button(/^rabbit strip,/)).toHaveProperty('disabled', false);
  });

  it('nor by taking up a rod that stands ready', () => {
    const strict = RULES.at(-1)!;
    const other = { ...RIG.rod, id: 'r2', name: 'other rod' };
    const ready = (f: string): RigChoice => ({ ...choiceOf(plain), rodId: 'r2', flyId: f });
    const onChange = jest.fn();
    const rods = (f: string) => (
      <ReadyRods kit={[...KIT, other]} choice={choiceOf(plain)} ready={[ready(f)]} rules={strict} onChange={onChange} />
    );
    show(rods('bead'));
    expect(button(/^Pick up other rod.*Weighted flies are not allowed/)).toHaveProperty('disabled', true);
    cleanup();
    show(rods('plain'));
    press(/^Pick up other rod/);
    expect(onChange).toHaveBeenCalledWith({ rig: ready('plain'), rigged: [choiceOf(plain)] });
  });

  it.each(RULES)('at the river, by rules %#', async (rules) => {
    await db.commit(...KIT.map((k) => put('kit', k)), ofSession({ rig: choiceOf(plain) }));
    const onChange = jest.fn<void, [Rig, unknown]>();
    show(
      <ChangeSheet
        ready={{} as RunReady}
        hands={{ way: 'swing', countS: 0, pullM: 0, pullMps: 0.5, restS: 0.5, feedM: 0, walkM: 0 }}
        rig={plain}
        rules={rules}
        onClose={() => {}}
        onChange={onChange}
        onHands={() => {}}
        onTrial={() => {}}
        onRig={() => {}}
      />,
    );
    await screen.findByRole('button', { name: /^fly plain/ });
    expect(pressAll(() => {}, /^fly /)).toBeGreaterThan(0);
    for (const [rig] of some(onChange.mock.calls)) expect(checkRig(rules, rig)).toEqual([]);
  });
});

describe('the bag', () => {
  it('is searched by what things are, and hides what is set aside until asked for', async () => {
    await db.commit(...KIT.map((k) => put('kit', k)));
    show(<BagScreen />);
    await screen.findByRole('button', { name: /^Flies, 6: / });
    fireEvent.change(screen.getByLabelText('Search the bag'), { target: { value: 'wire BARBLESS' } });
    await screen.findByRole('heading', { name: 'Flies, 1' });
    expect(screen.queryByRole('heading', { name: /^Rods/ })).toBeNull();
    fireEvent.change(screen.getByLabelText('Search the bag'), { target: { value: '' } });
    press(/^Show and sort/);
    fireEvent.click(screen.getByRole('radio', { name: 'set aside' }));
    await screen.findByRole('button', { name: /^fly old/ });
    fireEvent.click(screen.getByRole('radio', { name: 'flies' }));
    fireEvent.click(screen.getByRole('radio', { name: 'outline seen furthest' }));
    await screen.findByText(/Choose a run under Read first/);
    press(/^fly bead/);
    expect(mockPush).toHaveBeenCalledWith({ pathname: '/bag', params: { item: 'bead' } });
  });
});

describe('where things are, and the card', () => {
  it('says where a thing is rigged', async () => {
    await db.commit(...KIT.map((k) => put('kit', k)), ofSession({ rig: choiceOf(plain), rigged: [] }));
    show(<BagScreen />);
    await screen.findByRole('button', { name: /^Flies, / });
    unfold(/^Flies, /);
    expect(screen.getByRole('button', { name: /^on the rod in hand, fly plain/ })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^on the rod in hand, fly bead/ })).toBeNull();
  });

  it('the card waits for a rig, then shows it', async () => {
    show(<RigCardScreen />);
    await screen.findByText('No rig yet');
    cleanup();
    await db.commit(...KIT.map((k) => put('kit', k)), ofSession({ rig: choiceOf(plain) }));
    show(<RigCardScreen />);
    await screen.findByRole('heading', { name: 'Open loop' });
    expect(screen.getByText('two-hander → short head → 10 ft fast')).toBeTruthy();
  });
});

describe('one thing', () => {
  const pane = async (item: KitItem) => {
    await db.commit(put('kit', item));
    return show(<ItemPane item={item} kit={[item]} onOpen={jest.fn()} onGone={jest.fn()} />);
  };
  const stored = async (id: string) => (await db.all('kit')).find((k) => k.id === id) as KitItem;

  it('a fly is changed at once, by its colours, weight and family, and put back by a tap', async () => {
    await pane(FLIES[0]!);
    const group = (name: string) => within(screen.getByRole('radiogroup', { name }));
    fireEvent.click(group('Second colour').getByRole('radio', { name: 'white' }));
    fireEvent.click(group('Weight').getByRole('radio', { name: 'bead' }));
    fireEvent.click(group('Bead, mm of tungsten').getByRole('radio', { name: '4' }));
    fireEvent.click(group('Flash').getByRole('radio', { name: 'yes' }));
    await waitFor(async () =>
      expect(await stored('plain')).toEqual({
        ...FLIES[0]!,
        also: [{ colour: 'white', share: 0.25 }],
        weight: 'bead',
        beadM: 0.004,
        flash: true,
      }),
    );
    fireEvent.click(group('Second colour').getByRole('radio', { name: 'none' }));
    fireEvent.click(group('Profile').getByRole('radio', { name: 'slim' }));
    fireEvent.click(group('Profile').getByRole('radio', { name: 'bulky' }));
    await waitFor(async () => expect(await stored('plain')).not.toHaveProperty('also'));
    // A profile that is the family's own is not kept as the fly's.
    expect(await stored('plain')).not.toHaveProperty('profile');
    press('Undo changes');
    await waitFor(async () => expect(await stored('plain')).toEqual(FLIES[0]));
  });

  it('a leader grows piece by piece and tapers', async () => {
    await pane(leader);
    press('Add piece after it');
    fireEvent.click(screen.getAllByRole('radio', { name: '5X' })[1]!);
    fireEvent.click(
      within(screen.getAllByRole('radiogroup', { name: 'Tapered' })[0]!).getByRole('radio', { name: 'yes' }),
    );
    fireEvent.click(
      within(screen.getByRole('radiogroup', { name: 'Nicked, or stood on' })).getByRole('radio', { name: 'yes' }),
    );
    await waitFor(async () => {
      const now = (await stored('long')) as typeof leader & { nicked?: boolean };
      expect(now.nicked).toBe(true);
      expect(now.pieces).toHaveLength(2);
      expect(now.pieces[0]).toMatchObject({ toDiameterM: expect.closeTo(0.15e-3, 9) });
      expect(now.pieces[1]!.diameterM).toBeCloseTo(0.1524e-3, 9);
    });
    press('Remove piece 1');
    await waitFor(async () => expect(((await stored('long')) as typeof leader).pieces).toHaveLength(1));
  });

  it('a head gets more densities, a rod its window, each kept in SI', async () => {
    await pane(RIG.head);
    fireEvent.click(screen.getByRole('radio', { name: 'two' }));
    fireEvent.change(screen.getByLabelText('Sink rate, in front (0 floats), cm/s'), { target: { value: '12.7' } });
    await waitFor(async () => expect(await stored('h')).toMatchObject({ sinkRatesMps: [0, expect.closeTo(0.127, 6)] }));
    cleanup();
    await pane(RIG.rod);
    fireEvent.change(screen.getByLabelText('Head, from, gr'), { target: { value: '400' } });
    await waitFor(async () =>
      expect(await stored('r')).toMatchObject({ windowKg: [expect.closeTo(0.02592, 5), expect.closeTo(0.03564, 5)] }),
    );
    press('Take the heads by its number');
    await waitFor(async () => expect(await stored('r')).not.toHaveProperty('windowKg'));
  });
});

describe('what follows, and the card', () => {
  it('tells breaches, what goes wrong, what is beyond the angler and what is worth learning', async () => {
    await db.commit(
      put('settings', {
        ...DEFAULT_SETTINGS,
        means: {
          casts: ['overhead'],
          shoulders: ['right'],
          longestM: 12,
          lines: [],
          wadeM: 0.3,
          fineKnots: true,
          children: false,
        },
      }),
    );
    const bend = { ...plain, droppers: [{ fly: FLIES[0]!, way: 'bend' as const, aboveM: 0.6, armM: 0 }] };
    show(<WhatFollows rig={bend} rules={RULES[2]!} wood />);
    await screen.findByText(/slips off/);
    expect(screen.getByText('Only one fly is allowed here.')).toBeTruthy();
    await screen.findByText('You have never fished a short head.');
    expect(
      screen.getByText(/Worth learning, with a qualified instructor: casting and fishing a short head/),
    ).toBeTruthy();
    press('What you can do');
    expect(mockPush).toHaveBeenCalledWith({ pathname: '/bag/means', params: { from: 'rig' } });
  });

  it('what one can do is kept as it is said', async () => {
    // In feet: then one sees when it has been read.
    await db.commit(patch('settings', 'settings', { units: 'imperial' }, DEFAULT_SETTINGS));
    show(<MeansScreen />);
    await screen.findByText(/^72 ft$/);
    const said = async () => (await db.all('settings'))[0]?.means;
    fireEvent.click(
      within(screen.getByRole('radiogroup', { name: 'left shoulder' })).getByRole('radio', { name: 'no' }),
    );
    await waitFor(async () => expect((await said())!.shoulders).toEqual(['right']));
    fireEvent.click(
      within(screen.getByRole('radiogroup', { name: 'Children come along' })).getByRole('radio', { name: 'yes' }),
    );
    await waitFor(async () => expect((await said())!.children).toBe(true));
    expect((await said())!.shoulders).toEqual(['right']);
    expect(await screen.findByText(/deeper than 1\.6 ft/)).toBeTruthy();
  });
});
