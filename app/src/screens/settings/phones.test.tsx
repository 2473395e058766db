import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { newCode, pairedNow, removed, renamed, type PairedTold } from '@/data/paired';
import { useLine } from '@/data/sync';
import { useVersion } from '@/platform/version';
import { NewVersion } from '@/ui/notices/NewVersion';
import { KeepingTrouble } from '@/ui/notices/KeepingLines';
import { InstallPart } from './InstallPart';
import { PhonesPart } from './PhonesPart';

jest.mock('@/data/paired');
const told = (more: Partial<PairedTold> = {}): PairedTold => ({
  open: true,
  here: true,
  devices: [
    {
      id: 'a',
      name: 'phone on the sofa',
      pairedAt: '2026-11-01T10:00:00Z',
      seenAt: '2026-11-20T10:00:00Z',
      isThis: false,
    },
  ],
  ...more,
});
const answers = (now: PairedTold | null) => (pairedNow as jest.Mock).mockResolvedValue(now);

beforeEach(() => {
  jest.clearAllMocks();
  useLine.setState({ reached: true, unpaired: false });
});

describe('phones', () => {
  it('are named anew and removed', async () => {
    answers(told());
    (renamed as jest.Mock).mockResolvedValue(true);
    (removed as jest.Mock).mockResolvedValue(true);
    show(<PhonesPart />);
    const line = await screen.findByLabelText('Device');
    fireEvent.changeText(line, 'tablet');
    expect(renamed).toHaveBeenLastCalledWith('a', 'tablet');
    fireEvent.changeText(line, '');
    expect(screen.getByText('A device needs a name.')).toBeTruthy();
    expect(renamed).toHaveBeenLastCalledWith('a', 'phone on the sofa');
    answers(told({ devices: [] }));
    fireEvent.press(screen.getByLabelText('Remove phone on the sofa'));
    await screen.findByText(/Only this computer/);
    expect(removed).toHaveBeenCalledWith('a');
  });

  it('come in by a code that is shown on this machine', async () => {
    answers(told({ devices: [] }));
    (newCode as jest.Mock).mockResolvedValue({
      url: 'https://192.0.2.7:8133/pair?token=x',
      address: 'https://192.0.2.7:8133',
      until: '',
      picture: '<svg/>',
    });
    show(<PhonesPart />);
    fireEvent.press(await screen.findByText('Pair a phone'));
    await screen.findByText(/type this address: https:\/\/192\.0\.2\.7:8133\/pair\?token=x/);
  });

  it('where none can come in, that is said with what to do', async () => {
    answers(told({ open: false, devices: [] }));
    show(<PhonesPart />);
    await screen.findByText(/snug serve --phone/);
    expect(screen.queryByText('Pair a phone')).toBeNull();
  });

  it('a phone lets no other one in', async () => {
    answers(told({ here: false }));
    show(<PhonesPart />);
    await screen.findByLabelText('Device');
    expect(screen.queryByText('Pair a phone')).toBeNull();
  });

  it('wait for the server', () => {
    answers(null);
    useLine.setState({ reached: false });
    show(<PhonesPart />);
    expect(screen.getByText(/needs the server/)).toBeTruthy();
  });
});

it('a device that is let in no longer says so, and that nothing is lost', () => {
  useLine.setState({ reached: false, unpaired: true });
  show(<KeepingTrouble />);
  expect(screen.getByText('This device is not paired any more.')).toBeTruthy();
});

describe('the app on this device', () => {
  it('is installed where the browser offers it', async () => {
    const install = jest.fn().mockResolvedValue(undefined);
    useVersion.setState({ install });
    show(<InstallPart />);
    fireEvent.press(screen.getByText('Install as an app'));
    await waitFor(() => expect(install).toHaveBeenCalled());
    useVersion.setState({ install: null });
  });

  it('over a line that is not trusted says what does not work, and where to trust it', () => {
    show(<InstallPart />);
    expect(screen.getByText(/cannot be installed/)).toBeTruthy();
    expect(screen.getByText('Trust this house')).toBeTruthy();
  });

  it('tells of a new version, and takes it when it is told to', () => {
    show(<NewVersion />);
    expect(screen.queryByText('A new version is ready.')).toBeNull();
    const takeNew = jest.fn();
    useVersion.setState({ takeNew });
    show(<NewVersion />);
    fireEvent.press(screen.getByText('Reload'));
    expect(takeNew).toHaveBeenCalled();
    useVersion.setState({ takeNew: null });
  });
});
