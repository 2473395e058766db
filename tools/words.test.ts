import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';

/** Words that no text of the app says any more: old-fashioned, inverted, or not the word makers use. */
const NOT_SAID =
  /\b(anew|mend(ed|ing|s)?|reckon\w*|takes? (off|out|up|back)|set aside|lays? aside|go on|to and fro|at hand|wants?|comes to|comes up again|is away|let it go|as it stands|in the house|at the (least|most)|hang a marker|blunt needle|two-loop|girth|upper edge)\b|, (across|wide|round|high|long)\b/i;

const folder = (path: string) => new URL(`../${path}`, import.meta.url);

const sources = (root: string) =>
  readdirSync(folder(root), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/test\.|fixtures|[\\/]?pattern[\\/]/.test(file))
    .map((file) => `${root}/${file}`);

/** Every text of a file that may be shown: literals of more than one word, parts of templates, what stands between tags. */
function textsOf(file: string): string[] {
  const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const source = ts.createSourceFile(file, readFileSync(folder(file), 'utf8'), ts.ScriptTarget.Latest, true, kind);
  const found: string[] = [];
  const visit = (node: ts.Node) => {
    const isText = ts.isStringLiteralLike(node) || ts.isJsxText(node) || ts.isTemplateHead(node);
    if (isText || ts.isTemplateMiddle(node) || ts.isTemplateTail(node))
      found.push(node.text.trim().replace(/\s+/g, ' '));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found.filter((text) => /\s/.test(text));
}

const badTexts = (files: readonly string[]) =>
  files.flatMap((file) => textsOf(file).flatMap((text) => (NOT_SAID.test(text) ? [`${file}: ${text}`] : [])));

it('finds a word that is not said, in a literal, a template and between tags', () => {
  const found = (text: string) => NOT_SAID.test(text);
  expect(['Mend it', 'Strip, wide', '7 mm at the least', 'Take it off'].map(found)).toEqual([true, true, true, false]);
  expect(textsOf('app/src/parts/NotFound.tsx')).toContain('Check the address, or choose a place.');
});

it('no text of the app says one', () => {
  const files = sources('app/src');
  expect(files.length).toBeGreaterThan(100);
  expect(badTexts(files)).toEqual([]);
});

it('no label, help or message of things, fits, fabric and units says one', () => {
  const files = ['things', 'fit', 'units', 'supplies', 'counts'].flatMap((part) => sources(`core/src/${part}`));
  expect(files.length).toBeGreaterThan(30);
  expect(badTexts(files).filter((line) => !/ = /.test(line))).toEqual([]);
});
