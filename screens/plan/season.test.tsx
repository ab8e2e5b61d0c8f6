import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { EMPTY_TALLY } from '@/core/logbook';
import { SeasonScreen } from './SeasonScreen';

const mockWater = {
  ...{ id: 'w', name: 'Sorrelvane', quarry: 'sea trout', stationId: null, latDeg: null, lonDeg: null },
  rules: { season: { from: '02-01', to: '10-31' }, maxFlies: 1, barbless: true, noAddedWeight: false, closesAtC: null },
};
const mockLog: { outings: object[]; folded: object[]; reports: object[] } = { outings: [], folded: [], reports: [] };
jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn(), replace: jest.fn() }) }));
jest.mock('@/store/hooks', () => ({
  useSettings: () => [{ units: 'metric' }],
  useSession: () => [{ waterId: 'w', day: '2026-09-20' }, jest.fn()],
  useRecords: (kind: string) => ({
    data: kind === 'water' ? [mockWater] : kind === 'outing' ? mockLog.outings : mockLog.reports,
  }),
  useFolded: () => mockLog.folded,
}));
jest.mock('../shared/useGauge', () => ({ useGauge: () => ({}), useGaugeYear: () => ({}) }));
jest.mock('../shared/useNow', () => ({ useNow: () => new Date(2026, 8, 20, 9).getTime() }));
const mockSaved = jest.fn();
jest.mock('../shared/files', () => ({ download: (...file: unknown[]) => mockSaved(...file) }));
afterEach(cleanup);

const day = (id: string, at: number, fish: number) => {
  const take = { at, fish: { species: 'sea trout' } };
  mockLog.outings.push({ id, waterId: 'w', startedAt: at });
  mockLog.folded.push({
    outingId: id,
    log: { tally: { ...EMPTY_TALLY, takes: fish }, fish: Array.from({ length: fish }, () => ({ take })) },
  });
};

describe('the season of a water', () => {
  it('of an empty log: what there is to tell, and what is closed', () => {
    render(<SeasonScreen />);
    expect(screen.getByText('No fish of yours yet')).toBeTruthy();
    const months = within(screen.getByRole('list', { name: 'Month by month' })).getAllByRole('listitem');
    expect(months.map((m) => m.textContent)).toContain('Janclosed');
    expect(months[8]!.textContent).toBe('Sepnot out');
    expect(screen.getByText('Not fished, as far as you know')).toBeTruthy();
  });

  it('tells when fish came, and who fished', () => {
    day('a', new Date(2026, 8, 18).getTime(), 6);
    day('b', new Date(2025, 7, 3).getTime(), 3);
    mockLog.reports.push({ waterId: 'w', at: new Date(2026, 8, 19).getTime(), source: 'the warden', fished: true });
    render(<SeasonScreen />);
    expect(screen.getByText('Aug to Sep')).toBeTruthy();
    expect(screen.getByText(/^9 of your 9 fish came then, in 2 days out/)).toBeTruthy();
    expect(screen.getByText('1 day, 6 takes; 6 sea trout')).toBeTruthy();
    expect(screen.getByText('Fished on 2 days')).toBeTruthy();
    expect(screen.getByText('Sat 19 Sept: the warden, by word of mouth')).toBeTruthy();
    expect(screen.getByText('Fri 18 Sept: you')).toBeTruthy();
  });

  it('goes along as numbers, and as a page that names no place', async () => {
    render(<SeasonScreen />);
    fireEvent.click(screen.getByRole('button', { name: 'Save as page' }));
    await waitFor(() => expect(mockSaved).toHaveBeenCalledTimes(1));
    const [name, , page] = mockSaved.mock.lastCall as string[];
    expect(name).toBe('wanderung-season.html');
    expect(page).toContain('<h1>The season for sea trout: Aug to Sep</h1>');
    expect(page).toContain('<p>Sep: 1 day, 6 takes; 6 sea trout</p>');
    expect(page).not.toContain('Sorrelvane');
    fireEvent.click(screen.getByRole('button', { name: 'Export numbers (CSV)' }));
    await waitFor(() => expect(mockSaved).toHaveBeenCalledTimes(2));
    const rows = (mockSaved.mock.lastCall as string[])[2]!.split(/\r?\n/);
    expect(rows[0]).toBe('\uFEFFmonth,open,days,takes,species,landed');
    expect(rows).toContain('9,all,1,6,sea trout,6');
    expect(rows).toContain('1,none,0,0,,0');
  });
});
