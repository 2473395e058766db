import { TERN_POINT, ternPointEvents } from '@keep-snug/core/demo';
import { CSV_TABLES, tableRows } from '@keep-snug/core/csv';
import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import fc from 'fast-check';
import { nothingHere, samplesHere, serverHasEvents } from '@/fixtures/serverHas';
import { choose, show } from '@/fixtures/show';
import { chooseFile } from '@/platform/chooseFile';
import { saveText } from '@/platform/saveText';
import { useDevice } from '@/data/device';
import { useEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import { keptHere } from './keptHere';
import { csvText, openSheet } from './sheet';
import { Tables } from './Tables';
import { changesBy, standingOf, whatIsHere } from './taken';

// what the browser asks for as parts of their own is there at once
jest.mock('./readers', () => ({
  csvReader: async () => jest.requireActual<object>('papaparse'),
  csvTables: async () => jest.requireActual<object>('@keep-snug/core/csv'),
}));
jest.mock('@/platform/chooseFile', () => ({ chooseFile: jest.fn() }));
jest.mock('@/platform/saveText', () => ({ saveText: jest.fn() }));

const file = (text: string, name = 'things.csv', size = text.length) => ({ name, size, text: async () => text });
const things = () => Object.values(useLibrary.getState().shelves.things).map(({ body }) => body.name);

beforeEach(() => {
  nothingHere();
  jest.clearAllMocks();
  useDevice.setState({ all: true });
});

describe('a CSV file', () => {
  it('brings back every cell: commas, quotes, lines, any script', async () => {
    const cell = fc.oneof(
      fc.string({ unit: 'grapheme' }),
      fc.constantFrom('a,b', '"', 'a\nb', 'a\r\nb', ';', '\t', 'a"b'),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 6 }), async (rows) => {
        const whole = [['one', 'two', 'three'], ...rows.map(([a, b, c]) => [`x${a}`, b, c])];
        const read = await openSheet(file(await csvText(whole)));
        expect(read).toEqual({ ok: true, sheet: { heads: whole[0], rows: whole.slice(1) } });
      }),
    );
  });

  it.each([
    ['semicolons', 'name;kind;width (cm)\nA;slab;8,2\n'],
    ['tabs', 'name\tkind\twidth (cm)\nA\tslab\t8,2\n'],
    ['a byte order mark', '\ufeffname,kind,width (cm)\r\nA,slab,"8,2"\r\n'],
  ])('with %s is read', async (_, text) => {
    expect(await openSheet(file(text))).toEqual({
      ok: true,
      sheet: { heads: ['name', 'kind', 'width (cm)'], rows: [['A', 'slab', '8,2']] },
    });
  });

  it.each([
    ['that is empty', file(''), /is empty\. Save it from your spreadsheet/],
    ['of 50 MB', file('x', 'film.csv', 50_000_000), /has 50 MB; at most 20 MB/],
    ['that is a picture', file('\u0089PNG\0\0\ufffd'), /is no CSV file in UTF-8/],
    [
      'that was cut off in a quoted cell',
      file('name,kind\n"half of it,slab\n'),
      /never closed, or the file was cut off/,
    ],
    ['with heads alone', file('name,kind\n'), /has one line only/],
    ['with too many rows', file(`name\n${'a\n'.repeat(20_001)}`), /has 20001 rows; at most 20000/],
  ])('%s is told with what to do', async (_, given, fault) => {
    expect(await openSheet(given)).toEqual({ ok: false, fault: expect.stringMatching(fault) });
  });
});

describe('what is kept here', () => {
  beforeEach(() => {
    samplesHere();
    serverHasEvents(ternPointEvents());
  });

  it.each(CSV_TABLES.map((table) => [table.name, table] as const))(
    '%s read back are here already',
    async (_, table) => {
      const kept = await keptHere(table);
      expect(kept.length).toBeGreaterThan(0);
      const here = await whatIsHere();
      for (const { id = null, body } of kept) expect(standingOf(table, { ok: true, id, body }, here)).toBe('same');
      expect(tableRows(table, kept)).toHaveLength(kept.length + 1);
    },
  );

  it('a size put right in the ledger is said of its project; its picture stays', async () => {
    const ledger = CSV_TABLES.find(({ id }) => id === 'ledger')!;
    const [kept] = await keptHere(ledger);
    const body = { ...(kept!.body as { make: string }), asMade: { width: 91 } };
    const here = await whatIsHere();
    const { events } = changesBy(ledger, [{ ok: true, id: null, body }], here);
    expect(events).toMatchObject([{ kind: 'finished', make: body.make, asMade: { width: 91 } }]);
    const counts = here.events.get(body.make)!.map(({ n = 0 }) => n);
    expect(events[0]!.n).toBeGreaterThan(Math.max(...counts));
  });
});

