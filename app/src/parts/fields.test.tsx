import { lengthFault, numberFault } from '@keep-snug/core';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { PaperProvider } from 'react-native-paper';
import { LengthField } from './LengthField';

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
    expect(onChange).toHaveBeenCalledTimes(1);
    expect(screen.getByLabelText('Width').props.value).toBe('wide');
    expect(screen.getByText(/“wide” is not a length/)).toBeTruthy();
  });
});
