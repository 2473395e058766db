import { reckon, type View } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useSettings } from '@/data/settings';
import { Drawing } from './Drawing';

const [flat, folded] = reckon(Object.values(TERN_POINT.plans)[0]!).views as [View, View];

/** Gives the drawing its place on screen, as the browser would. */
function place(width: number): void {
  const box = screen.getByLabelText(/^(The strip laid flat|Folded and joined)/);
  fireEvent(box, 'layout', { nativeEvent: { layout: { width, height: 240, x: 0, y: 0 } } });
}

beforeEach(() => useSettings.getState().set({ units: 'mm', hand: 'right' }));

/** Everything drawn, and of it the words. */
const drawn = () => JSON.stringify(screen.toJSON());
const written = () => [...drawn().matchAll(/"content":"([^"]+)"/g)].map(([, text]) => text).join('; ');

describe('a drawing', () => {
  it('tells in words what it shows, before and after it has a place', () => {
    show(<Drawing view={flat} height={240} />);
    expect(screen.getByLabelText(flat.text)).toBeTruthy();
    expect(written()).not.toContain('front, 35 rows');
    place(900);
    expect(written()).toContain('front, 35 rows');
  });

  it('dimensions every section, and the width with its count', () => {
    show(<Drawing view={flat} height={240} />);
    place(900);
    for (const text of ['175 mm', '60 mm', '94 mm', '16 stitches']) expect(written()).toContain(text);
  });

  it('follows the unit at once', () => {
    show(<Drawing view={folded} height={300} />);
    place(600);
    expect(written()).toContain('94 mm');
    act(() => useSettings.getState().set({ units: 'in' }));
    expect(written()).toContain('3 11/16 in');
    expect(written()).not.toContain('94 mm');
  });

  it('draws the loop and the button in both views, and never a number that is not one', () => {
    for (const view of [flat, folded]) {
      const { unmount } = show(<Drawing view={view} height={240} tape />);
      place(360);
      expect(drawn()).not.toMatch(/NaN|Infinity/);
      expect(drawn().match(/RNSVGCircle/g)!.length).toBeGreaterThanOrEqual(3);
      unmount();
    }
  });

  it('has room for nothing on a screen of no width, and does not fail', () => {
    show(<Drawing view={flat} height={240} />);
    place(10);
    expect(drawn()).not.toMatch(/NaN|Infinity/);
  });
});
