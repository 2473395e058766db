import fc from 'fast-check';
import { TERN_POINT, ternPointEvents } from '../../../demo';
import type { DocumentKind } from '../kinds';
import { CSV_TABLES, columnChoices, guessColumns, headLine, rowReader, tableRows, type CsvTable, type Kept } from '.';
import { cellOf, readCell } from './cells';
import { withoutGaps } from './paths';

const table = (id: string): CsvTable => CSV_TABLES.find((one) => one.id === id)!;
const kept = (kind: DocumentKind): Kept[] =>
  Object.entries(TERN_POINT[kind] as Record<string, object>).map(([id, body]) => ({ id, body }));

/** Lists and parts that hold nothing say nothing: they are the same as not being there. */
function told(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(told);
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value)
    .map(([key, one]) => [key, told(one)] as const)
    .filter(([, one]) => one !== undefined && JSON.stringify(one) !== '[]' && JSON.stringify(one) !== '{}');
  return Object.fromEntries(entries);
}

function backAgain(of: CsvTable, list: readonly Kept[]) {
  const [heads, ...rows] = tableRows(of, list) as [string[], ...string[][]];
  const read = rowReader(of, guessColumns(of, heads), {});
  return { heads, rows: rows.map(read) };
}

describe.each(CSV_TABLES.map((one) => [one.name, one] as const))('%s', (_, one) => {
  it('has heads that say which column is which', () => {
    const heads = one.columns.map(({ header }) => header);
    expect(new Set(heads).size).toBe(heads.length);
    const choices = columnChoices(one).map(({ header }) => header);
    expect(new Set(choices).size).toBe(choices.length);
    // each is taken for what it stands for, whatever stands beside it
    for (const { path, header } of columnChoices(one))
      expect([header, guessColumns(one, [header])[0]?.path]).toEqual([header, path]);
  });
});

describe.each(['things', 'yarns', 'swatches', 'makes'] as const)('the samples’ %s', (kind) => {
  it('come back from their table as they were, under their ids', () => {
    const list = kept(kind);
    const { heads, rows } = backAgain(table(kind), list);
    expect(heads[0]).toBe('id');
    expect(rows.map((row) => row.ok && { id: row.id, body: row.body })).toEqual(
      list.map(({ id, body }) => ({ id, body: told(body) })),
    );
  });
});

it('the log of every make comes back entry for entry', () => {
  const events = ternPointEvents();
  const { rows } = backAgain(
    table('log'),
    events.map((body) => ({ body })),
  );
  expect(rows.map((row) => row.ok && row.body)).toEqual(events.map(told));
});

it('a ledger comes back with its sizes', () => {
  const body = {
    make: '3f0c1e0a-6b1e-4c3a-9d2f-0a1b2c3d4e5f',
    asMade: { width: 93.5 },
    fits: 'right',
    minutes: 140,
    note: '=a\nb',
  };
  expect(backAgain(table('ledger'), [{ body }]).rows).toEqual([{ ok: true, id: null, body }]);
});

describe('cells', () => {
  it('any text comes back, and none of them is a formula to a spreadsheet', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.constantFrom('=1+1', '+1', '-1', '@x', "'=x", '\tx', "'", '')), (text) => {
        const cell = cellOf(text, { is: 'text', max: 100 });
        expect(cell).not.toMatch(/^[=+\-@\t\r]/);
        if (text === '' || text.trim() !== '')
          expect(readCell(cell, { is: 'text', max: 100 }, 'mm')).toEqual({ ok: true, value: text });
      }),
    );
  });

  it('any number comes back to its last digit', () => {
    fc.assert(
      fc.property(fc.double({ noNaN: true, noDefaultInfinity: true }), fc.constantFrom('mm', 'g'), (value, unit) => {
        const form = { is: 'number', unit } as const;
        // there is no zero below zero on a tape
        expect(readCell(cellOf(value, form), form, 'mm')).toEqual({ ok: true, value: value + 0 === 0 ? 0 : value });
      }),
    );
  });

  it.each([
    ['8,2', 'cm', 82],
    ['8.2', 'cm', 82],
    ['82 mm', 'cm', 82],
    ['3 1/4', 'in', 82.55],
    ['3 1/4 in', 'mm', 82.55],
  ] as const)('“%s” under a head in %s is %d mm', (cell, unit, mm) => {
    expect(readCell(cell, { is: 'number', unit: 'mm' }, unit)).toEqual({ ok: true, value: mm });
  });

  it.each([
    ['about eight', { is: 'number', unit: 'mm' }, /“about eight” is not a length/],
    ['a lot', { is: 'number', unit: 'g' }, /“a lot” is not a number/],
    ['perhaps', { is: 'truth' }, /neither yes nor no/],
    ['{"a":', { is: 'json' }, /cut off/],
  ] as const)('“%s” is told, with what to do', (cell, form, message) => {
    expect(readCell(cell, form, 'mm')).toEqual({ ok: false, message: expect.stringMatching(message) });
  });
});

