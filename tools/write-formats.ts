import { FITTINGS, SHAPES, STITCHES, type Field } from '@keep-snug/core';
import { readFileSync, writeFileSync } from 'node:fs';

/** Writes the tables of docs/FORMATS.md that follow from the definitions themselves, between their marks. */

const file = new URL('../docs/FORMATS.md', import.meta.url);

function option(field: Field): string {
  const { key, label } = field;
  switch (field.kind) {
    case 'choice':
      return `\`${key}\` (${field.options.map(({ id }) => id).join(', ')})`;
    case 'choices':
      return `\`${key}\` (a list of ${field.options.map(({ id }) => id).join(', ')})`;
    case 'length':
      return `\`${key}\` ${label.toLowerCase()}, mm, ${field.min} to ${field.max}`;
    case 'number':
      return `\`${key}\` ${label.toLowerCase()}, ${field.min} to ${field.max}`;
    case 'text':
      return `\`${key}\` ${label.toLowerCase()}`;
  }
}

const table = (head: string, list: readonly { id: string; text: string; options: readonly Field[] }[]) =>
  [
    `| ${head} | | options |`,
    '| --- | --- | --- |',
    ...list.map(({ id, text, options }) => `| \`${id}\` | ${text} | ${options.map(option).join('; ') || 'none'} |`),
  ].join('\n');

const TABLES: Readonly<Record<string, string>> = {
  shapes: table(
    'kind',
    SHAPES.map(({ id, summary, options, holds }) => ({ id, options, text: `${summary} Holds ${holds.join(', ')}` })),
  ),
  fittings: table(
    'kind',
    FITTINGS.map(({ id, summary, options, shapes }) => ({ id, options, text: `${summary} On ${shapes.join(', ')}` })),
  ),
  stitches: table(
    'stitch',
    STITCHES.map(({ id, name, options }) => ({ id, options, text: `US ${name.US}, UK ${name.UK}` })),
  ),
};

const text = Object.entries(TABLES).reduce(
  (whole, [name, rows]) =>
    whole.replace(
      new RegExp(`<!-- ${name} -->[\\s\\S]*?<!-- /${name} -->`),
      `<!-- ${name} -->\n\n${rows}\n\n<!-- /${name} -->`,
    ),
  readFileSync(file, 'utf8'),
);
writeFileSync(file, text);
