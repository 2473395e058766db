import { readNumber, type Field, type FieldValues } from '@keep-snug/core';
import { fireEvent, screen, within } from '@testing-library/react-native';
import { useState } from 'react';
import { choose, show } from '@/fixtures/show';
import { useSettings } from '@/data/settings';
import { NumberField } from './NumberField';
import { faultAt, OptionFields } from './OptionFields';

const FIELDS: readonly Field[] = [
  { key: 'reach', kind: 'length', label: 'Reach', help: 'down the front', min: 5, max: 300, default: 40 },
  { key: 'loose', kind: 'length', label: 'Slack', min: 0, max: 50, optional: true },
  { key: 'rows', kind: 'number', label: 'Rows', unit: 'rows', whole: true, min: 1, max: 9, default: 2 },
  { key: 'share', kind: 'number', label: 'Share', unit: '%', min: -10, max: 10, optional: true },
  { key: 'words', kind: 'text', label: 'Words', max: 6 },
  {
    key: 'side',
    kind: 'choice',
    label: 'Side',
    options: [
      { id: 'left', name: 'left' },
      { id: 'right', name: 'right' },
    ],
    default: 'left',
  },
];

const changed = jest.fn();

function Options({ start = {}, faults = [] }: { start?: FieldValues; faults?: { path: string; message: string }[] }) {
  const [values, setValues] = useState(start);
  return (
    <OptionFields
      fields={FIELDS}
      values={values}
      path="fittings[0]"
      faults={faults}
      onChange={(key, value) => {
        changed(key, value);
        setValues((old) => ({ ...old, [key]: value }));
      }}
    />
  );
}

beforeEach(() => {
  changed.mockClear();
  useSettings.getState().set({ units: 'mm' });
});

const type = (label: string, text: string) => fireEvent.changeText(screen.getByLabelText(label), text);
const lineOf = (label: string) => String(screen.getByLabelText(label).props.value);

describe('an editor drawn from its description', () => {
  it('begins with what is usual, and says how', () => {
    show(<Options />);
    expect([lineOf('Reach'), lineOf('Rows'), lineOf('Slack'), lineOf('Share')]).toEqual(['40 mm', '2 rows', '', '']);
    expect(screen.getByText('down the front')).toBeTruthy();
    expect(within(screen.getByLabelText('Side')).getByText(/left/)).toBeTruthy();
  });

  it('passes on what can be used, in its own unit', () => {
    show(<Options />);
    type('Reach', '2 in');
    type('Rows', '3');
    type('Share', '−2,5');
    type('Words', 'a long word');
    choose('Side', /right/);
    expect(changed.mock.calls).toEqual([
      ['reach', 50.8],
      ['rows', 3],
      ['share', -2.5],
      ['words', 'a long'],
      ['side', 'right'],
    ]);
  });

  it('keeps on its line what cannot be used, with what is wrong, and passes nothing on', () => {
    show(<Options />);
    for (const [label, text, message] of [
      ['Reach', '2', /2 mm is too small. The smallest is 5 mm/],
      ['Reach', 'far', /“far” is not a length/],
      ['Rows', '2.5', /2.5 rows is not whole/],
      ['Rows', '10', /10 rows is too large. The largest is 9 rows/],
      ['Share', '-11', /-11 % is too small. The smallest is -10 %/],
    ] as const) {
      type(label, text);
      expect(lineOf(label)).toBe(text);
      expect(screen.getByText(message)).toBeTruthy();
    }
    expect(changed).not.toHaveBeenCalled();
  });

  it('empties only what may be empty', () => {
    show(<Options start={{ loose: 12, share: 3, rows: 4 }} />);
    type('Slack', '');
    type('Share', '');
    type('Rows', '');
    expect(changed.mock.calls).toEqual([
      ['loose', undefined],
      ['share', undefined],
    ]);
    expect(screen.getByText(/Nothing typed. Type a number from 1 row to 9 rows/)).toBeTruthy();
  });

  it('tells at its line what only the reckoning found', () => {
    const message = 'Longer than the front (60 mm). Make it 60 mm or less.';
    const faults = [{ path: 'fittings[0].reach', message }];
    show(<Options faults={faults} />);
    expect(screen.getByText(message)).toBeTruthy();
    expect(faultAt(faults, 'fittings[0].rows')).toBeUndefined();
  });

  it.each(FIELDS.map(({ key }) => key))('says what the reckoning refuses under the field itself: %s', (key) => {
    show(<Options faults={[{ path: `fittings[0].${key}`, message: 'That cannot be worked. Use 4.' }]} />);
    expect(screen.getByText('That cannot be worked. Use 4.')).toBeTruthy();
  });
});

describe('a number', () => {
  it.each<[string, string, number]>([
    ['3', '', 3],
    [' 3,25 ', '', 3.25],
    ['−4', '%', -4],
    ['-4.5 %', '%', -4.5],
    ['4mm', 'mm', 4],
    ['1 round', 'rounds', 1],
    ['2 rounds', 'rounds', 2],
  ])('typed as “%s” is read', (text, unit, value) => expect(readNumber(text, unit)).toBe(value));

  it('stands with its unit, which may be left out', () => {
    show(<NumberField label="Rounds" value={2} unit="rounds" min={0} max={9} onChange={changed} />);
    expect(lineOf('Rounds')).toBe('2 rounds');
    type('Rounds', '1');
    expect(changed).toHaveBeenLastCalledWith(1);
  });

  it('in another unit is no number', () => expect(readNumber('3 g', 'mm')).toBeNaN());

  it('stays as typed once the line is left, with what it was understood as, and while it is wrong', () => {
    show(<NumberField label="Balls" value={2} min={0} max={9} onChange={changed} />);
    type('Balls', '2,0');
    fireEvent(screen.getByLabelText('Balls'), 'blur');
    expect(lineOf('Balls')).toBe('2,0');
    expect(screen.getByText('= 2')).toBeTruthy();
    type('Balls', '99');
    fireEvent(screen.getByLabelText('Balls'), 'blur');
    expect(lineOf('Balls')).toBe('99');
  });
});
