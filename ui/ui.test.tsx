import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { Button } from './Button';
import { Choice, plainOptions } from './Choice';
import { NumberField } from './Field';
import { Slider } from './Slider';
import { Stepper } from './Stepper';
import { daylight, dusk, type Theme } from './theme';
import { ToastProvider, useToast } from './Toast';

afterEach(cleanup);

/** Contrast ratio of two colours (WCAG 2.2, relative luminance). */
function contrast(a: string, b: string): number {
  const luminance = (hex: string) => {
    const [r, g, bl] = [1, 3, 5].map((i) => {
      const c = parseInt(hex.slice(i, i + 2), 16) / 255;
      return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * bl!;
  };
  const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p);
  return (x! + 0.05) / (y! + 0.05);
}

describe('themes', () => {
  it.each([daylight, dusk])('$name: text stands out by 7:1 or more (WCAG 2.2 enhanced contrast)', (t: Theme) => {
    const pairs: [string, string][] = [
      [t.ink, t.paper],
      [t.ink2, t.paper],
      [t.ink2, t.card],
      [t.ink, t.sand],
      [t.onInk, t.ink],
      [t.flyText, t.card],
      [t.cautionText, t.cautionGround],
    ];
    for (const [text, ground] of pairs) expect(contrast(text, ground)).toBeGreaterThanOrEqual(7);
  });
});

describe('NumberField', () => {
  function Field({ onValue }: { onValue: (v: number | null) => void }) {
    const [v, setV] = useState<number | null>(1.2);
    return (
      <NumberField
        label="Depth"
        unit="m"
        min={0}
        max={5}
        value={v}
        onChange={(n) => {
          setV(n);
          onValue(n);
        }}
      />
    );
  }
  it('takes a comma, keeps what is typed, and tells limits without enforcing them', () => {
    const onValue = jest.fn();
    render(<Field onValue={onValue} />);
    const input = screen.getByLabelText('Depth, m') as HTMLInputElement;
    expect(input.value).toBe('1.2');
    fireEvent.change(input, { target: { value: '0,80' } });
    expect(onValue).toHaveBeenLastCalledWith(0.8);
    expect(input.value).toBe('0,80');
    fireEvent.change(input, { target: { value: '9' } });
    expect(screen.getByRole('alert').textContent).toBe('At most 5 m.');
    fireEvent.change(input, { target: { value: 'deep' } });
    expect(onValue).toHaveBeenLastCalledWith(null);
    expect(screen.getByRole('alert').textContent).toBe('Enter a number.');
  });

  it('rewrites nothing while it has the focus, and shows what holds once it is left', () => {
    /** Takes what is at least 1 only. */
    function Choosy() {
      const [v, setV] = useState<number | null>(1.8);
      return <NumberField label="Height" value={v} onChange={(n) => n !== null && n >= 1 && setV(n)} />;
    }
    render(<Choosy />);
    const input = screen.getByLabelText('Height') as HTMLInputElement;
    fireEvent.focus(input);
    for (const t of ['1.', '1', '', '0', '0.', '0.9']) {
      fireEvent.change(input, { target: { value: t } });
      expect(input.value).toBe(t);
    }
    fireEvent.blur(input);
    expect(input.value).toBe('1');
  });

  it('turns its sign where it may be below 0: number pads of phones have no minus', () => {
    const onValue = jest.fn();
    function Signed() {
      const [v, setV] = useState<number | null>(12);
      onValue(v);
      return <NumberField label="Level" signed value={v} onChange={setV} />;
    }
    render(<Signed />);
    const turn = screen.getByRole('button', { name: 'Level: plus or minus' });
    fireEvent.click(turn);
    expect(onValue).toHaveBeenLastCalledWith(-12);
    fireEvent.click(turn);
    expect(onValue).toHaveBeenLastCalledWith(12);
  });

  it('where that is asked tells a change once it is left', () => {
    const onValue = jest.fn();
    render(<NumberField label="Down" whenDone value={30} onChange={onValue} />);
    const input = screen.getByLabelText('Down');
    fireEvent.focus(input);
    fireEvent.change(input, { target: { value: '4' } });
    fireEvent.change(input, { target: { value: '42' } });
    expect(onValue).not.toHaveBeenCalled();
    fireEvent.blur(input);
    expect(onValue.mock.calls).toEqual([[42]]);
  });
});

describe('controls', () => {
  it('a slider answers the arrow keys and stays in its range', () => {
    const onChange = jest.fn();
    render(
      <Slider label="Angle" value={105} min={10} max={110} step={5} onChange={onChange} format={(v) => `${v}°`} />,
    );
    const slider = screen.getByRole('slider', { name: 'Angle' });
    expect(slider.getAttribute('aria-valuetext')).toBe('105°');
    fireEvent.keyDown(slider, { key: 'ArrowRight' });
    expect(onChange).toHaveBeenLastCalledWith(110);
    fireEvent.keyDown(slider, { key: 'PageUp' });
    expect(onChange).toHaveBeenLastCalledWith(110);
    fireEvent.keyDown(slider, { key: 'Home' });
    expect(onChange).toHaveBeenLastCalledWith(10);
  });

  it('tells what its options mean, to the eye and to a reader', () => {
    const options = [
      { value: 'far', label: 'far', says: 'It covers more water.' },
      { value: 'short', label: 'short', says: 'It hooks better.' },
    ] as const;
    const onChange = jest.fn();
    render(<Choice label="How far" options={options} value="far" onChange={onChange} />);
    expect(screen.getByText('It hooks better.')).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'short: It hooks better.' }));
    expect(onChange).toHaveBeenCalledWith('short');
  });

  it('a choice is a group of radios', () => {
    const onChange = jest.fn();
    render(<Choice label="Sky" options={plainOptions(['bright', 'dusk'])} value="bright" onChange={onChange} />);
    expect(screen.getByRole('radiogroup', { name: 'Sky' })).toBeTruthy();
    expect(screen.getByRole('radio', { name: 'bright' }).getAttribute('aria-checked')).toBe('true');
    fireEvent.click(screen.getByRole('radio', { name: 'dusk' }));
    expect(onChange).toHaveBeenCalledWith('dusk');
  });

  it('steps once at a tap, and on and on while it is held', () => {
    jest.useFakeTimers();
    try {
      const onMore = jest.fn();
      render(<Stepper label="Paces" text="2 paces" onLess={() => {}} onMore={onMore} />);
      const more = screen.getByRole('button', { name: 'Paces, more' });
      fireEvent.click(more);
      expect(onMore).toHaveBeenCalledTimes(1);
      fireEvent.mouseDown(more, { button: 0, buttons: 1 });
      jest.advanceTimersByTime(1500);
      fireEvent.mouseUp(more, { button: 0 });
      const held = onMore.mock.calls.length;
      expect(held).toBeGreaterThan(6);
      jest.advanceTimersByTime(1500);
      expect(onMore).toHaveBeenCalledTimes(held); // let go
    } finally {
      jest.useRealTimers();
    }
  });

  it('a stepper at its end cannot go on', () => {
    const onMore = jest.fn();
    render(<Stepper label="Paces" text="2 paces" onLess={() => {}} onMore={onMore} canMore={false} />);
    fireEvent.click(screen.getByRole('button', { name: 'Paces, more' }));
    expect(onMore).not.toHaveBeenCalled();
  });

  it('a button says its label and hint, and its key', () => {
    const onPress = jest.fn();
    render(<Button label="Cast" hint="counts one" shortcut="C" onPress={onPress} />);
    const b = screen.getByRole('button', { name: 'Cast. counts one' });
    expect(b.getAttribute('aria-keyshortcuts')).toBe('C');
    fireEvent.click(b);
    expect(onPress).toHaveBeenCalledTimes(1);
  });
});

