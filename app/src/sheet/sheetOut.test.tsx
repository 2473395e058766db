import { reckon, type Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fromMenu, show } from '@/fixtures/show';
import { saveText } from '@/parts/saveText';
import { useSettings } from '@/state/settings';
import { SheetOut } from './SheetOut';

jest.mock('@/parts/saveText', () => ({ saveText: jest.fn() }));

const plan: Plan = Object.values(TERN_POINT.plans)[0]!;
const saved = (entry: string) => {
  jest.mocked(saveText).mockClear();
  show(<SheetOut plan={plan} worked={reckon(plan)} text="text" voice="full" onLink={jest.fn()} />);
  fromMenu('this pattern', entry);
  return jest.mocked(saveText).mock.calls[0]!;
};

beforeEach(() => useSettings.getState().set({ terms: 'US', units: 'mm' }));

it.each([
  ['Save as plain text', 'field-phone-pouch.txt', 'text/plain;charset=utf-8', /^Field phone pouch\nWritten in US/],
  ['Save as markdown', 'field-phone-pouch.md', 'text/markdown;charset=utf-8', /^# Field phone pouch\n/],
  [
    'Save as plan file',
    'field-phone-pouch.json',
    'application/json;charset=utf-8',
    /^\{\n {2}"format": "keep-snug\.plan\/1"/,
  ],
])('%s hands the pattern to the browser under its own name', (entry, name, type, begins) => {
  const [text, as, media] = saved(entry);
  expect([as, media]).toEqual([name, type]);
  expect(text).toMatch(begins);
});