describe('somebody else’s table', () => {
  const heads = ['Item', 'Type', 'Wide (cm)', 'High (cm)', 'Thickness in cm', 'Bought where'];
  const things = table('things');
  const read = rowReader(things, guessColumns(things, heads), {});

  it('is understood by its words and units; what is not known here is left out', () => {
    expect(guessColumns(things, heads).map((meaning) => meaning && [meaning.path, meaning.unit])).toEqual([
      ['name', 'mm'],
      ['thing.kind', 'mm'],
      ['thing.width.mm', 'cm'],
      ['thing.height.mm', 'cm'],
      ['thing.depth.mm', 'cm'],
      null,
    ]);
    expect(read(['Recorder', 'Slab', '4,2', '12', '2.1', 'market'])).toEqual({
      ok: true,
      id: null,
      body: { name: 'Recorder', thing: { kind: 'slab', width: { mm: 42 }, height: { mm: 120 }, depth: { mm: 21 } } },
    });
  });

  it('tells each fault at its cell, and what is missing at the row', () => {
    expect(read(['Recorder', 'slab', 'wide', '12', '', ''])).toMatchObject({ ok: false, faults: [{ column: 2 }] });
    expect(read(['Recorder', 'cone', '4', '12', '2', ''])).toMatchObject({ ok: false, faults: [{ column: 1 }] });
    expect(read(['Recorder', 'slab', '4', '12', '', ''])).toMatchObject({
      ok: false,
      faults: [{ column: 4, message: expect.stringMatching(/^Missing/) }],
    });
    expect(read(['Torch', 'cylinder', '', '18', '4', ''])).toMatchObject({
      ok: false,
      faults: [
        { column: 4, message: expect.stringMatching(/has none of it\. Leave the cell empty/) },
        { column: null, message: expect.stringMatching(/^diameter \(mm\): One of diameter or girth/) },
      ],
    });
    expect(read(['', 'slab', '4', '12', '2', ''])).toMatchObject({ ok: false });
    expect(read(['Recorder', 'slab', '40000', '12', '2', ''])).toMatchObject({ ok: false, faults: [{ column: 2 }] });
  });

  it('names a yarn by what it is called', () => {
    const swatches = table('swatches');
    const names = ['name', 'yarn', 'stitch', 'hook (mm)', 'stitches 1 count', 'stitches 1 over (mm)'];
    const known = { yarns: new Map([['oat cotton', '0b9e1c52-7d8a-4d7e-8a0e-1f2a3b4c5d6e']]) };
    const row = ['my swatch', 'Oat cotton', 'single', '4', '20', '118'];
    expect(rowReader(swatches, guessColumns(swatches, names), known)(row)).toMatchObject({
      ok: true,
      body: { yarn: '0b9e1c52-7d8a-4d7e-8a0e-1f2a3b4c5d6e', gauge: { stitches: [{ count: 20, overMm: 118 }] } },
    });
    expect(rowReader(swatches, guessColumns(swatches, names), {})(row)).toMatchObject({ faults: [{ column: 1 }] });
  });

  it('takes no column twice, and whatever stands in it never fails', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { maxLength: 8 }), fc.array(fc.string(), { maxLength: 8 }), (names, cells) => {
        for (const one of CSV_TABLES) {
          const meanings = guessColumns(one, [...names, 'name', 'name']);
          const paths = meanings.flatMap((meaning) => meaning?.path ?? []);
          expect(new Set(paths).size).toBe(paths.length);
          const row = rowReader(one, meanings, {})(cells);
          if (!row.ok) for (const { message } of row.faults) expect(message.length).toBeGreaterThan(3);
        }
      }),
    );
  });
});

it('lists keep no holes where cells were empty', () => {
  expect(withoutGaps({ a: [, { b: 1 }] })).toEqual({ a: [{ b: 1 }] });
});

describe('a table as people keep it', () => {
  const things = table('things');
  const read = (heads: string[], cells: string[]) => rowReader(things, guessColumns(things, heads), {})(cells);

  it('says kinds by their names on screen, or by what is of them; units in its heads, decimal commas', () => {
    const heads = ['Item', 'What kind', 'How wide (cm)', 'tall (in)', 'Deep (mm)'];
    const meanings = guessColumns(things, ['Item', 'Kind', ...heads.slice(2)]);
    expect(meanings.map((meaning) => meaning && [meaning.path, meaning.unit])).toEqual([
      ['name', 'mm'],
      ['thing.kind', 'mm'],
      ['thing.width.mm', 'cm'],
      ['thing.height.mm', 'in'],
      ['thing.depth.mm', 'mm'],
    ]);
    for (const kind of ['slab', 'Flat and boxy', 'phone', ' NOTEBOOK '])
      expect(rowReader(things, meanings, {})(['Log', kind, '8,2', '6 1/2', '14'])).toMatchObject({
        ok: true,
        body: { thing: { kind: 'slab', width: { mm: 82 }, height: { mm: 165.1 }, depth: { mm: 14 } } },
      });
    expect(rowReader(things, meanings, {})(['Log', 'hat', '8', '6', '14'])).toMatchObject({
      faults: [{ column: 1, message: expect.stringMatching(/“hat” is not known here/) as string }],
    });
  });

  it('may have titles above its heads', () => {
    const lines = [['My things, 2026'], ['measured in June', ''], ['name', 'kind', 'width (cm)'], ['A', 'slab', '8']];
    expect(headLine(things, lines)).toBe(2);
    expect(headLine(things, lines.slice(2))).toBe(0);
  });

  it('asks in the row for a kind that is not there', () => {
    expect(read(['name', 'kind', 'width (mm)'], ['A', '', '8'])).toMatchObject({ faults: [{ column: 1 }] });
  });
});

it('a swatch that nothing was measured of comes back', () => {
  const body = { name: 'oat on 4 mm', yarn: Object.keys(TERN_POINT.yarns)[0]!, stitch: 'single', hookMm: 4, gauge: {} };
  const { rows } = backAgain(table('swatches'), [{ id: 'a0000000-0000-4000-8000-000000000001', body }]);
  expect(rows).toMatchObject([{ ok: true, body }]);
});
