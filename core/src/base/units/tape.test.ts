import { tapeTicks } from './tape';

const labels = (mm: number, px: number, unit: 'mm' | 'in') =>
  tapeTicks(mm, px / mm, unit).flatMap(({ label }) => label ?? []);

it('counts centimetres, or inches, as finely as there is room', () => {
  expect(labels(100, 400, 'mm')).toEqual(['1', '2', '3', '4', '5', '6', '7', '8', '9', '10']);
  expect(labels(430, 300, 'mm')).toEqual(['5', '10', '15', '20', '25', '30', '35', '40']);
  expect(labels(254, 500, 'in')).toEqual(['1', '2', '3', '4', '5', '6', '7', '8', '9', '10']);
});

it('never sets ticks closer than can be told apart, nor past the end', () => {
  for (const [mm, px] of [
    [3, 300],
    [94, 310],
    [430, 290],
    [5000, 300],
  ] as const) {
    const ticks = tapeTicks(mm, px / mm, 'mm');
    expect(ticks.at(-1)!.mm).toBeLessThanOrEqual(mm + 1e-6);
    ticks
      .slice(1)
      .forEach((tick, index) => expect((tick.mm - ticks[index]!.mm) * (px / mm)).toBeGreaterThanOrEqual(4 - 1e-6));
  }
});
