import { createClient, type Client } from '@libsql/client';
import { checkDocument, checkEvents, DOCUMENT_KINDS, type DocumentKind } from '@keep-snug/core/formats';
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { openStore } from './database';
import { refuseForeign, tablesOf } from './identity';
import { faultOf, StoreProblem } from './trouble';

/** An entry of a file that a Keep Snug cannot read. */
export interface Unreadable {
  kind: string;
  id: string;
  why: string;
}

const EMPTY = 'is empty: there is nothing in it to bring back.';
const NO_TABLES = 'has none of Keep Snug’s tables. Name a file that ./snug backup wrote.';
const STRANGE = (names: readonly string[]) =>
  `holds what Keep Snug never wrote (${names.slice(0, 3).join(', ')}). It was changed by somebody else: name another copy.`;
const LACKS = (names: readonly string[]) =>
  `lacks parts that every file of Keep Snug’s has (${names.slice(0, 3).join(', ')}). Name another copy.`;

const clientOf = (file: string) => createClient({ url: pathToFileURL(file).href, timeout: 2000 });

/**
 * Looks at a copy before anything is done with it: that something is in it, that it is ours, and that no trigger of a stranger's
 * would run when it is opened.
 *
 * @throws StoreProblem with the remedy
 */
export async function refuseHostile(file: string): Promise<void> {
  if (statSync(file).size === 0) throw new StoreProblem(file, EMPTY);
  await looking(file, async (client) => {
    await refuseForeign(client, file);
    if ((await tablesOf(client)).length === 0) throw new StoreProblem(file, NO_TABLES);
    const ours = new Set((await reference()).map(({ key }) => key));
    const strange = (await partsOf(client)).filter(({ type, key }) => RUNS.has(type) && !ours.has(key));
    if (strange.length > 0) throw new StoreProblem(file, STRANGE(strange.map(({ name }) => name)));
  });
}

/**
 * Looks at a file whose tables were brought up to date: that none of its parts is missing, and which entries cannot be read.
 * @throws StoreProblem where parts of it are missing
 */
export async function inspected(file: string): Promise<Unreadable[]> {
  return looking(file, async (client) => {
    const has = new Set((await partsOf(client)).map(({ name }) => name));
    const lacks = (await reference()).filter(({ name }) => !has.has(name));
    if (lacks.length > 0) throw new StoreProblem(file, LACKS(lacks.map(({ name }) => name)));
    return [...(await unreadableDocuments(client)), ...(await unreadableEvents(client))];
  });
}

interface Part {
  type: string;
  name: string;
  /** What it is, however it is spaced. */
  key: string;
}

/** What does something by itself when the file is used. */
const RUNS: ReadonlySet<string> = new Set(['trigger', 'view']);

async function partsOf(client: Client): Promise<Part[]> {
  const { rows } = await client.execute(
    "SELECT type, name, sql FROM sqlite_master WHERE name NOT LIKE 'sqlite_%' ORDER BY type, name",
  );
  return rows.map(({ type, name, sql }) => ({
    type: String(type),
    name: String(name),
    key: `${String(name)} ${String(sql).replace(/\s+/g, ' ')}`,
  }));
}

let known: Promise<Part[]> | undefined;

/** The parts of a file that was just made. */
const reference = (): Promise<Part[]> => (known ??= freshParts());

async function freshParts(): Promise<Part[]> {
  const folder = mkdtempSync(join(tmpdir(), 'keep-snug-'));
  try {
    const file = join(folder, 'new.sqlite');
    await (await openStore(file)).close();
    return await looking(file, partsOf);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** So many rows are read at once. */
const PAGE = 200;

async function unreadableDocuments(client: Client): Promise<Unreadable[]> {
  return everyRow(client, 'documents WHERE deleted_at IS NULL', 'kind, id, body', ({ kind, body }) => {
    if (!(DOCUMENT_KINDS as readonly string[]).includes(kind!)) return `“${kind}” is no kind of entry known here`;
    return whyNot(body!, (value) => checkDocument(kind as DocumentKind, value));
  });
}

async function unreadableEvents(client: Client): Promise<Unreadable[]> {
  return everyRow(client, 'events WHERE true', "'events' AS kind, id, body", ({ body }) =>
    whyNot(body!, (value) => checkEvents([value])),
  );
}

type Row = Readonly<Record<string, string | undefined>>;

async function everyRow(
  client: Client,
  from: string,
  columns: string,
  look: (row: Row) => string | undefined,
): Promise<Unreadable[]> {
  const found: Unreadable[] = [];
  let after = 0;
  for (;;) {
    const { rows } = await client.execute({
      sql: `SELECT rowid AS at, ${columns} FROM ${from} AND rowid > ? ORDER BY rowid LIMIT ${PAGE}`,
      args: [after],
    });
    if (rows.length === 0) return found;
    for (const row of rows) {
      const one = row as unknown as Row;
      const why = look(one);
      if (why) found.push({ kind: String(one.kind), id: String(one.id), why });
      after = Number(row.at);
    }
  }
}

type Faults = { ok: true } | { ok: false; errors: readonly { path: string; message: string }[] };

/** @returns what is wrong with a body; nothing where nothing is */
function whyNot(body: string, check: (value: unknown) => Faults): string | undefined {
  let value: unknown;
  try {
    value = JSON.parse(body);
  } catch {
    return 'it is not JSON any more';
  }
  const checked = check(value);
  if (checked.ok) return undefined;
  const [first] = checked.errors;
  return first ? `${first.path}: ${first.message}` : 'it is not of its form';
}

async function looking<Found>(file: string, work: (client: Client) => Promise<Found>): Promise<Found> {
  const client = clientOf(file);
  try {
    return await work(client);
  } catch (error) {
    const fault = error instanceof StoreProblem ? undefined : faultOf(error);
    throw fault ? new StoreProblem(file, fault, { cause: error }) : error;
  } finally {
    client.close();
  }
}
