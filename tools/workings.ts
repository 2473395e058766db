import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { ROOMS } from './house.cjs';

/** One law or prior of the core, as its own docstring tells it. */
export interface Working {
  name: string;
  file: string;
  /** The value of a plain constant. */
  value: string;
  says: string;
}

const CORE = fileURLToPath(new URL('../core/src/', import.meta.url));

/** What marks a docstring as that of a law or a prior. */
const MARK = /\((?:prior|law)\b/;

/** Every declaration of the core whose docstring says that it is a law or a prior, in the order of files and lines. */
export function workings(): Working[] {
  const files = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !/\.test\.ts$|fixtures|demo/.test(file))
    .sort();
  return files.flatMap((file) => workingsOf(join(CORE, file)));
}

function workingsOf(path: string): Working[] {
  const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
  const found: Working[] = [];
  const visit = (node: ts.Node) => {
    const declared = declarationOf(node);
    const says = declared ? docOf(node) : undefined;
    if (declared && says && MARK.test(says)) found.push({ ...declared, file: relative(CORE, path), says });
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

function declarationOf(node: ts.Node): { name: string; value: string } | undefined {
  if (ts.isFunctionDeclaration(node) && node.name) return { name: `${node.name.text}()`, value: '' };
  if ((ts.isPropertySignature(node) || ts.isPropertyDeclaration(node)) && ts.isIdentifier(node.name))
    return { name: node.name.text, value: '' };
  if (!ts.isVariableStatement(node)) return undefined;
  const [declaration] = node.declarationList.declarations;
  if (!declaration || !ts.isIdentifier(declaration.name)) return undefined;
  const text = declaration.initializer?.getText().replace(/ as const$/, '') ?? '';
  const isPlain = /^[-\d.\s,[\]{}:'\w/*+()]{1,60}$/.test(text) && /\d/.test(text);
  return { name: declaration.name.text, value: isPlain ? text.replace(/\s+/g, ' ') : '' };
}

/** What a docstring says, without its tags. */
function docOf(node: ts.Node): string | undefined {
  const [doc] = ts.getJSDocCommentsAndTags(node).filter(ts.isJSDoc);
  const comment = ts.getTextOfJSDocComment(doc?.comment);
  return comment?.replace(/\s+/g, ' ').trim();
}

const HEAD = `# How the figures come about

Lengths are millimetres. A **law** holds exactly; a **prior** is a starting value with a spread, and gives way to what is
measured. Spreads are propagated to first order (\`core/src/base/figure/figure.ts\`). Sections are those of
[the handbook](HANDBOOK.md). These tables are written from the docstrings themselves (\`npm run docs\`), and a test holds
them to it.

Because a count is a whole number, a size in the direction that does not hurt may be up to 5/9 of a stitch off, in the
other up to half a stitch.
`;

/** What `./snug prove calibration` found when it was last run whole. */
const CALIBRATED = new URL('../prove/calibration/table.md', import.meta.url);

const CALIBRATION = `## Is the chance true

\`./snug prove calibration\` draws hands, yarns and things from the priors, measures them as makers do (ruler or calliper, edge
to edge or whole stitches, with a swatch or without), plans, builds the piece from the plan's steps alone by formulas of its
own, and sees whether it truly fits. Of plans said to fit so many times in a hundred, so many should; the two columns on the
right say what becomes of the same when the world is not as the priors have it.

It proves that measures, counts, sizes and the stated chance agree with each other for every shape, with borders, joins,
flaps, a band in another stitch, dividers, bases and rooms of their own. It does not prove the priors, which only makes can;
it takes things for boxes, cylinders and rods, one wish at a time, and no maker in it mends on the way. Each tenth lies within
its own band 95 times in 100; a run fails where one lies outside the band that holds all ten of them as often.
`;

/** The room a file of the core lies in: the innermost that the list names. */
function roomOf(file: string): string {
  const rooms = ROOMS.filter((room) => file === `${room}.ts` || file.startsWith(`${room}/`));
  return rooms.sort((a, b) => b.length - a.length)[0] ?? 'the whole';
}

/** docs/WORKINGS.md, from the code. */
export function workingsPage(): string {
  const folders = new Map<string, Working[]>();
  for (const working of workings()) {
    const folder = roomOf(working.file);
    folders.set(folder, [...(folders.get(folder) ?? []), working]);
  }
  const cell = (text: string) => text.replaceAll('|', '\\|');
  const tables = [...folders].map(([folder, list]) => {
    const rows = list.map(
      ({ name, value, says, file }) =>
        `| ${cell(linked(says))} | \`${name}\`${value ? ` = ${cell(value)}` : ''} | \`${file}\` |`,
    );
    return [`## ${folder}`, '', '| figure | name | in `core/src` |', '| --- | --- | --- |', ...rows].join('\n');
  });
  return `${HEAD}\n${tables.join('\n\n')}\n\n${CALIBRATION}\n${readFileSync(CALIBRATED, 'utf8')}`;
}

/** "handbook 4.1" as a link to that section. */
function linked(text: string): string {
  return text.replace(
    /handbook (\d+(?:\.\d+)?)/g,
    (_, section: string) => `[handbook ${section}](HANDBOOK.md#${section.replace('.', '-')})`,
  );
}
