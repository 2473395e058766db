import { CAUTIONS } from '../../craft/cautions';
import { STITCHES } from '../../craft/fabric';
import { belongsOn, FITTINGS } from '../../fittings';
import { SHAPES } from '../../shapes';
import { CARRIERS, THINGS, type ThingDefinition, type ThingList } from '../../craft/things';
import type { ChoiceField, Field, LengthField, NumberField } from '../../base/units';

/** A row of a table of docs/FORMATS.md: an id, what it is, and its options or entries. */
type Row = readonly [id: string, what: string, entries: string];

function table(head: readonly [string, string, string], rows: readonly Row[]): string {
  const lines = rows.map(([id, what, entries]) => `| \`${id}\` | ${what} | ${entries || 'none'} |`);
  return [`| ${head.join(' | ')} |`, '| --- | --- | --- |', ...lines].join('\n');
}

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

const options = (fields: readonly Field[]) => fields.map(option).join('; ');

const entry = ({ key, label, optional }: LengthField | NumberField) =>
  `\`${key}\` ${label.toLowerCase()}${optional ? ' (may be left out)' : ''}`;

const choice = ({ key, options: of }: ChoiceField) => `\`${key}\` ${of.map(({ id }) => `\`${id}\``).join(', ')}`;

const list = ({ key, measures, numbers }: ThingList) =>
  `\`${key}\`, a list of \`name\`, ${[...measures, ...numbers].map(({ key: one }) => `\`${one}\``).join(', ')}`;

function entries({ measures, numbers = [], choices = [], list: entriesOf, holdsThings }: ThingDefinition): string {
  return [
    ...measures.map(entry),
    ...numbers.map(entry),
    ...choices.map(choice),
    ...(entriesOf ? [list(entriesOf)] : []),
    ...(holdsThings ? ['`members`, a list of things of any other kind'] : []),
  ].join('; ');
}

/** The tables of docs/FORMATS.md that follow from the definitions themselves, by the name of their mark. */
export function formatsTables(): Readonly<Record<string, string>> {
  return {
    things: table(
      ['kind', '', 'entries'],
      THINGS.map((thing) => [thing.id, `${thing.name}: ${thing.examples}`, entries(thing)]),
    ),
    carriers: table(
      ['kind', '', 'entries'],
      CARRIERS.map(({ id, name, examples, measures, asksFirst, choices = [] }) => [
        id,
        `${name}: ${examples}`,
        [...[asksFirst ?? []].flat().map(option), ...measures.map(entry), ...choices.map(option)].join('; '),
      ]),
    ),
    shapes: table(
      ['kind', '', 'options'],
      SHAPES.map((shape) => {
        const takes = THINGS.filter(({ profile }) => shape.takes[profile] === true).map(({ id }) => id);
        return [shape.id, `${shape.summary} Takes ${takes.join(', ')}`, options(shape.options)];
      }),
    ),
    fittings: table(
      ['kind', '', 'options'],
      FITTINGS.map((fitting) => {
        const on = SHAPES.filter((shape) => belongsOn(shape, fitting)).map(({ id }) => id);
        return [
          fitting.id,
          `${fitting.summary} On ${on.length === SHAPES.length ? 'any shape' : on.join(', ')}`,
          options(fitting.options),
        ];
      }),
    ),
    stitches: table(
      ['stitch', '', 'options'],
      STITCHES.map(({ id, name, options: fields }) => [id, `US ${name.US}, UK ${name.UK}`, options(fields)]),
    ),
    cautions: table(
      ['id', 'warns of', 'text'],
      CAUTIONS.map(({ id, hazard, text }) => [id, hazard, text]),
    ),
  };
}

/** A text with its tables written anew between their marks `<!-- name -->` and `<!-- /name -->`. */
export function withTables(text: string, tables: Readonly<Record<string, string>>): string {
  return Object.entries(tables).reduce(
    (whole, [name, rows]) =>
      whole.replace(
        new RegExp(`<!-- ${name} -->[\\s\\S]*?<!-- /${name} -->`),
        `<!-- ${name} -->\n\n${rows}\n\n<!-- /${name} -->`,
      ),
    text,
  );
}
