import { add, chosen, derive, measured, prior } from './figure';

describe('figures', () => {
  const a = measured(100, 'mm', 3, 'ruler');
  const b = measured(50, 'mm', 4, 'tape');

  it('adds independent spreads in quadrature', () => {
    expect(add(a, b)).toMatchObject({ value: 150, unit: 'mm', sd: 5, kind: 'measured' });
  });

  it('does not add millimetres to grams', () => {
    // @ts-expect-error the units differ
    add(a, measured(3, 'g', 1, 'scale'));
  });

  it('carries formula, terms and where each came from', () => {
    const area = derive('mm', 'a × k', { a, k: chosen(2, '1', 'typed') }, (v) => v.a * v.k);
    expect(area.workings).toEqual({
      formula: 'a × k',
      terms: [
        { name: 'a', value: 100, unit: 'mm', sd: 3, kind: 'measured', from: 'ruler' },
        { name: 'k', value: 2, unit: '1', kind: 'chosen', from: 'typed' },
      ],
    });
    expect(add(area, b).workings.terms[0]?.workings?.formula).toBe('a × k');
  });

  it('is of the kind that brings most of the spread', () => {
    const rough = prior(10, 'mm', 9, 'by the table');
    const fine = prior(10, 'mm', 1, 'by the table');
    expect(add(a, rough).kind).toBe('prior');
    expect(add(a, fine).kind).toBe('measured');
    expect(derive('mm', '2k', { k: chosen(2, 'mm', 'typed') }, (v) => 2 * v.k)).toMatchObject({
      kind: 'chosen',
      value: 4,
    });
  });
});
