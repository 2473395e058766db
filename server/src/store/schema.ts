import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Plans, things, yarns, swatches and makes: whole documents with a revision. Nothing reckoned is stored. */
export const documents = sqliteTable(
  'documents',
  {
    kind: text('kind').notNull(),
    id: text('id').notNull(),
    revision: integer('revision').notNull(),
    body: text('body', { mode: 'json' }).notNull().$type<unknown>(),
    updatedAt: text('updated_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.kind, table.id] })],
);

/** What happened to makes. Rows are only ever added. */
export const events = sqliteTable(
  'events',
  {
    /** The order in which they arrived, for asking what is new. */
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    make: text('make').notNull(),
    body: text('body', { mode: 'json' }).notNull().$type<unknown>(),
  },
  (table) => [index('events_by_make').on(table.make, table.seq)],
);
