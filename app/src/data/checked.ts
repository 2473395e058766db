/**
 * Forms of documents, what checks them, and what reads them from tables: one part, asked for when any of it is needed. Asked for
 * singly, what they share would be loaded with the first page.
 */
export * from '@keep-snug/core/formats';
export * from '@keep-snug/core/csv';
