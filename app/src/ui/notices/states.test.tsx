import { act, fireEvent, screen } from '@testing-library/react-native';
import { Text } from 'react-native';
import { show } from '@/fixtures/show';
import { useDeleting } from '@/data/deleting';
import { useLibrary } from '@/data/library';
import { useLine } from '@/data/sync';
import { Broken } from '@/shell/Broken';
import { Clash } from './Clash';
import { EmptyPlace } from './EmptyPlace';
import { Missing } from './Missing';
import { Page } from '@/ui/layout/Page';

jest.mock('expo-router', () => ({ usePathname: () => '/', useRouter: () => ({ navigate: jest.fn() }) }));

const start = jest.fn();
const place = (
  <EmptyPlace title="Nothing here" text="It will be." action={{ name: 'Begin', do: start }}>
    <Text>drawn</Text>
  </EmptyPlace>
);

beforeEach(() => {
  useLibrary.setState({
    loaded: true,
    shelves: { plans: {}, things: {}, yarns: {}, swatches: {}, makes: {}, hours: {}, batches: {} },
  });
  useLine.setState({ reached: true });
});

describe('a place with nothing in it', () => {
  it('says that it is being fetched until the server was heard, or is known to be away', () => {
    useLibrary.setState({ loaded: false });
    useLine.setState({ reached: null });
    show(place);
    expect(screen.getByText(/^Loading/)).toBeTruthy();
    expect(screen.queryByText('Begin')).toBeNull();
    act(() => useLine.setState({ reached: false }));
    expect(screen.getByText('Begin')).toBeTruthy();
  });

  it('teaches with one drawing and one action', () => {
    show(place);
    expect(screen.getByText('drawn', { includeHiddenElements: true })).toBeTruthy();
    fireEvent.press(screen.getByText('Begin'));
    expect(start).toHaveBeenCalledTimes(1);
  });
});

describe('a document that is not here', () => {
  it('is on its way, gone, or out of reach, and each is told', () => {
    useLibrary.setState({ loaded: false });
    useLine.setState({ reached: null });
    show(<Missing what="plan" />);
    expect(screen.getByLabelText('Loading')).toBeTruthy();
    act(() => useLine.setState({ reached: false }));
    expect(screen.getByText(/You are offline and this plan is not on this device yet/)).toBeTruthy();
    act(() => {
      useLibrary.setState({ loaded: true });
      useLine.setState({ reached: true });
    });
    expect(screen.getByText(/It was deleted/)).toBeTruthy();
  });
});

describe('while the server is away', () => {
  it('every page says so, and how much waits', () => {
    show(
      <Page says="What is there." title="Things">
        {null}
      </Page>,
    );
    expect(screen.queryByText('You are offline.')).toBeNull();
    act(() => useLine.setState({ reached: false }));
    expect(screen.getByText(/Changes are saved on this device/)).toBeTruthy();
    act(() => void useLibrary.getState().add('yarns', { name: 'kelp', yarn: { name: 'kelp', metresPer100g: 200 } }));
    expect(screen.getByText(/^1 change is saved on this device/)).toBeTruthy();
    act(() => void useLibrary.getState().add('yarns', { name: 'foam', yarn: { name: 'foam', metresPer100g: 200 } }));
    expect(screen.getByText(/^2 changes are saved on this device/)).toBeTruthy();
  });
});

describe('changed on another device', () => {
  const yarn = (name: string) => ({ name, yarn: { name, metresPer100g: 200 } });
  const held = () => useLibrary.getState().shelves.yarns.y!;
  const clash = (theirs: { revision: number; body: unknown } | null) =>
    act(() =>
      useLibrary.setState(({ shelves }) => ({
        shelves: { ...shelves, yarns: { y: { body: yarn('mine'), revision: 1, dirty: false, theirs } } },
      })),
    );

  it('offers both, and keeps the one that is chosen', () => {
    clash({ revision: 4, body: yarn('theirs') });
    const first = show(<Clash kind="yarns" id="y" held={held()} />);
    expect(screen.getByText('Changed on another device')).toBeTruthy();
    fireEvent.press(screen.getByText('Keep this version'));
    expect(held()).toMatchObject({ body: yarn('mine'), revision: 4, dirty: true });
    first.unmount();
    clash({ revision: 4, body: yarn('theirs') });
    show(<Clash kind="yarns" id="y" held={held()} />);
    // what differs, side by side
    expect(screen.getAllByText('Here: mine')).toHaveLength(2);
    expect(screen.getAllByText('There: theirs')).toHaveLength(2);
    fireEvent.press(screen.getByText('Use the other version'));
    expect(held()).toEqual({ body: yarn('theirs'), revision: 4, dirty: false });
    act(() => useDeleting.getState().undo());
    // one's own last edit, on what stands there now
    expect(held()).toMatchObject({ body: yarn('mine'), revision: 4, dirty: true });
  });

  it('asks again about what was deleted here and changed there meanwhile', () => {
    const gone = { body: yarn('mine'), revision: 1, dirty: true, gone: true, stamp: 's' };
    const answer = { is: 'stale', present: { revision: 4, body: yarn('theirs') } } as const;
    act(() => useLibrary.setState(({ shelves }) => ({ shelves: { ...shelves, yarns: { y: gone } } })));
    act(() => useLibrary.getState().answered('yarns', 'y', gone, answer));
    const first = show(<Clash kind="yarns" id="y" held={held()} />);
    expect(held().gone).toBeUndefined();
    fireEvent.press(screen.getByText('Delete it all the same'));
    expect(held()).toMatchObject({ gone: true, dirty: true, revision: 4 });
    first.unmount();
    act(() => useLibrary.setState(({ shelves }) => ({ shelves: { ...shelves, yarns: { y: gone } } })));
    act(() => useLibrary.getState().answered('yarns', 'y', gone, answer));
    show(<Clash kind="yarns" id="y" held={held()} />);
    fireEvent.press(screen.getByText('Keep it as it is there'));
    expect(held()).toEqual({ body: yarn('theirs'), revision: 4, dirty: false });
  });

  it('lets go of what was taken off there, only when asked', () => {
    clash(null);
    show(<Clash kind="yarns" id="y" held={held()} />);
    expect(screen.getByText('Deleted on another device')).toBeTruthy();
    fireEvent.press(screen.getByText('Delete here too'));
    expect(useLibrary.getState().shelves.yarns.y).toBeUndefined();
  });
});

describe('a screen that failed', () => {
  it('says that nothing is lost, what went wrong, and tries again', () => {
    const retry = jest.fn(() => Promise.resolve());
    show(<Broken error={new Error('no such row')} retry={retry} />);
    expect(screen.getByText(/Nothing is lost/)).toBeTruthy();
    expect(screen.getByText('It says: no such row')).toBeTruthy();
    fireEvent.press(screen.getByText('Try again'));
    expect(retry).toHaveBeenCalledTimes(1);
  });

  it('names no address of a part that did not come', () => {
    show(<Broken error={new Error('Loading module /yarn-1f.js failed.')} retry={() => Promise.resolve()} />);
    expect(screen.getByText('Part of this page did not load.')).toBeTruthy();
    expect(screen.queryByText(/yarn-1f/)).toBeNull();
  });
});
