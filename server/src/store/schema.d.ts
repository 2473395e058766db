/**
 * Plans, things, yarns, swatches and makes: whole documents with a revision. Nothing reckoned is stored. A deleted one
 * stays as a tombstone, with its body for as long as it can come back.
 */
export declare const documents: import('drizzle-orm/sqlite-core').SQLiteTableWithColumns<{
  name: 'documents';
  schema: undefined;
  columns: {
    kind: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'kind';
        tableName: 'documents';
        dataType: 'string';
        columnType: 'SQLiteText';
        data: string;
        driverParam: string;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: [string, ...string[]];
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        length: number | undefined;
      }
    >;
    id: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'id';
        tableName: 'documents';
        dataType: 'string';
        columnType: 'SQLiteText';
        data: string;
        driverParam: string;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: [string, ...string[]];
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        length: number | undefined;
      }
    >;
    revision: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'revision';
        tableName: 'documents';
        dataType: 'number';
        columnType: 'SQLiteInteger';
        data: number;
        driverParam: number;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: undefined;
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {}
    >;
    body: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'body';
        tableName: 'documents';
        dataType: 'json';
        columnType: 'SQLiteTextJson';
        data: unknown;
        driverParam: string;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: undefined;
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        $type: unknown;
      }
    >;
    updatedAt: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'updated_at';
        tableName: 'documents';
        dataType: 'string';
        columnType: 'SQLiteText';
        data: string;
        driverParam: string;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: [string, ...string[]];
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        length: number | undefined;
      }
    >;
    seq: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'seq';
        tableName: 'documents';
        dataType: 'number';
        columnType: 'SQLiteInteger';
        data: number;
        driverParam: number;
        notNull: true;
        hasDefault: true;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: undefined;
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {}
    >;
    deletedAt: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'deleted_at';
        tableName: 'documents';
        dataType: 'string';
        columnType: 'SQLiteText';
        data: string;
        driverParam: string;
        notNull: false;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: [string, ...string[]];
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        length: number | undefined;
      }
    >;
  };
  dialect: 'sqlite';
}>;
/** What happened to makes. Rows are only ever added. */
export declare const events: import('drizzle-orm/sqlite-core').SQLiteTableWithColumns<{
  name: 'events';
  schema: undefined;
  columns: {
    seq: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'seq';
        tableName: 'events';
        dataType: 'number';
        columnType: 'SQLiteInteger';
        data: number;
        driverParam: number;
        notNull: true;
        hasDefault: true;
        isPrimaryKey: true;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: undefined;
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {}
    >;
    id: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'id';
        tableName: 'events';
        dataType: 'string';
        columnType: 'SQLiteText';
        data: string;
        driverParam: string;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: [string, ...string[]];
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        length: number | undefined;
      }
    >;
    make: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'make';
        tableName: 'events';
        dataType: 'string';
        columnType: 'SQLiteText';
        data: string;
        driverParam: string;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: [string, ...string[]];
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        length: number | undefined;
      }
    >;
    body: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'body';
        tableName: 'events';
        dataType: 'json';
        columnType: 'SQLiteTextJson';
        data: unknown;
        driverParam: string;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: undefined;
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        $type: unknown;
      }
    >;
    kind: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'kind';
        tableName: 'events';
        dataType: 'string';
        columnType: 'SQLiteText';
        data: string;
        driverParam: string;
        notNull: true;
        hasDefault: true;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: [string, ...string[]];
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        length: number | undefined;
      }
    >;
    n: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'n';
        tableName: 'events';
        dataType: 'number';
        columnType: 'SQLiteInteger';
        data: number;
        driverParam: number;
        notNull: true;
        hasDefault: true;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: undefined;
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {}
    >;
  };
  dialect: 'sqlite';
}>;
/** A random mark for every write of a document, by its sequence: tells two branches of a file from one another. */
export declare const marks: import('drizzle-orm/sqlite-core').SQLiteTableWithColumns<{
  name: 'marks';
  schema: undefined;
  columns: {
    seq: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'seq';
        tableName: 'marks';
        dataType: 'number';
        columnType: 'SQLiteInteger';
        data: number;
        driverParam: number;
        notNull: true;
        hasDefault: true;
        isPrimaryKey: true;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: undefined;
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {}
    >;
    mark: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'mark';
        tableName: 'marks';
        dataType: 'string';
        columnType: 'SQLiteText';
        data: string;
        driverParam: string;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: [string, ...string[]];
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        length: number | undefined;
      }
    >;
  };
  dialect: 'sqlite';
}>;
/** Whether a make is on the hook; kept by a trigger of the events. */
export declare const makeStates: import('drizzle-orm/sqlite-core').SQLiteTableWithColumns<{
  name: 'make_states';
  schema: undefined;
  columns: {
    make: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'make';
        tableName: 'make_states';
        dataType: 'string';
        columnType: 'SQLiteText';
        data: string;
        driverParam: string;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: true;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: [string, ...string[]];
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        length: number | undefined;
      }
    >;
    open: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'open';
        tableName: 'make_states';
        dataType: 'boolean';
        columnType: 'SQLiteBoolean';
        data: boolean;
        driverParam: number;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: undefined;
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {}
    >;
  };
  dialect: 'sqlite';
}>;
/** One row: what this file is called, so that devices know it again. */
export declare const house: import('drizzle-orm/sqlite-core').SQLiteTableWithColumns<{
  name: 'house';
  schema: undefined;
  columns: {
    id: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'id';
        tableName: 'house';
        dataType: 'number';
        columnType: 'SQLiteInteger';
        data: number;
        driverParam: number;
        notNull: true;
        hasDefault: true;
        isPrimaryKey: true;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: undefined;
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {}
    >;
    store: import('drizzle-orm/sqlite-core').SQLiteColumn<
      {
        name: 'store';
        tableName: 'house';
        dataType: 'string';
        columnType: 'SQLiteText';
        data: string;
        driverParam: string;
        notNull: true;
        hasDefault: false;
        isPrimaryKey: false;
        isAutoincrement: false;
        hasRuntimeDefault: false;
        enumValues: [string, ...string[]];
        baseColumn: never;
        identity: undefined;
        generated: undefined;
      },
      {},
      {
        length: number | undefined;
      }
    >;
  };
  dialect: 'sqlite';
}>;
