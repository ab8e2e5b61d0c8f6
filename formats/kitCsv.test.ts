import { parse } from 'papaparse';
import { KIT_TYPE_NAMES, type KitItem } from '@/core/tackle';
import { STARTER_BAGS, STARTS } from '@/core/tackle/starts';
import { kitRows, kitToCsv } from './kitCsv';

const KIT = [
  ...KIT_TYPE_NAMES.flatMap((type) => STARTS[type].map((s, i) => ({ ...s, id: `${type}-${i}` }) as KitItem)),
  {
    ...STARTS.fly[0]!,
    id: 'odd',
    name: '=SUM(A1); "quoted", Überfliege',
    called: 'my own',
    also: [
      { colour: 'black and blue', share: 0.25 },
      { colour: 'white', share: 0.1 },
    ],
    flash: true,
    scented: true,
    count: 3,
    low: true,
    aside: true,
    profile: 'slim',
    motion: 'darts',
    hook: '',
  } as KitItem,
  {
    ...STARTS.leader[0]!,
    id: 'strong',
    pieces: [{ part: 'tippet', lengthM: 1, diameterM: 0.00025, material: 'fluorocarbon', strengthN: 44.5 }],
    nicked: true,
  } as KitItem,
];
const never = () => {
  throw new Error('an id was asked for');
};
const back = (csv: string) => kitRows(csv, never).map((r) => r.item);

describe('a bag as CSV', () => {
  it('comes back as it went out, every type and every field', () => {
    expect(back(kitToCsv(KIT))).toEqual(KIT);
  });

  it('is read by another reader too: a row a thing, SI as the headings say', () => {
    const { data, errors } = parse<Record<string, string>>(kitToCsv(KIT).slice(1), { header: true });
    expect(errors).toEqual([]);
    expect(data).toHaveLength(KIT.length);
    const rod = data.find((r) => r['type'] === 'rod')!;
    expect(Number(rod['length_m'])).toBeCloseTo(2.7432, 4);
    expect(data.find((r) => r['id'] === 'strong')!['pieces']).toBe('tippet 1 0.00025 fluorocarbon 44.5');
    expect(data.find((r) => r['id'] === 'leader-0')!['pieces']).toMatch(/^(\w+ [\d.]+ [\d.>]+ [a-z]+( \| )?)+$/);
    // A name that a spreadsheet would run is kept text.
    expect(data.find((r) => r['id'] === 'odd')!['name']).toBe('\'=SUM(A1); "quoted", Überfliege');
  });

  it('is read with semicolons, decimal commas, shuffled columns and without ids', () => {
    let n = 0;
    const csv = 'Name;TYPE;length_m;sink_rate_m_s\r\nold tip;tip;3,05;0,127\r\n\r\nother tip;tip;1.5;0.1\r\n';
    expect(kitRows(csv, () => `new-${++n}`)).toEqual([
      { row: 2, item: { id: 'new-1', type: 'tip', name: 'old tip', lengthM: 3.05, sinkRateMps: 0.127 } },
      { row: 3, item: { id: 'new-2', type: 'tip', name: 'other tip', lengthM: 1.5, sinkRateMps: 0.1 } },
    ]);
  });

  it('leaves what it cannot read as it stands, for the check to name', () => {
    const [odd] = kitRows('type,name,length_m,barbless\nfly,odd,long,perhaps\n', () => 'x');
    expect(odd!.item).toMatchObject({ lengthM: 'long', barbless: 'perhaps', hook: '' });
  });

  it('says what is missing', () => {
    expect(() => kitRows('name\nx\n', never)).toThrow('no column "type"');
    expect(() => kitRows('type,name\n', never)).toThrow('no row');
    expect(() => kitRows('', never)).toThrow('no column');
  });

  it('starter bags go out, too', () => {
    const bag = STARTER_BAGS['Mono rig and float'].map((s, i) => ({ ...s, id: String(i) }) as KitItem);
    expect(back(kitToCsv(bag))).toEqual(bag);
  });
});
