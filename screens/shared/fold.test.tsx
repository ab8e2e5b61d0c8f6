import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Text } from '@/ui';
import { Fold } from './Fold';

afterEach(cleanup);

describe('a part that opens', () => {
  const fold = () =>
    render(
      <Fold title="The rig" summary="black leech on 10 ft fast">
        <Text>Leader</Text>
      </Fold>,
    );
  const row = () => screen.getByRole('button', { name: 'The rig, black leech on 10 ft fast' });

  it('says what matters of it, opens, closes, and stays as it was left', () => {
    fold();
    expect([row().getAttribute('aria-expanded'), screen.queryByText('Leader')]).toEqual(['false', null]);
    fireEvent.click(row());
    expect(row().getAttribute('aria-expanded')).toBe('true');
    expect(screen.getByText('Leader')).toBeTruthy();
    cleanup();
    fold();
    expect(screen.getByText('Leader')).toBeTruthy();
    fireEvent.click(row());
    cleanup();
    fold();
    expect(screen.queryByText('Leader')).toBeNull();
  });
});
