import { faultsOf } from './faults';
import { OPEN } from '@/core/testing/fixtures';
import { water as waterOf } from './records.testing';

const water = waterOf({ rules: { ...OPEN, season: { from: '03-15', to: '09-30' } } });

describe('what is wrong with a form', () => {
  it('is nothing where nothing is', () => {
    expect(faultsOf('water', water)).toEqual({});
  });

  it('stands at the path of its field, all of it at once', () => {
    const faults = faultsOf('water', {
      ...water,
      name: ' ',
      latDeg: 95,
      rules: { ...water.rules, maxFlies: 4, season: { from: 'spring', to: '09-30' }, closesAtC: 90 },
    });
    expect(Object.keys(faults).sort()).toEqual([
      'latDeg',
      'name',
      'rules.closesAtC',
      'rules.maxFlies',
      'rules.season.from',
    ]);
    expect(faults.latDeg).toBe('Latitude: at most 90.');
    expect(faults.name).toBe('Name is missing.');
    expect(faults['rules.season.from']).toBe('Season from: write it as MM-DD, as in 04-15.');
  });

  it('is a missing value, too', () => {
    expect(faultsOf('water', { ...water, quarry: undefined }).quarry).toBe('Fished for is missing.');
    expect(Object.keys(faultsOf('settings', {})).sort()).toEqual(['heightM', 'id', 'school', 'theme', 'units']);
  });
});
