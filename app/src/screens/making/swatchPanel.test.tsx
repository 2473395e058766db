import { FIRST_FABRIC, MAKE_FORMAT, practicePlan, type Make } from '@keep-snug/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useLibrary } from '@/data/library';
import { useSettings } from '@/data/settings';
import { SwatchPanel } from './SwatchPanel';

const plan = practicePlan(
  { ...FIRST_FABRIC, stitch: 'double', yarn: { name: 'dune cotton', category: 4 } },
  'double crochet',
);
const make: Make = { format: MAKE_FORMAT, title: plan.title, planId: 'x', plan, startedAt: '2026-10-01T18:00:00.000Z' };
const swatches = () => Object.values(useLibrary.getState().shelves.swatches).map(({ body }) => body);

beforeEach(() => useSettings.getState().set({ units: 'mm', terms: 'UK' }));

it('asks for at least one measurement, and says what to type', () => {
  const onClose = jest.fn();
  show(<SwatchPanel make={make} onClose={onClose} />);
  expect(screen.getByText(/It becomes your tension for this yarn/)).toBeTruthy();
  fireEvent.press(screen.getByText('Save as a swatch'));
  expect(screen.getByText(/Nothing is measured yet\. Type the width/)).toBeTruthy();
  expect(onClose).not.toHaveBeenCalled();
  expect(swatches()).toEqual([]);
});

it('keeps what was counted as a swatch of its yarn, which is put in the box with it', () => {
  const onClose = jest.fn();
  show(<SwatchPanel make={make} onClose={onClose} />);
  fireEvent.changeText(screen.getByLabelText('Stitches counted'), '14');
  const width = screen.getByLabelText('Their width');
  fireEvent.changeText(width, '90');
  fireEvent(width, 'blur');
  fireEvent.press(screen.getByText('Save as a swatch'));
  expect(onClose).toHaveBeenCalled();
  const [yarn] = Object.entries(useLibrary.getState().shelves.yarns);
  expect(yarn![1].body).toMatchObject({ name: 'dune cotton' });
  expect(swatches()).toEqual([
    {
      name: 'double crochet on 4 mm',
      yarn: yarn![0],
      stitch: 'double',
      hookMm: 4,
      gauge: { stitches: [{ count: 14, overMm: 90, by: 'tape' }] },
    },
  ]);
});
