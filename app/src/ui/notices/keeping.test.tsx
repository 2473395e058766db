import { act, fireEvent, screen } from '@testing-library/react-native';
import { nothingHere } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { RefusedEvents } from '@/screens/settings/RefusedEvents';
import { SettingsPage } from '@/screens/settings/SettingsPage';
import { SaveReminder } from './SaveReminder';
import { useKeeping } from '@/data/device/keeper';
import { useEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import { daysOverdue, useSaved } from '@/data/saved';
import { useLine } from '@/data/sync';
import { KeepingLines } from './KeepingLines';
import { TextField } from '@/ui/fields/TextField';

const mockPush = jest.fn();
jest.mock('expo-router', () => ({ usePathname: () => '/', useRouter: () => ({ push: mockPush }) }));

beforeEach(() => {
  nothingHere();
  useKeeping.setState({ trouble: null, unkept: 0 });
  useLine.setState({ reached: true, fault: null, offered: null });
});

const note = (text: string) => useEvents.getState().happened('m', { kind: 'noted', text, step: 'row' });

function refused(text = 'far too long'): string {
  note(text);
  const [id] = useEvents.getState().unsent as [string];
  useEvents.getState().setAside([{ id, reason: 'Longer than 2000 characters. Shorten it.' }]);
  return id;
}

describe('what stands in the way of keeping', () => {
  it('is not spoken of where nothing does', () => {
    show(<KeepingLines />);
    expect(screen.queryAllByRole('status')).toEqual([]);
  });

  it('no room: how much is in this page only, or that the server has it all', () => {
    useKeeping.setState({ trouble: 'full', unkept: 3 });
    show(<KeepingLines />);
    expect(screen.getByText('Nothing more is saved here. The server has everything.')).toBeTruthy();
    act(() => note('one'));
    expect(screen.getByText('This device has no room left.')).toBeTruthy();
    expect(
      screen.getByText('1 change is in this page only. Keep it open and free some space until it is saved.'),
    ).toBeTruthy();
    act(() => useKeeping.setState({ trouble: 'refused' }));
    expect(screen.getByText('This browser does not let the page save.')).toBeTruthy();
  });

  it('a fault of the page itself, and what to do', () => {
    useLine.setState({ fault: 'entries is not a list' });
    show(<KeepingLines />);
    expect(screen.getByText(/Reload the page; if this stays, report it as: entries is not a list/)).toBeTruthy();
  });

  it('another house: that nothing was deleted, until it is heard', () => {
    useLine.setState({ offered: { documents: 12, events: 1 } });
    show(<KeepingLines />);
    expect(screen.getByText(/12 documents and 1 entry of this device are sent to it again/)).toBeTruthy();
    fireEvent.press(screen.getByText('OK'));
    expect(screen.queryByText(/sent to it again/)).toBeNull();
  });

  it('an entry that was refused, and the way to it', () => {
    refused();
    show(<KeepingLines />);
    expect(screen.getByText('1 entry could not be saved on the server.')).toBeTruthy();
    fireEvent.press(screen.getByText('See why'));
    expect(mockPush).toHaveBeenCalledWith('/settings');
  });
});

it('the settings do not say that the server has all of it while something was refused', () => {
  refused();
  show(<SettingsPage />);
  expect(screen.getByText('The server has everything but what is told here.')).toBeTruthy();
  fireEvent.press(screen.getByText('Delete it'));
  expect(screen.getByText('The server has all of it too.')).toBeTruthy();
});

describe('an entry that was refused', () => {
  it('tells why, and goes again', () => {
    const id = refused();
    show(<RefusedEvents />);
    expect(screen.getByText('Longer than 2000 characters. Shorten it.')).toBeTruthy();
    fireEvent.press(screen.getByText('Try again'));
    expect(useEvents.getState()).toMatchObject({ unsent: [id], refused: {} });
  });

  it('is written anew in its own place', () => {
    const id = refused();
    show(<RefusedEvents />);
    fireEvent.changeText(screen.getByLabelText('Note'), '  ');
    fireEvent.press(screen.getByText('Save this note instead'));
    expect(Object.keys(useEvents.getState().refused)).toEqual([id]);
    fireEvent.changeText(screen.getByLabelText('Note'), 'short');
    fireEvent.press(screen.getByText('Save this note instead'));
    const { byMake, unsent, refused: left } = useEvents.getState();
    expect(byMake.m).toMatchObject([{ kind: 'noted', text: 'short', step: 'row' }]);
    expect([unsent.length, left]).toEqual([1, {}]);
  });

  it('is deleted when asked', () => {
    refused();
    show(<RefusedEvents />);
    fireEvent.press(screen.getByText('Delete it'));
    expect(useEvents.getState()).toMatchObject({ byMake: {}, refused: {} });
  });
});

describe('the reminder to save everything', () => {
  const at = '2026-03-01T10:00:00.000Z';
  const days = (count: number) => Date.parse(at) + count * 86_400_000;

  it('comes after thirty days, and stays away for a week when it is put off', () => {
    expect(daysOverdue({ at, quietUntil: '' }, days(29))).toBeNull();
    expect(daysOverdue({ at, quietUntil: '' }, days(31))).toBe(31);
    const quietUntil = new Date(days(38)).toISOString();
    expect(daysOverdue({ at, quietUntil }, days(37))).toBeNull();
    expect(daysOverdue({ at, quietUntil }, days(39))).toBe(39);
  });

  it('is silent where nothing is here to save', () => {
    useSaved.setState({ at, ever: true, quietUntil: '' });
    const { unmount } = show(<SaveReminder />);
    expect(screen.queryByText('Time for a backup')).toBeNull();
    unmount();
    useLibrary.getState().add('yarns', { name: 'kelp', yarn: { name: 'kelp', metresPer100g: 200 } });
    show(<SaveReminder />);
    expect(screen.getByText(/^Everything was last saved as a file \d+ days ago/)).toBeTruthy();
    fireEvent.press(screen.getByText('In a week'));
    expect(screen.queryByText('Time for a backup')).toBeNull();
  });
});

it('a line takes no hidden characters, and says that they were taken out', () => {
  const onChange = jest.fn();
  show(<TextField label="Name" value="" onChange={onChange} hint="As you call it." />);
  expect(screen.getByText('As you call it.')).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('Name'), 'tide\u202e table');
  expect(onChange).toHaveBeenCalledWith('tide table');
  expect(screen.getByText('Hidden characters were taken out.')).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('Name'), 'tide table');
  expect(screen.getByText('As you call it.')).toBeTruthy();
});
