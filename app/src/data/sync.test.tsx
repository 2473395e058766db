import { TERN_POINT } from '@keep-snug/core/demo';
import { act, renderHook } from '@testing-library/react-native';
import { House } from '@/fixtures/house';
import { nothingHere } from '@/fixtures/serverHas';
import { useBoard } from './board';
import { useLead } from '@/platform/tabs';
import { holdTurn } from '@/platform/exchangeLock';
import { forget } from './exchange';
import { useLibrary } from './library';
import { useLine, useSync, useWaiting } from './sync';

const plan = Object.values(TERN_POINT.plans)[0]!;
let house: House;

beforeEach(() => {
  jest.useFakeTimers();
  nothingHere();
  forget();
  house = new House('our house');
  house.open();
  useLead.setState({ leads: true });
  useLine.setState({ reached: null, fault: null, offered: null });
});
afterEach(() => jest.useRealTimers());

const pass = (ms: number) => act(async () => void (await jest.advanceTimersByTimeAsync(ms)));

it('sends soon after a change, and has nothing waiting then', async () => {
  renderHook(() => useSync());
  await pass(10);
  act(() => void useLibrary.getState().add('plans', plan));
  await pass(400);
  expect(house.documents.size).toBe(1);
  expect(renderHook(() => useWaiting()).result.current).toBe(0);
  expect(useLine.getState()).toMatchObject({ reached: true, fault: null });
});

it('tries again while the server is away, and reads at once when it is back', async () => {
  house.away = true;
  renderHook(() => useSync());
  await pass(10);
  expect(useLine.getState().reached).toBe(false);
  house.away = false;
  house.put('plans/a', plan);
  await pass(3100);
  expect(useLine.getState().reached).toBe(true);
  expect(Object.keys(useLibrary.getState().shelves.plans)).toEqual(['a']);
});

it('asks for what is new every few seconds, and for nothing while a hand draws or the turn is held', async () => {
  renderHook(() => useSync());
  await pass(10_000);
  const asked = house.asked.length;
  expect(asked).toBeGreaterThan(1);
  act(() => useBoard.getState().drag(true));
  await pass(10_000);
  act(() => useBoard.getState().drag(false));
  const release = await holdTurn();
  await pass(10_000);
  release();
  expect(house.asked).toHaveLength(asked);
});

it('leaves the server to the tab that leads', async () => {
  useLead.setState({ leads: false });
  renderHook(() => useSync());
  act(() => void useLibrary.getState().add('plans', plan));
  await pass(10_000);
  expect(house.asked).toEqual([]);
});

it('says that something went wrong here, instead of that the server is away', async () => {
  house.instead = () => ({ status: 200, body: { entries: 7 } });
  renderHook(() => useSync());
  await pass(10);
  expect(useLine.getState().reached).toBeNull();
  expect(useLine.getState().fault).not.toBeNull();
});
