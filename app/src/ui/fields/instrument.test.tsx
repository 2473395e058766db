import { act, fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { show } from '@/fixtures/show';
import { hearOfInstruments, received, useInstruments } from '@/data/instruments';
import { LengthField, type TypedLength } from './LengthField';
import { NumberField } from './NumberField';

const said: unknown[] = [];

function Fields() {
  const [length, setLength] = useState<TypedLength>();
  const [grams, setGrams] = useState<number>();
  return (
    <>
      <LengthField
        label="Width"
        mm={length?.mm}
        typed={length?.typed}
        min={1}
        max={300}
        onChange={(next) => {
          said.push(next);
          setLength(next);
        }}
        onNothing={() => setLength(undefined)}
      />
      <NumberField
        label="Weight"
        unit="g"
        value={grams}
        min={0}
        max={900}
        onChange={setGrams}
        onNothing={() => setGrams(undefined)}
      />
    </>
  );
}

const reads = (kind: 'calliper' | 'scale' | 'clicker', value: number | null) =>
  act(() => received({ id: `${kind} ${value}`, kind, name: 'practice-1', value }));

beforeEach(() => {
  said.length = 0;
  useInstruments.setState({ present: [], wanted: false, clicks: [] });
  hearOfInstruments({ is: 'devices', present: [{ id: '1', kind: 'calliper', name: 'practice-1' }] });
});

it('a focused field says that a device is there, and takes its reading with how it was read', () => {
  show(<Fields />);
  expect(screen.queryByText(/connected/)).toBeNull();
  fireEvent(screen.getByLabelText('Width'), 'focus');
  expect(screen.getByText('Calipers practice-1 connected: press its button.')).toBeTruthy();
  expect(useInstruments.getState().wanted).toBe(true);
  reads('calliper', 82.14);
  expect(said).toEqual([{ mm: 82.14, typed: '82.14 mm', by: 'calliper' }]);
  // what is typed after it was not read by a device
  fireEvent.changeText(screen.getByLabelText('Width'), '80');
  expect(said.at(-1)).toEqual({ mm: 80, typed: '80' });
});

it('each kind goes into its own fields only, and nothing into a field that was left', () => {
  show(<Fields />);
  fireEvent(screen.getByLabelText('Weight'), 'focus');
  reads('calliper', 40);
  reads('scale', 47.3);
  expect(screen.getByLabelText('Weight').props.value).toBe('47.3 g');
  fireEvent(screen.getByLabelText('Weight'), 'blur');
  reads('scale', 50);
  expect(screen.getByLabelText('Weight').props.value).toBe('47.3 g');
  expect(said).toEqual([]);
});

it('a reading out of bounds stays on the line with its message', () => {
  show(<Fields />);
  fireEvent(screen.getByLabelText('Width'), 'focus');
  reads('calliper', 900);
  expect(screen.getByText(/900 mm is too large/)).toBeTruthy();
  expect(said).toEqual([]);
});

it('a tab that is not in front takes nothing', () => {
  show(<Fields />);
  fireEvent(screen.getByLabelText('Width'), 'focus');
  hearOfInstruments({ is: 'in front' });
  reads('calliper', 50);
  expect(said).toEqual([]);
});
