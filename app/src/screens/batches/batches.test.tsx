import { BATCH_ID } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { samplesHere } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { useEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import { BatchRoom } from './BatchRoom';
import { newBatch } from '@/data/newBatch';

const batchNow = () => useLibrary.getState().shelves.batches[BATCH_ID]!.body;
const makesNow = () => Object.entries(useLibrary.getState().shelves.makes);

beforeEach(() => samplesHere());

describe('a batch', () => {
  it('shows its pieces, what to buy, and the order of work', () => {
    show(<BatchRoom id={BATCH_ID} />);
    expect(screen.getByLabelText('0 of 12 pieces done')).toBeTruthy();
    expect(screen.getAllByText('gift cotton, oat').length).toBeGreaterThan(0);
    expect(screen.getByText('gift cotton, slate, 4 mm hook')).toBeTruthy();
    expect(screen.getAllByText(/^\d+ balls?$/)).toHaveLength(4);
  });

  it('a piece has a make of its own, and is drawn done when it is', () => {
    show(<BatchRoom id={BATCH_ID} />);
    fireEvent.press(screen.getByLabelText('Start small, oat'));
    const [id, { body }] = makesNow().find(([, held]) => held.body.batch)!;
    expect(body).toMatchObject({ title: 'Season’s end: small, oat', batch: { batch: BATCH_ID, variant: 'small-oat' } });
    expect(body.plan.thing).toMatchObject({ width: { mm: 70 } });
    useEvents.getState().happened(id, { kind: 'finished', fits: 'right' });
    screen.rerender(<></>);
    show(<BatchRoom id={BATCH_ID} />);
    expect(screen.getByLabelText('1 of 12 pieces done')).toBeTruthy();
    expect(screen.queryByLabelText('Start small, oat')).toBeNull();
  });

  it('takes more of a size, another, and fewer', () => {
    show(<BatchRoom id={BATCH_ID} />);
    fireEvent.changeText(screen.getByLabelText('How many of 1'), '3');
    expect(batchNow().variants[0]!.count).toBe(3);
    fireEvent.changeText(screen.getByLabelText('How many of 1'), '0');
    expect(screen.getByText(/smallest/)).toBeTruthy();
    fireEvent.press(screen.getByText('Add a size or yarn'));
    expect(batchNow().variants).toHaveLength(13);
    expect(new Set(batchNow().variants.map(({ id }) => id)).size).toBe(13);
    fireEvent.press(screen.getByLabelText('Remove variant 13'));
    expect(batchNow().variants).toHaveLength(12);
  });

  it('is begun with two of a plan as it is', () => {
    const [, { body }] = Object.entries(useLibrary.getState().shelves.plans)[0]!;
    const id = newBatch(body);
    expect(useLibrary.getState().shelves.batches[id]!.body).toMatchObject({ plan: body, variants: [{ count: 2 }] });
  });
});
