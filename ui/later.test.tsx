import { act, cleanup, render, screen } from '@testing-library/react';
import { Component, type ReactNode } from 'react';
import { come, fetched, later } from './later';

afterEach(cleanup);

/** A door that opens, or does not, when it is told to. */
function closed() {
  const parts = { Word: ({ of }: { of: string }) => <p>{`a part of ${of}`}</p> };
  let settle: { open: () => void; jam: () => void };
  const door = jest.fn(
    () =>
      new Promise<typeof parts>((resolve, reject) => {
        settle = { open: () => resolve(parts), jam: () => reject(new Error('not there')) };
      }),
  );
  return { door, open: () => act(async () => settle.open()), jam: () => act(async () => settle.jam()) };
}

class Catch extends Component<{ children: ReactNode }> {
  override state = { said: '' };
  static getDerivedStateFromError = (error: Error) => ({ said: error.message });
  override render() {
    return this.state.said || this.props.children;
  }
}

describe('a part that comes later', () => {
  it('has its place kept until it comes, at once and not when something else is shown', async () => {
    const { door, open } = closed();
    const Word = later(
      door,
      (m) => m.Word,
      ({ of }) => <p>{`room for ${of}`}</p>,
    );
    render(<Word of="it" />);
    expect(screen.getByText('room for it')).toBeTruthy();
    await open();
    expect(screen.getByText('a part of it')).toBeTruthy();
    // Whatever else is behind the door is there with it.
    const Other = later(door, (m) => m.Word);
    render(<Other of="another" />);
    expect(screen.getByText('a part of another')).toBeTruthy();
    expect(door).toHaveBeenCalledTimes(1);
  });

  it('that does not come is told where it is shown, and asked for again when that is shown anew', async () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const { door, open, jam } = closed();
    const Word = later(door, (m) => m.Word);
    const first = render(
      <Catch>
        <Word of="it" />
      </Catch>,
    );
    await jam();
    expect(screen.getByText('not there')).toBeTruthy();
    expect(come(door)).toBeUndefined();
    first.unmount();
    render(<Word of="it" />);
    await open();
    expect(screen.getByText('a part of it')).toBeTruthy();
    quiet.mockRestore();
  });

  it('can be let come before it is shown', async () => {
    const { door, open } = closed();
    const coming = fetched(door);
    await open();
    const { Word } = await coming;
    expect(come(door)).toEqual({ Word });
  });
});
