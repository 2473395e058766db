import { reckon } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { choose, show } from '@/fixtures/show';
import { saveText } from '@/platform/saveText';
import { ChartPart } from './ChartPart';

jest.mock('@/platform/saveText', () => ({ saveText: jest.fn() }));
// a box is laid out by the browser
jest.mock('@/ui/layout/useBox', () => ({ useBox: () => ({ box: { width: 340, height: 300 }, onLayout: jest.fn() }) }));

const phone = reckon(Object.values(TERN_POINT.plans)[0]!);

it('is turned through some rows at a time, section by section', () => {
  show(<ChartPart worked={phone} />);
  expect(screen.getByLabelText('Chart, rows 1 to 12')).toBeTruthy();
  fireEvent.press(screen.getByText('Rows after'));
  fireEvent.press(screen.getByText('Rows after'));
  expect(screen.getByText('25 to 35 of 35')).toBeTruthy();
  fireEvent.press(screen.getByText('Rows before'));
  expect(screen.getByText('13 to 24 of 35')).toBeTruthy();
  choose('Charted', 'Strip: flap');
  expect(screen.getByLabelText('Chart, rows 76 to 87')).toBeTruthy();
});

it('is saved as a picture of what is shown, under its own name', () => {
  show(<ChartPart worked={phone} />);
  fireEvent.press(screen.getByText('Save this chart as a picture'));
  const [svg, name, type] = jest.mocked(saveText).mock.calls[0]!;
  expect([name, type]).toEqual(['field-phone-pouch-strip-front-1-to-12.svg', 'image/svg+xml']);
  expect(svg).toContain('<title>Field phone pouch, Strip: front, 1 to 12</title>');
});
