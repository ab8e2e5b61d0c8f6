import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import fc from 'fast-check';
import { useState } from 'react';
import { QuantityField } from './QuantityField';
import { fromShown, type Quantity, type UnitSystem } from '@/words/units';

let mockUnits: UnitSystem = 'metric';
jest.mock('@/store/hooks', () => ({ useSettings: () => [{ units: mockUnits }] }));

const QUANTITIES: readonly Quantity[] = [
  ...(['length', 'line', 'depth', 'small', 'speed', 'temperature', 'flow', 'sinkRate', 'level'] as const),
];

describe('a quantity typed key by key', () => {
  /** Types into a field that begins with a value, key by key from empty, and leaves it; what was taken at last, SI. */
  function typed(quantity: Quantity, start: number | null, text: string): number | null {
    let taken = start;
    function Kept() {
      const [si, setSi] = useState(start);
      taken = si;
      return <QuantityField label="It" quantity={quantity} value={si} onChange={setSi} />;
    }
    render(<Kept />);
    const input = screen.getByLabelText(/^It, /) as HTMLInputElement;
    fireEvent.focus(input);
    for (let n = 0; n <= text.length; n++) {
      const prefix = text.slice(0, n);
      fireEvent.change(input, { target: { value: prefix } });
      expect(input.value).toBe(prefix); // never rewritten under the hand
    }
    fireEvent.blur(input);
    expect(input.value).toBe(text);
    cleanup();
    return taken;
  }

  it.each(['metric', 'imperial'] as const)('%s: stays as typed, comma or point, and means that number', (system) => {
    mockUnits = system;
    fc.assert(
      fc.property(
        fc.constantFrom(...QUANTITIES),
        fc.option(fc.double({ min: 0, max: 9, noNaN: true })),
        fc.integer({ min: 0, max: 400 }),
        fc.constantFrom('', '.', ','),
        fc.integer({ min: 1, max: 9 }),
        (quantity, start, whole, point, part) => {
          const text = point ? `${whole}${point}${part}` : String(whole);
          expect(typed(quantity, start, text)).toBeCloseTo(
            fromShown(quantity, Number(text.replace(',', '.')), system),
            9,
          );
        },
      ),
      { numRuns: 80, seed: 25 },
    );
  });

  it('2.5 ft are 2.5 ft, and 6.5 ips 6.5', () => {
    mockUnits = 'imperial';
    expect(typed('depth', 0.5, '2.5')).toBeCloseTo(0.762, 9);
    expect(typed('depth', null, '4.5')).toBeCloseTo(1.3716, 9);
    expect(typed('sinkRate', 0.127, '6.5')).toBeCloseTo(0.1651, 9);
  });
});
