import { finishOf, reckon, type Make } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { nothingHere } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { useEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import { FinishPanel } from './FinishPanel';

jest.mock('expo-router', () => ({ usePathname: () => '/', useRouter: () => ({ push: jest.fn() }) }));

const wrap = Object.values(TERN_POINT.plans).find(({ title }) => title === 'Storm-day hook wrap')!;
const worked = reckon(wrap);

const make: Make = {
  format: 'keep-snug.make/1',
  title: wrap.title,
  planId: 'p',
  plan: wrap,
  startedAt: '2026-05-01T18:00:00.000Z',
};

beforeEach(nothingHere);

it('every room of several has a name of its own', () => {
  expect(worked.rooms.length).toBeGreaterThan(2);
  expect(new Set(worked.rooms).size).toBe(worked.rooms.length);
  const phone = Object.values(TERN_POINT.plans)[0]!;
  expect(reckon(phone).rooms).toEqual([]);
});

it('of several rooms it is asked which of them do not sit, and the answer is kept', () => {
  const id = useLibrary.getState().add('makes', make);
  show(<FinishPanel id={id} make={make} worked={worked} pace={undefined} onClose={jest.fn()} />);
  expect(screen.queryByText('Which of them are tight?')).toBeNull();
  fireEvent.press(screen.getByText('tight'));
  expect(screen.getByText('Which of them are tight?')).toBeTruthy();
  const boxes = screen.getAllByRole('checkbox');
  expect(boxes).toHaveLength(worked.rooms.length);
  fireEvent.press(boxes[1]!);
  fireEvent.press(boxes[2]!);
  fireEvent.press(boxes[2]!);
  fireEvent.press(screen.getByText('Save'));
  expect(finishOf(useEvents.getState().byMake[id]!)).toMatchObject({ fits: 'tight', rooms: [worked.rooms[1]] });
});

it('what sits is not asked room by room', () => {
  show(<FinishPanel id="m" make={make} worked={worked} pace={undefined} onClose={jest.fn()} />);
  fireEvent.press(screen.getByText('just right'));
  expect(screen.queryByText(/Which of them/)).toBeNull();
});

it('of several pockets each is asked for by its name, and what was measured is kept in their order', () => {
  const caddy = Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'saddle')!;
  const over = { ...make, plan: caddy };
  const id = useLibrary.getState().add('makes', over);
  show(<FinishPanel id={id} make={over} worked={reckon(caddy)} pace={undefined} onClose={jest.fn()} />);
  fireEvent.changeText(screen.getByLabelText('Depth inside the pocket behind'), '10,4 cm');
  fireEvent.press(screen.getByText('Save'));
  expect(finishOf(useEvents.getState().byMake[id]!)).toMatchObject({ pockets: [null, 104] });
});
