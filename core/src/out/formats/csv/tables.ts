import { MAKE_FORMAT, type MakeEvent } from '../../../make/log';
import { LONGEST_MM } from '../../../base/units';
import { checkDocument, DOCUMENT_FORMS } from '../documents';
import { checkEvents, eventForm } from '../events';
import { optional, required, type Form } from '../form';
import type { DocumentKind } from '../kinds';
import { check, type Checked } from '../toJoi';
import { columnsOf, type Column } from './columns';
import { kindChoices } from './names';

/** A table that leaves and comes back as CSV. */
export interface CsvTable {
  id: string;
  name: string;
  /** What a row is called, one and many. */
  rows: readonly [one: string, many: string];
  columns: readonly Column[];
  /** Whether each row bears an id of its own beside the document. */
  identified: boolean;
  check: (body: unknown) => Checked<unknown>;
  /** Columns that name a document of another kind: by its id, or by its name. */
  refers?: Readonly<Record<string, DocumentKind>>;
  /** What every row has that needs no column. */
  always?: Readonly<Record<string, unknown>>;
  /** The column without which no row can be read: asked about where a table has none, and in each row that lacks it. */
  asks?: { path: string; name: string; choices: readonly { id: string; name: string }[] };
}

const length: Form = { is: 'number', min: 0, max: LONGEST_MM, unit: 'mm' };
const sizes: Form = {
  is: 'object',
  keys: Object.fromEntries(['width', 'height', 'girth', 'depth', 'strap'].map((size) => [size, optional(length)])),
};

/** A finished make in a line: what was planned and what came out. */
export interface LedgerRow {
  make: string;
  name?: string;
  finished?: string;
  planned?: Record<string, number>;
  asMade?: Record<string, number>;
  fits?: 'tight' | 'right' | 'loose';
  grams?: number;
  plannedGrams?: number;
  minutes?: number;
  chance?: number;
  note?: string;
}

const ledgerForm: Form = {
  is: 'object',
  keys: {
    make: required({ is: 'id' }),
    name: optional({ is: 'text', max: 120 }),
    finished: optional({ is: 'time' }),
    planned: optional(sizes),
    asMade: optional(sizes),
    fits: optional({ is: 'one-of', values: ['tight', 'right', 'loose'] }),
    grams: optional({ is: 'number', min: 0, max: 100_000, unit: 'g' }),
    plannedGrams: optional({ is: 'number', min: 0, max: 100_000, unit: 'g' }),
    minutes: optional({ is: 'number', min: 0, max: 1_000_000, unit: 'min' }),
    chance: optional({ is: 'number', min: 0, max: 1 }),
    note: optional({ is: 'text', min: 1, max: 2000, lines: 'lines' }),
  },
};

const documentTable = (kind: DocumentKind, prefix: string, whole: readonly string[] = []) => ({
  id: kind,
  columns: columnsOf(DOCUMENT_FORMS[kind], whole, prefix),
  identified: true,
  check: (body: unknown) => checkDocument(kind, body),
});

/** One event as a batch of one. */
function checkEvent(body: unknown): Checked<MakeEvent> {
  const checked = checkEvents([body]);
  if (checked.ok) return { ok: true, value: checked.value[0]! };
  return {
    ok: false,
    errors: checked.errors.map(({ path, ...rest }) => ({ ...rest, path: path.replace(/^\[0\]\.?/, '') || 'kind' })),
  };
}

/** Every table. A new one is a line here. */
export const CSV_TABLES: readonly CsvTable[] = [
  {
    ...documentTable('things', 'thing'),
    name: 'Things',
    rows: ['thing', 'things'],
    asks: { path: 'thing.kind', name: 'kind', choices: kindChoices() },
  },
  { ...documentTable('yarns', 'yarn'), name: 'Yarns', rows: ['yarn', 'yarns'] },
  {
    ...documentTable('swatches', 'gauge'),
    name: 'Swatches',
    rows: ['swatch', 'swatches'],
    refers: { yarn: 'yarns' },
    always: { gauge: {} },
  },
  {
    ...documentTable('makes', 'make', ['plan']),
    name: 'Projects',
    rows: ['project', 'projects'],
    always: { format: MAKE_FORMAT },
  },
  {
    id: 'log',
    name: 'Project log',
    rows: ['entry', 'entries'],
    columns: columnsOf(eventForm, ['plan', 'asked', 'ticks'], 'event'),
    identified: false,
    check: checkEvent,
    refers: { make: 'makes' },
  },
  {
    id: 'ledger',
    name: 'Ledger',
    rows: ['finished project', 'finished projects'],
    columns: columnsOf(ledgerForm, [], 'ledger'),
    identified: false,
    check: (body) => check<LedgerRow>(ledgerForm, body, 'row'),
    refers: { make: 'makes' },
  },
];
