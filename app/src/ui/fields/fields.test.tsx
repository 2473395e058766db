import { lengthFault, numberFault } from '@keep-snug/core';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { PaperProvider } from 'react-native-paper';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { LengthField } from './LengthField';
import { NumberField } from './NumberField';

const limits = { min: 1, max: 5000, units: 'mm' as const, optional: false };

describe('what is wrong with an entry', () => {
  it('names the value, the limit and the repair', () => {
    expect(lengthFault('82', limits)).toBeUndefined();
    expect(lengthFault('0', limits)).toMatch(/0 mm is too small. The smallest is 1 mm/);
    expect(lengthFault('600 cm', limits)).toMatch(/600 cm is too large. The largest is 500 cm/);
    expect(lengthFault('wide', limits)).toMatch(/“wide” is not a length/);
    expect(lengthFault('', { ...limits, optional: true })).toBeUndefined();
    expect(lengthFault('', limits)).toMatch(/Nothing typed/);
  });

  it('of a number says the same', () => {
    const whole = { min: 1, max: 9, whole: true, unit: 'rows' };
    expect(numberFault('3', whole)).toBeUndefined();
    expect(numberFault('3,5', whole)).toMatch(/3.5 rows is not whole/);
    expect(numberFault('12', whole)).toMatch(/12 rows is too large. The largest is 9 rows/);
    expect(numberFault('x', whole)).toMatch(/“x” is not a number/);
    expect(numberFault(' ', whole)).toMatch(/Nothing typed/);
  });
});

describe('a length field', () => {
  const show = (onChange: jest.Mock) =>
    render(
      <PaperProvider settings={{ icon: () => null }}>
        <LengthField label="Width" mm={78} min={1} max={5000} onChange={onChange} />
      </PaperProvider>,
    );

  it('passes on good lengths as typed, and keeps a bad one on the line with its message', () => {
    const onChange = jest.fn();
    show(onChange);
    const line = screen.getByLabelText('Width');
    expect(line.props.value).toBe('78 mm');
    fireEvent.changeText(line, '3 1/4 in');
    expect(onChange).toHaveBeenLastCalledWith({ mm: 82.55, typed: '3 1/4 in' });
    fireEvent.changeText(line, 'wide');
    expect(onChange).toHaveBeenLastCalledWith({ mm: 78, typed: '78 mm' });
    expect(screen.getByLabelText('Width').props.value).toBe('wide');
    expect(screen.getByText(/“wide” is not a length/)).toBeTruthy();
  });
});

/** A field as a hand types into it, letter by letter. */
function typed(label: string, text: string): void {
  for (let end = 1; end <= text.length; end += 1)
    fireEvent.changeText(screen.getByLabelText(label), text.slice(0, end));
}

function Numbers({ done }: { done: (grams: number | undefined, hours: number) => void }) {
  const [grams, setGrams] = useState<number>();
  const [hours, setHours] = useState(2);
  return (
    <CardBox>
      <NumberField
        label="Yarn"
        unit="g"
        value={grams}
        min={0}
        max={900}
        onChange={setGrams}
        onNothing={() => setGrams(undefined)}
      />
      <NumberField label="Hours" unit="h" value={hours} min={0} max={24} onChange={setHours} />
      <Action main onPress={() => done(grams, hours)}>
        Save
      </Action>
    </CardBox>
  );
}

describe('a number field', () => {
  const done = jest.fn();
  beforeEach(() => {
    done.mockClear();
    render(
      <PaperProvider settings={{ icon: () => null }}>
        <Numbers done={done} />
      </PaperProvider>,
    );
  });
  const save = () => fireEvent.press(screen.getByText('Save'));

  it.each([
    ['90 min', 1.5],
    ['1:30', 1.5],
    ['1½', 1.5],
  ])('takes %s whole, and says what it was understood as', (text, hours) => {
    typed('Hours', text);
    expect(screen.getByText(/^= \d/)).toBeTruthy();
    save();
    expect(done).toHaveBeenLastCalledWith(undefined, hours);
  });

  it.each(['30 mint', '3 km', '12 or so'])('keeps nothing of “%s”, whose beginning is a number', (text) => {
    typed('Hours', text);
    typed('Yarn', text);
    fireEvent(screen.getByLabelText('Hours'), 'blur');
    expect(screen.getByLabelText('Hours').props.value).toBe(text);
    save();
    expect(done).not.toHaveBeenCalled();
    typed('Yarn', '1 x 100 g');
    typed('Hours', '3');
    save();
    expect(done).toHaveBeenLastCalledWith(100, 3);
  });

  it('with nothing in it that is needed does not let the form be saved', () => {
    typed('Yarn', '5');
    fireEvent.changeText(screen.getByLabelText('Yarn'), '');
    save();
    expect(done).not.toHaveBeenCalled();
  });
});
