import { act, fireEvent, renderHook } from '@testing-library/react';
import { useSteadyOrder } from './useSteadyOrder';

it('from the first touch on what comes later stands last, until one asks for the order anew; what is asked for is another order at once', () => {
  const { result, rerender } = renderHook(({ best, by }) => useSteadyOrder(best, by), {
    initialProps: { best: [] as string[], by: 'today' },
  });
  const shows = (best: string[], by: string) => {
    rerender({ best, by });
    return [result.current.order.join(''), result.current.isOld];
  };
  expect(shows(['c'], 'today')).toEqual(['c', false]);
  expect(shows(['b', 'c'], 'today')).toEqual(['bc', false]); // nobody’s thumb is near
  fireEvent.pointerDown(window);
  expect(shows(['d', 'b', 'c'], 'today')).toEqual(['bcd', true]);
  expect(shows(['d', 'a', 'c', 'b'], 'today')).toEqual(['bcda', true]); // by when they came
  expect(shows(['d', 'a', 'c'], 'today')).toEqual(['cda', true]);
  act(() => result.current.renew());
  expect([result.current.order.join(''), result.current.isOld]).toEqual(['dac', false]);
  expect(shows(['c', 'a', 'd'], 'tomorrow')).toEqual(['cad', false]);
  expect(shows([], 'the day after')).toEqual(['', false]);
  expect(shows(['a', 'd', 'c'], 'the day after')).toEqual(['adc', false]);
});
