import { reckon, type Make } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { act, screen } from '@testing-library/react-native';
import { nothingHere } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { hasKept, keepCard, keepOrder, keptCard, type KeptCard } from '@/data/keptBench';
import { useLibrary } from '@/data/library';
import { smallStorage } from '@/platform/storage';
import { Bench } from './Bench';

jest.mock('expo-router', () => ({ usePathname: () => '/', useRouter: () => ({ push: jest.fn() }) }));

const KEY = 'keep-snug.bench';
const stored = (): KeptCard[] => JSON.parse(smallStorage().getItem(KEY) ?? '[]') as KeptCard[];
const idle = () => act(() => new Promise((resolve) => setTimeout(resolve, 50)));
const plan = Object.values(TERN_POINT.plans)[0]!;

beforeEach(() => {
  nothingHere();
  smallStorage().removeItem(KEY);
});

it('keeps what lies on the bench in its order, eight cards at the most, and no picture that is too large', async () => {
  const ids = Array.from({ length: 10 }, (_, index) => `p${index}`);
  for (const id of [...ids].reverse())
    keepCard({ id, to: `/plan/${id}`, title: id, line: 'x', picture: 'y'.repeat(id === 'p1' ? 70_000 : 10) });
  keepOrder(ids);
  await idle();
  expect(stored().map(({ id }) => id)).toEqual(ids.slice(0, 8));
  expect(stored().map(({ picture }) => picture !== undefined)).toEqual([true, false, ...Array(6).fill(true)]);
  // what is gone is forgotten
  keepOrder(ids.slice(2, 4));
  await idle();
  expect(stored().map(({ id }) => id)).toEqual(['p2', 'p3']);
});

it('what it cannot read it does without', () => {
  const card = { id: 'p0', to: '/plan/p0', title: 'a', line: 'b' };
  for (const [text, has] of [
    ['{broken', false],
    ['"words"', false],
    [JSON.stringify([card]), true],
  ] as const)
    jest.isolateModules(() => {
      const { smallStorage: storage } = jest.requireActual<{ smallStorage: typeof smallStorage }>('@/platform/storage');
      storage().setItem(KEY, text);
      const kept = jest.requireActual<{ hasKept: typeof hasKept; keptCard: typeof keptCard }>('@/data/keptBench');
      expect(kept.hasKept()).toBe(has);
      expect(kept.keptCard('p0')).toEqual(has ? card : undefined);
    });
});

it('a make that is seen is kept with its row, its tape and its picture', async () => {
  const make: Make = {
    format: 'keep-snug.make/1',
    title: plan.title,
    planId: 'b0000000-0000-4000-8000-000000000001',
    plan,
    startedAt: '2026-03-01T10:00:00.000Z',
  };
  const id = useLibrary.getState().add('makes', make);
  show(<Bench />);
  await screen.findByText(/^Next: /);
  await idle();
  const [card] = stored();
  const { foundation } = reckon(plan).pieces[0]!;
  expect(card).toMatchObject({ id, to: `/make/${id}`, title: plan.title, begun: false });
  expect(card!.next).toContain(`Chain ${foundation.count}.`);
  expect(card!.tape!.lengthMm).toBeGreaterThan(100);
});
