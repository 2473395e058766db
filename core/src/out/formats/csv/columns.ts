import type { Form, Key, ObjectForm } from '../form';

/** What a cell holds: one value of a form, or a whole part of a document as JSON. */
export type CellForm =
  | Extract<Form, { is: 'number' | 'text' | 'time' | 'day' | 'hex' | 'id' | 'truth' | 'one-of' }>
  | { is: 'either'; number: boolean }
  | { is: 'json' };

/** A column of a table: where its cells belong in a document, with `#` for each number of a list. */
export interface Column {
  path: string;
  /** As it stands at the head of the column, its unit in brackets. */
  header: string;
  form: CellForm;
}

interface Walk {
  /** Parts that are kept whole in one cell. */
  whole: readonly string[];
  found: Map<string, CellForm>;
}

/** Every leaf of a form by its path, in the form's own order. */
function leavesOf(form: Form, whole: readonly string[]): Map<string, CellForm> {
  const walk: Walk = { whole, found: new Map() };
  visit(form, '', walk);
  return walk.found;
}

function visit(form: Form, path: string, walk: Walk): void {
  if (walk.whole.includes(path)) return leaf(path, { is: 'json' }, walk);
  switch (form.is) {
    case 'object':
      return visitObject(form, path, walk);
    case 'variant':
      leaf(join(path, form.by), { is: 'one-of', values: Object.keys(form.forms) }, walk);
      return Object.values(form.forms).forEach((one) => visitObject(one, path, walk));
    case 'list':
      return visit(form.of, `${path}#`, walk);
    case 'map':
      return leaf(path, { is: 'json' }, walk);
    case 'either': {
      const parts = form.of.map(({ is }) => is);
      if (parts.includes('object')) return leaf(path, { is: 'json' }, walk);
      return leaf(path, { is: 'either', number: parts.includes('number') }, walk);
    }
    default:
      return leaf(path, form, walk);
  }
}

function visitObject({ keys, depends }: ObjectForm, path: string, walk: Walk): void {
  for (const [key, { form }] of Object.entries<Key>(keys)) visit(form, join(path, key), walk);
  for (const one of Object.values(depends?.forms ?? {})) visitObject(one, join(path, depends!.key), walk);
}

/** Kinds that share a key keep the first form of it: what is wrong with a value is told by the document's own. */
function leaf(path: string, form: CellForm, { found }: Walk): void {
  if (!found.has(path)) found.set(path, form);
}

const join = (path: string, key: string): string => (path === '' ? key : `${path}.${key}`);

/** How ends of paths are said where their keys alone would say too little. */
const SAID: Readonly<Record<string, string>> = { by: 'measured with', typed: 'as typed', mm: '' };

const ENDING: Readonly<Record<string, string>> = { Mm: 'mm', G: 'g' };

/** A path as words, its unit in brackets: `tools 1 length (mm)`. */
function headerOf(path: string, form: CellForm): string {
  let unit = form.is === 'number' ? (form.unit ?? '') : '';
  const words = path
    .replace(/#/g, '.#')
    .split('.')
    .map((key) => {
      const ending = /(?<=[a-z])(Mm|G)$/.exec(key)?.[1];
      if (ending) unit = ENDING[ending]!;
      const bare = ending ? key.slice(0, -ending.length) : key;
      return SAID[bare] ?? bare.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
    })
    .filter(Boolean)
    .join(' ');
  return [words || 'length', unit && `(${unit})`].filter(Boolean).join(' ');
}

/** Columns for the leaves of a form; what all of them begin with is left out of their heads where they stay apart. */
export function columnsOf(form: Form, whole: readonly string[], prefix: string): Column[] {
  const leaves = [...leavesOf(form, whole)];
  const short = (path: string) => (path.startsWith(`${prefix}.`) ? path.slice(prefix.length + 1) : path);
  const taken = new Set(leaves.filter(([path]) => short(path) === path).map(([path, of]) => headerOf(path, of)));
  return leaves.map(([path, of]) => {
    const header = headerOf(short(path), of);
    return { path, form: of, header: short(path) !== path && taken.has(header) ? headerOf(path, of) : header };
  });
}
