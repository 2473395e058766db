import { reckon, type Part, type View } from '../..';
import { TERN_POINT } from '../../demo';
import { layOut, MARGIN, mirrored, placeLabel, placeSpans, wordsMiddle } from './layout';

const [flat, folded] = reckon(Object.values(TERN_POINT.plans)[0]!).views as [View, View];

describe('laying out a view', () => {
  it('keeps the piece, with its loop, inside the box', () => {
    for (const view of [flat, folded, mirrored(flat)]) {
      const { scale, x, y } = layOut(view, 390, 220);
      const loop = view.parts.find((part) => part.type === 'loop')!;
      const right = loop.towards === 'right' ? loop.x + loop.reach : view.width;
      expect(x).toBeGreaterThanOrEqual(MARGIN.left - 1e-6);
      expect(x + Math.max(view.width, right) * scale).toBeLessThanOrEqual(390 - MARGIN.right + 1e-6);
      expect(y + view.height * scale).toBeLessThanOrEqual(220 - MARGIN.bottom + 1e-6);
    }
  });
});

describe('the left-handed view', () => {
  it('puts the front at the right, and mirrored twice is as it was', () => {
    const front = mirrored(flat).parts.find((part) => part.type === 'cloth' && part.role === 'front')!;
    expect(front.type === 'cloth' && front.x + front.w).toBeCloseTo(flat.width, 6);
    const folds = (view: View) => view.parts.flatMap((part) => (part.type === 'fold' ? [part.x1] : []));
    mirrored(mirrored(flat)).parts.forEach((part, index) => {
      const before = flat.parts[index]!;
      if (part.type === 'cloth' && before.type === 'cloth') expect(part.x).toBeCloseTo(before.x, 9);
    });
    expect(folds(mirrored(flat))).not.toEqual(folds(flat));
  });

  it('keeps the line up the side of each piece at that piece’s left', () => {
    const panel = (x: number) => ({ type: 'cloth', x, y: 0, w: 30, h: 50, label: '', sub: '', role: 'front' }) as Part;
    const line = (at?: number) => ({ type: 'dimension', along: 'y', from: 0, to: 50, mm: 50, at }) as Part;
    const parts = [panel(0), panel(30), line(), panel(80), line(80)];
    const lines = mirrored({ ...flat, width: 110, height: 50, parts }).parts.filter(
      (part) => part.type === 'dimension',
    );
    expect(lines.map(({ at }) => at)).toEqual([50, undefined]);
  });
});

describe('labels', () => {
  it('are written in a line, in two, upright, or as the count alone, as room allows', () => {
    expect(placeLabel('front', '35 rows', 200, 60)).toEqual({ lines: ['front, 35 rows'], upright: false });
    expect(placeLabel('front', '35 rows', 80, 120)).toEqual({ lines: ['front', '35 rows'], upright: false });
    expect(placeLabel('flap', '12 rows', 41, 64)).toEqual({ lines: ['flap', '12 rows'], upright: true });
    expect(placeLabel('turn', '4 rows', 14, 64)).toEqual({ lines: ['4 rows'], upright: true });
    expect(placeLabel('turn', '4 rows', 3, 8).lines).toEqual([]);
  });

  it('of narrow dimensions are lifted off their neighbours’ line', () => {
    const spans = [
      { from: 0, to: 150, text: '175.1 mm' },
      { from: 150, to: 163, text: '20' },
      { from: 163, to: 213, text: '60.1' },
    ];
    expect(placeSpans(spans).map(({ tier }) => tier)).toEqual([0, 1, 0]);
    // whichever way round they come
    expect(placeSpans([...spans].reverse()).map(({ tier }) => tier)).toEqual([0, 1, 0]);
  });

  it('of two narrow dimensions side by side stand beside each other', () => {
    const spans = [
      { from: 73, to: 85, text: '27.4' },
      { from: 85, to: 104, text: '48' },
    ];
    const [first, second] = placeSpans(spans);
    expect([first!.tier, second!.tier]).toEqual([1, 1]);
    expect(second!.middle - first!.middle).toBeGreaterThan(24);
  });

  it('keep clear of the knob at the end of their line, whichever end it is', () => {
    const span = { from: 0, to: 64, text: '94.2 mm' };
    expect(wordsMiddle(span)).toBe(32);
    expect(wordsMiddle({ ...span, knob: 64 })).toBeLessThan(32);
    expect(wordsMiddle({ ...span, knob: 64 }) + wordsMiddle({ ...span, knob: 0 })).toBeCloseTo(64, 9);
    expect(wordsMiddle({ ...span, to: 300, knob: 300 })).toBe(150);
  });
});