async function opened(table: string, text: string) {
  jest.mocked(chooseFile).mockResolvedValue(file(text) as unknown as File);
  show(<Tables />);
  await waitFor(() => expect(screen.getByLabelText(`Open a CSV of ${table}`)).toBeTruthy());
  await act(async () => fireEvent.press(screen.getByLabelText(`Open a CSV of ${table}`)));
  await waitFor(() => expect(screen.getByText('Check the rows')).toBeTruthy());
}

const THREE =
  'Item,Type,Wide (cm),High (cm),Deep (cm)\nRecorder,slab,"4,2",12,2\nRadio,slab,wide,10,3\nLamp,slab,5,9,4\n';

it('good rows are brought in, the others stay until they are mended', async () => {
  await opened('Things', THREE);
  await act(async () => fireEvent.press(screen.getByText('Check the rows')));
  await waitFor(() => expect(screen.getByText('Bring in 2 rows')).toBeTruthy());
  expect(screen.getByText(/“wide” is not a length/)).toBeTruthy();
  await act(async () => fireEvent.press(screen.getByText('Bring in 2 rows')));
  expect(things()).toEqual(['Recorder', 'Lamp']);
  await act(async () => fireEvent.press(screen.getByText('Save 1 row to fix')));
  expect(jest.mocked(saveText).mock.calls[0]![0]).toMatch(/Radio,slab,wide,10,3,"“wide” is not a length/);
  await act(async () => fireEvent.press(screen.getByText('Keep it')));
  await act(async () => fireEvent.changeText(screen.getByLabelText('Wide (cm)'), '6'));
  await act(async () => fireEvent.press(screen.getByText('Bring in 1 row')));
  expect(things()).toEqual(['Recorder', 'Lamp', 'Radio']);
});

it('what was brought in is undone in one press', async () => {
  await opened('Things', THREE);
  await act(async () => fireEvent.press(screen.getByText('Check the rows')));
  await waitFor(() => expect(screen.getByText('Bring in 2 rows')).toBeTruthy());
  await act(async () => fireEvent.press(screen.getByText('Bring in 2 rows')));
  await act(async () => fireEvent.press(screen.getByText('Undo')));
  expect(things()).toEqual([]);
});

it('a log of a project that is not here is not taken', async () => {
  const event = ternPointEvents()[0]!;
  const log = CSV_TABLES.find(({ id }) => id === 'log')!;
  await opened('Project log', await csvText(tableRows(log, [{ body: event }])));
  await act(async () => fireEvent.press(screen.getByText('Check the rows')));
  await waitFor(() => expect(screen.getByText(/There is no such project here/)).toBeTruthy());
  expect(useEvents.getState().byMake).toEqual({});
});

it('a table is saved with a head for each column', async () => {
  samplesHere(['yarns']);
  show(<Tables />);
  await waitFor(() => expect(screen.getByLabelText('Save Yarns as CSV')).toBeTruthy());
  await act(async () => fireEvent.press(screen.getByLabelText('Save Yarns as CSV')));
  const [text, name] = jest.mocked(saveText).mock.calls[0]!;
  expect(name).toBe('keep-snug-yarns.csv');
  expect(text).toMatch(/^\ufeffid,name,yarn name,/);
  expect(text.trim().split('\r\n')).toHaveLength(Object.keys(TERN_POINT.yarns).length + 1);
});

it('titles above the heads and a kind that no column says are dealt with once for every row', async () => {
  await opened('Things', 'All my things\nItem,How wide (cm),tall (cm),Deep (cm)\nRecorder,"4,2",12,2\nRadio,6,10,3\n');
  choose('No column says the kind. Every row is', 'Flat and boxy');
  await act(async () => fireEvent.press(screen.getByText('Check the rows')));
  await waitFor(() => expect(screen.getByText('Bring in 2 rows')).toBeTruthy());
  await act(async () => fireEvent.press(screen.getByText('Bring in 2 rows')));
  expect(things()).toEqual(['Recorder', 'Radio']);
});

it('a kind that is missing is a field in its row', async () => {
  await opened('Things', 'Item,Wide (cm),High (cm),Deep (cm)\nRecorder,4,12,2\n');
  await act(async () => fireEvent.press(screen.getByText('Check the rows')));
  await waitFor(() => expect(screen.getByLabelText('kind')).toBeTruthy());
  await act(async () => fireEvent.changeText(screen.getByLabelText('kind'), 'phone'));
  await act(async () => fireEvent.press(screen.getByText('Bring in 1 row')));
  expect(things()).toEqual(['Recorder']);
});
