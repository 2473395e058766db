import { reckon, type Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { saveBlob, saveText } from '@/platform/saveText';
import { Away, printed } from '@/data/api';
import { useSettings } from '@/data/settings';
import { SheetOut } from './SheetOut';

jest.mock('@/platform/saveText', () => ({ saveText: jest.fn(), saveBlob: jest.fn() }));
jest.mock('@/data/api', () => ({ ...jest.requireActual('@/data/api'), printed: jest.fn() }));

const PLANS: Plan[] = Object.values(TERN_POINT.plans);
const [phone] = PLANS as [Plan];
const lined = PLANS.find(({ fittings }) => fittings?.some(({ kind }) => kind === 'lining'))!;

function opened(plan: Plan, what: string, kind: string) {
  show(<SheetOut plan={plan} worked={reckon(plan)} text="text" voice="full" onLink={jest.fn()} />);
  fireEvent.press(screen.getByText('Save'));
  fireEvent.press(screen.getByText(what));
  fireEvent.press(screen.getAllByText(kind).at(-1)!);
}
const press = () => fireEvent.press(screen.getAllByText('Save').at(-1)!);

beforeEach(() => {
  jest.clearAllMocks();
  useSettings.getState().set({ terms: 'US', units: 'mm', paper: 'A4' });
});

it.each([
  ['Pattern', 'Plain text', 'field-phone-pouch.txt', 'text/plain', /^Field phone pouch\nWritten in US/],
  ['Pattern', 'Markdown', 'field-phone-pouch.md', 'text/markdown', /^# Field phone pouch\n/],
  ['Pattern', 'Plan file', 'field-phone-pouch.json', 'application/json', /^\{\n {2}"format": "keep-snug\.plan\/1"/],
  ['Drawing: folded', 'SVG for one page', 'field-phone-pouch-folded.svg', 'image/svg+xml', /Folded<\/title>/],
  ['Outline at true size', 'SVG in one piece', 'field-phone-pouch-outline.svg', 'image/svg+xml', /outline<\/title>/],
])('%s as %s is handed to the browser under its own name', (what, kind, name, type, holds) => {
  opened(phone, what, kind);
  press();
  const [text, as, media] = jest.mocked(saveText).mock.calls[0]!;
  expect([as, media]).toEqual([name, `${type};charset=utf-8`]);
  expect(text).toMatch(holds);
  expect(screen.getByText(`Saved as ${name}`)).toBeTruthy();
});

it('asks the server for a PDF on the paper chosen, and for a lining where there is one', async () => {
  const blob = new Blob(['%PDF-']);
  jest.mocked(printed).mockResolvedValue({ is: 'made', blob });
  opened(lined, 'Lining to cut', 'PDF');
  fireEvent.press(screen.getByText('Letter'));
  await act(async () => press());
  expect(jest.mocked(printed).mock.calls[0]![0]).toMatchObject({ of: 'lining', paper: 'Letter', plan: lined });
  expect(jest.mocked(saveBlob).mock.calls[0]).toEqual([blob, expect.stringMatching(/-lining\.pdf$/)]);
});

it('offers no lining where there is none', () => {
  opened(phone, 'Pattern', 'PDF');
  expect(screen.queryByText('Lining to cut')).toBeNull();
});

it.each([
  ['the server is away', () => Promise.reject(new Away()), /PDFs are made by the server/],
  ['it refuses', () => Promise.resolve({ is: 'refused' as const, message: 'plan.title: too long' }), /plan\.title/],
])('says that nothing was saved where %s', async (_, answer, told) => {
  jest.mocked(printed).mockImplementation(answer);
  opened(phone, 'Pattern', 'PDF');
  await act(async () => press());
  expect(screen.getByText(told)).toBeTruthy();
  expect(saveBlob).not.toHaveBeenCalled();
});
