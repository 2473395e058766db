import { reckon, stitchPattern, type View } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useSettings } from '@/data/settings';
import { Drawing } from './Drawing';
import { layOut, mirrored } from '@keep-snug/core/drawn';
import { MiniPiece } from './MiniPiece';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);
const drawn = () => JSON.stringify(screen.toJSON());

function showIn(view: View, width: number, more: Partial<Parameters<typeof Drawing>[0]> = {}) {
  const shown = show(<Drawing view={view} height={280} {...more} />);
  fireEvent(screen.getByLabelText(view.text), 'layout', {
    nativeEvent: { layout: { width, height: 280, x: 0, y: 0 } },
  });
  return shown;
}

beforeEach(() => useSettings.getState().set({ units: 'mm', hand: 'right' }));

describe.each(PLANS)('the drawings of %s', (_, plan) => {
  const { views, pieces, choices } = reckon(plan);
  const { stitch, pattern } = plan.fabric;

  it('have a number for every place, on a phone and on a worker, in either hand', () => {
    for (const view of views)
      for (const hand of ['right', 'left'] as const)
        for (const width of [340, 1100]) {
          useSettings.getState().set({ hand });
          const { unmount } = showIn(view, width, { tape: true });
          expect(/RNSVG(Path|Rect)/.test(drawn())).toBe(true);
          expect(/NaN|Infinity/.test(drawn())).toBe(false);
          unmount();
        }
  });

  it('fit into their place whole, to one scale', () => {
    for (const view of views)
      for (const width of [340, 1100]) {
        const { scale, x, y } = layOut(view, width, 280, false);
        expect(scale).toBeGreaterThan(0);
        expect(x).toBeGreaterThanOrEqual(0);
        expect(y).toBeGreaterThanOrEqual(0);
        expect(x + view.width * scale).toBeLessThanOrEqual(width + 0.5);
        expect(y + view.height * scale).toBeLessThanOrEqual(280.5);
      }
  });

  it('mirrored twice are themselves, and as large', () => {
    for (const view of views) {
      const other = mirrored(view);
      expect([other.width, other.height, other.parts.length]).toEqual([view.width, view.height, view.parts.length]);
      const back = mirrored(other);
      // a line at 0 stands at the drawing's own edge, said or not
      const rounded = (one: View) =>
        JSON.parse(JSON.stringify(one), (key, value: unknown) => {
          if (typeof value !== 'number') return value;
          const round = Math.round(value * 1e6) / 1e6 + 0;
          return key === 'at' && round === 0 ? undefined : round;
        }) as View;
      expect(rounded(back)).toEqual(rounded(view));
    }
  });

  it('have knobs only where something can be drawn, each named, each within its limits', () => {
    const [view] = views;
    showIn(view!, 1100, { work: { choices, edit: jest.fn(), symbols: stitchPattern(stitch, pattern).symbols } });
    const knobs = screen.queryAllByLabelText(/, drawn$/);
    for (const knob of knobs) {
      expect(Number.isFinite(knob.props['aria-valuenow'])).toBe(true);
    }
    expect(knobs.length).toBeGreaterThan(0);
  });

  it('are told small as well, from nothing done to all', () => {
    const piece = pieces[0]!;
    for (const rowsDone of [0, 1, piece.rows]) {
      const { unmount } = show(<MiniPiece piece={piece} rowsDone={rowsDone} width={120} height={30} />);
      expect(drawn()).not.toMatch(/NaN|Infinity/);
      unmount();
    }
  });
});
