import { KIT_TYPE_NAMES, type KitItem } from '@/core/tackle';
import { STARTS } from '@/core/tackle/starts';
import { RIG } from '@/core/testing/fixtures';
import { faultsOf } from './faults';
import { readKit, writeKit } from './kitFile';

let n = 0;
const newId = () => `new-${++n}`;

describe('a bag from a file', () => {
  const kit: KitItem[] = [RIG.rod, RIG.head, RIG.tip!, RIG.leader, RIG.fly];
  it('comes back checked, as it went out', () => {
    expect(readKit(writeKit(kit), newId)).toEqual(kit);
  });

  it('everything one can start from passes the same check as what is stored', () => {
    const all = KIT_TYPE_NAMES.flatMap((type) => STARTS[type].map((s) => ({ ...s, id: newId() }) as KitItem));
    expect(all.length).toBeGreaterThan(40);
    for (const item of all) expect([item.name, faultsOf('kit', item)]).toEqual([item.name, {}]);
  });

  it.each([
    ['row 2, lengthM: lengthM must be less than or equal to 6', 'rod,x,40,1,6'],
    ['row 2, hands: hands must be one of', 'rod,x,3,5,6'],
    ['row 2, type: type must be one of', 'spoon,x,3,1,6'],
    ['row 2, lengthM: lengthM is required', 'rod,x,,1,6'],
    ['row 2, lineNumber: lineNumber must be a number', 'rod,x,3,1,six'],
  ])('is refused whole: %s', (says, row) => {
    expect(() => readKit(`type,name,length_m,hands,line_number\n${row}\n`, newId)).toThrow(says);
  });

  it('tells no more than five faults at once, and an id that stands there twice', () => {
    const rows = Array.from({ length: 8 }, () => 'rod,x,40,1,6').join('\n');
    expect(() => readKit(`type,name,length_m,hands,line_number\n${rows}\n`, newId)).toThrow(/row 6, .*; and 3 more$/);
    const five = Array.from({ length: 5 }, () => 'rod,x,40,1,6').join('\n');
    expect(() => readKit(`type,name,length_m,hands,line_number\n${five}\n`, newId)).toThrow(/row 6, [^;]*$/);
    expect(() => readKit('id,type,name,diameter_m\na,ring,x,0.002\na,ring,y,0.002\n', newId)).toThrow(
      'row 3, id: stands there twice',
    );
  });
});
