import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/**
 * Plans, things, yarns, swatches and makes: whole documents with a revision. Nothing reckoned is stored. A deleted one
 * stays as a tombstone, with its body for as long as it can come back.
 */
export const documents = sqliteTable(
  'documents',
  {
    kind: text('kind').notNull(),
    id: text('id').notNull(),
    revision: integer('revision').notNull(),
    body: text('body', { mode: 'json' }).notNull().$type<unknown>(),
    updatedAt: text('updated_at').notNull(),
    /** Its last change in the one sequence of documents and events. */
    seq: integer('seq').notNull().default(0),
    deletedAt: text('deleted_at'),
  },
  (table) => [primaryKey({ columns: [table.kind, table.id] }), index('documents_by_seq').on(table.seq)],
);

/** What happened to makes. Rows are only ever added. */
export const events = sqliteTable(
  'events',
  {
    /** Where it came in the one sequence of documents and events. */
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    make: text('make').notNull(),
    body: text('body', { mode: 'json' }).notNull().$type<unknown>(),
    kind: text('kind').notNull().default(''),
    n: integer('n').notNull().default(0),
  },
  (table) => [index('events_by_make').on(table.make, table.seq), index('events_by_make_n').on(table.make, table.n)],
);

/** A random mark for every write of a document, by its sequence: tells two branches of a file from one another. */
export const marks = sqliteTable('marks', {
  seq: integer('seq').primaryKey(),
  mark: text('mark').notNull(),
});

/** Whether a make is on the hook; kept by a trigger of the events. */
export const makeStates = sqliteTable('make_states', {
  make: text('make').primaryKey(),
  open: integer('open', { mode: 'boolean' }).notNull(),
});

/** Devices beyond this machine that may read and write: each knows a token of which only the hash is kept. */
export const pairedDevices = sqliteTable('paired_devices', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  tokenHash: text('token_hash').notNull().unique(),
  pairedAt: text('paired_at').notNull(),
  seenAt: text('seen_at').notNull(),
});

/** One row: what this file is called, so that devices know it again. */
export const house = sqliteTable('house', {
  id: integer('id').primaryKey(),
  store: text('store').notNull(),
});
