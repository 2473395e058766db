import { TERN_POINT } from '@keep-snug/core/demo';
import { planDays } from '@keep-snug/core/batches';
import { dayAfter, dayText, HOURS_ID } from '@keep-snug/core/sittings';
import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { samplesHere } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { changeHours, todayHere } from '@/data/hours';
import { useLibrary } from '@/data/library';
import * as worker from '@/platform/useReckonWorker';
import { Days } from './Days';
import { minutesText } from '@/reading/minutesText';
import { jobsShown } from '@/reading/shown';
import { useSittingsAsk } from '@/reading/useJobs';
import { WhenPanel } from '@/ui/when/WhenPanel';

jest.mock('./calendars', () => ({ calendars: () => Promise.resolve(jest.requireActual('@keep-snug/core/calendar')) }));
const mockSaved: { text: string; name: string }[] = [];
jest.mock('@/platform/saveText', () => ({
  saveText: (text: string, name: string) => mockSaved.push({ text, name }),
  saveBlob: () => undefined,
}));
let mockChosen: { name: string; size: number; text: () => Promise<string> } | undefined;
jest.mock('@/platform/chooseFile', () => ({ chooseFile: () => Promise.resolve(mockChosen) }));

const hoursNow = () => useLibrary.getState().shelves.hours[HOURS_ID]!.body;
const today = todayHere();

beforeEach(() => {
  mockSaved.length = 0;
  samplesHere();
  changeHours((hours) => ({ ...hours, week: [1, 1, 1, 1, 1, 1, 1], days: [] }));
  jest.spyOn(worker, 'useSittings').mockImplementation((ask) => ({
    found: ask ? planDays(ask) : null,
    stale: false,
  }));
});
afterEach(() => jest.restoreAllMocks());

describe('the days', () => {
  it('show every sitting on its day, and each project with the day it is done', () => {
    show(<Days />);
    expect(screen.getAllByText('Season’s end').length).toBeGreaterThan(0);
    expect(screen.getAllByText(/^Done on /).length).toBeGreaterThan(2);
    expect(screen.getByText(dayText(today))).toBeTruthy();
  });

  it('are those of the hours that are typed', () => {
    show(<Days />);
    fireEvent.changeText(screen.getByLabelText('Monday'), '2.5');
    expect(hoursNow().week[0]).toBe(2.5);
    fireEvent.changeText(screen.getByLabelText('Tuesday'), '25 h');
    expect(screen.getByText(/largest/)).toBeTruthy();
    expect(hoursNow().week[1]).toBe(1);
  });

  it('leave out a day off, and take it back', () => {
    show(<Days />);
    const off = dayAfter(today, 3);
    fireEvent.changeText(screen.getByLabelText('Another day'), dayText(off));
    fireEvent.press(screen.getByText('Add this day'));
    expect(hoursNow().days).toEqual([{ day: off, hours: 0 }]);
    fireEvent.press(screen.getByLabelText(`Remove ${dayText(off)}`));
    expect(hoursNow().days).toEqual([]);
  });

  it('say where a day cannot be met, and what helps does what it says', () => {
    show(<Days />);
    fireEvent.changeText(screen.getByLabelText('Day Season’s end is wanted'), dayText(dayAfter(today, 1)));
    expect(screen.getAllByText(/^Not by /).length).toBeGreaterThan(0);
    const [more] = screen.getAllByLabelText(/^Crochet .* longer.*: take this$/);
    fireEvent.press(more!);
    expect(hoursNow().week[0]).toBeGreaterThan(1);
  });

  it('a day that cannot be read stays on its line with what would do', () => {
    show(<Days />);
    const line = screen.getByLabelText('Day Season’s end is wanted');
    fireEvent.changeText(line, '5/12');
    expect(screen.getByText(/may be two different days/)).toBeTruthy();
    fireEvent.changeText(line, 'whenever');
    expect(screen.getByText(/“whenever” is not a day/)).toBeTruthy();
  });

  it('do not leave while they are worked out anew', async () => {
    jest.spyOn(worker, 'useSittings').mockImplementation((ask) => ({ found: ask ? planDays(ask) : null, stale: true }));
    show(<Days />);
    fireEvent.press(screen.getByText('Save sittings as a calendar file'));
    await act(() => new Promise((resolve) => setTimeout(resolve, 50)));
    expect(mockSaved).toHaveLength(0);
  });

  it('leave as a calendar file, and take in the days that one has taken', async () => {
    show(<Days />);
    fireEvent(screen.getByRole('switch'), 'press');
    fireEvent.press(screen.getByText('Save sittings as a calendar file'));
    await waitFor(() => expect(mockSaved).toHaveLength(1));
    expect(mockSaved[0]!.text).toContain('BEGIN:VALARM');
    await waitFor(() => expect(Object.keys(hoursNow().sent!).length).toBeGreaterThan(0));
    const day = dayAfter(today, 4);
    const entry = `BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:${day.replace(/-/g, '')}\r\nSUMMARY:ferry\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`;
    mockChosen = { name: 'my.ics', size: entry.length, text: () => Promise.resolve(entry) };
    fireEvent.press(screen.getByText('Read taken days from a calendar file'));
    await waitFor(() => expect(hoursNow().days).toEqual([{ day, hours: 0, note: 'ferry' }]));
    mockChosen = { name: 'no.ics', size: 3, text: () => Promise.resolve('no.') };
    fireEvent.press(screen.getByText('Read taken days from a calendar file'));
    await screen.findByText(/not a calendar file/);
  });
});

it('a plan that is wanted on a day is among them, and its make takes the day over', () => {
  const [id, { title }] = Object.entries(TERN_POINT.plans).find(([, plan]) => plan.title.includes('tote'))!;
  show(<WhenPanel id={id} title={title} onClose={() => undefined} />);
  fireEvent.changeText(screen.getByLabelText(`Day ${title} is wanted`), 'tomorrow');
  expect(hoursNow().wanted![id]).toBe(dayAfter(today, 1));
  expect(screen.getByText(/^Not by |^It may be done|^Done by/)).toBeTruthy();
});

it('jobs of a batch are told as one', () => {
  let ask: ReturnType<typeof useSittingsAsk>['ask'] | undefined;
  const Probe = () => {
    ({ ask } = useSittingsAsk());
    return null;
  };
  show(<Probe />);
  const { jobs } = planDays(ask!);
  const shown = jobsShown(jobs, useLibrary.getState().shelves.batches);
  const batch = shown.find(({ kind }) => kind === 'batch')!;
  expect(batch.jobs).toHaveLength(12);
  expect(batch.minutes).toBeCloseTo(
    jobs.filter(({ group }) => group === batch.id).reduce((sum, { minutes }) => sum + minutes, 0),
    6,
  );
});

it.each([
  [7, '5 min'],
  [44, '45 min'],
  [60, '1 h'],
  [92, '1 h 30'],
])('%s minutes are %s', (minutes, text) => expect(minutesText(minutes)).toBe(text));