describe('a toast', () => {
  it('offers the way back and goes by itself', () => {
    jest.useFakeTimers();
    const undo = jest.fn();
    function Page() {
      const toast = useToast();
      return <Button label="Remove" onPress={() => toast('Removed.', undo)} />;
    }
    render(
      <ToastProvider>
        <Page />
      </ToastProvider>,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Remove' }));
    expect(screen.getByText('Removed.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(undo).toHaveBeenCalledTimes(1);
    expect(screen.queryByText('Removed.')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Remove' }));
    act(() => {
      jest.advanceTimersByTime(8000);
    });
    expect(screen.queryByText('Removed.')).toBeNull();
    jest.useRealTimers();
  });

  it('a way back is not taken away by what is only told: that is said afterwards', () => {
    jest.useFakeTimers();
    const undo = jest.fn();
    function Page() {
      const toast = useToast();
      return (
        <>
          <Button label="Clear" onPress={() => toast('Cleared.', undo)} />
          <Button label="Tell" onPress={() => toast('Ready.')} />
          <Button label="Tell more" onPress={() => toast('More.')} />
        </>
      );
    }
    render(
      <ToastProvider>
        <Page />
      </ToastProvider>,
    );
    const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
    press('Clear');
    press('Tell');
    expect(screen.getByText('Cleared.')).toBeTruthy();
    press('Undo');
    expect(undo).toHaveBeenCalledTimes(1);
    expect(screen.getByText('Ready.')).toBeTruthy();
    press('Tell more'); // what is only told gives way at once
    expect(screen.queryByText('Ready.')).toBeNull();
    expect(screen.getByText('More.')).toBeTruthy();
    act(() => {
      press('Tell'); // in the moment in which the time of the one before runs out
      jest.advanceTimersByTime(7000);
    });
    expect(screen.getByText('Ready.')).toBeTruthy();
    act(() => void jest.advanceTimersByTime(8000));
    expect(screen.queryByText('Ready.')).toBeNull();
    expect(screen.queryByText('More.')).toBeNull();
    jest.useRealTimers();
  });
});
