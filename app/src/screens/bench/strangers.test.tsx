import { TERN_POINT } from '@keep-snug/core/demo';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { nothingHere, serverHas } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { saveText } from '@/platform/saveText';
import { useDeleting } from '@/data/deleting';
import { useLibrary } from '@/data/library';
import { Strangers } from './Strangers';

jest.mock('@/platform/saveText', () => ({ saveText: jest.fn() }));

const [plan] = Object.values(TERN_POINT.plans);
const ORB = { ...plan!, title: 'Orb of a later year', shape: { kind: 'orb' } };

beforeEach(nothingHere);

it('what a later version made is a card that says so, can be saved, deleted and brought back; the rest stands', () => {
  serverHas('plans', { known: plan, orb: ORB, broken: null });
  const { shelves, strangers } = useLibrary.getState();
  expect([Object.keys(shelves.plans), Object.keys(strangers.plans)]).toEqual([['known'], ['orb', 'broken']]);
  show(<Strangers />);
  expect(screen.getByText(/does not know the shape “orb” in it/)).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Save Orb of a later year as a file'));
  expect(JSON.parse(jest.mocked(saveText).mock.calls[0]![0])).toEqual(ORB);
  fireEvent.press(screen.getByLabelText('Delete Orb of a later year'));
  expect(screen.queryByText('Orb of a later year')).toBeNull();
  act(() => useDeleting.getState().undo());
  expect(screen.getByText('Orb of a later year')).toBeTruthy();
});

it('one that becomes known is taken to its shelf', () => {
  serverHas('plans', { orb: ORB });
  serverHas('plans', { orb: plan }, 2);
  const { shelves, strangers } = useLibrary.getState();
  expect([Object.keys(shelves.plans), Object.keys(strangers.plans)]).toEqual([['orb'], []]);
});
