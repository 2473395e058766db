import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';

/** Words that no text of the app says any more: old-fashioned, inverted, or not the word makers use. */
const NOT_SAID =
  /\b(anew|mend(ed|ing|s)?|reckon\w*|takes? (off|out|up|back)|set aside|lays? aside|go on|to and fro|at hand|wants?|comes to|comes up again|is away|let it go|as it stands|in the house|at the (least|most)|hang a marker|blunt needle|two-loop|girth|upper edge)\b|, (across|wide|round|high|long)\b/i;

const folder = (path: string) => new URL(`../${path}`, import.meta.url);

const sources = (root: string) =>
  readdirSync(folder(root), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/test\.|fixtures/.test(file))
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
  expect(textsOf('app/src/shell/NotFound.tsx')).toContain('Check the address, or choose a place.');
});

it('no text of the app says one', () => {
  const files = sources('app/src');
  expect(files.length).toBeGreaterThan(100);
  expect(badTexts(files)).toEqual([]);
});

/** What texts of the craft say, and labels do not: how one wants it, a cord by its name. */
const CRAFT_SAYS = /\bwants?\b|\btwo-loop\b/gi;

it('no label, help, step, check or message of the core says one', () => {
  const parts = sources('core/src').filter((file) => !/src[\\/](piece|out[\\/]formats|index)/.test(file));
  // what a referee faults is read by tests alone, and formulas are told in letters
  const told = parts.filter((file) => !/referee|[\\/]demo[\\/]/.test(file));
  expect(told.length).toBeGreaterThan(250);
  const bad = told.flatMap((file) =>
    textsOf(file).flatMap((text) => (NOT_SAID.test(text.replace(CRAFT_SAYS, '')) ? [`${file}: ${text}`] : [])),
  );
  expect(bad.filter((line) => !/ = /.test(line))).toEqual([]);
});

/** Words of one language of the craft: nothing says them but through its tokens, and names told in both. */
const ONE_LANGUAGE = /\b(single crochet|half double|reverse single|skip(ped)?|gauge|miss(ed)?|tension|yarn over)\b/i;

/** Where words of both languages are defined, or one is meant by its name. */
const DEFINES =
  /fabric[\\/]stitches|pattern[\\/]terms|written[\\/](pattern|abbreviated|short)|formats|demo|[\\/]gauge|counts[\\/]/;

it('no text speaks one language of the craft alone', () => {
  const files = [...sources('app/src'), ...sources('core/src')].filter((file) => !DEFINES.test(file));
  const bad = files.flatMap((file) =>
    textsOf(file).flatMap((text) =>
      ONE_LANGUAGE.test(text.replace(/\{[\w-]+\}/g, '').replace(/US[: ].* UK .*|^(US|UK): .*/, ''))
        ? [`${file}: ${text}`]
        : [],
    ),
  );
  expect(bad.filter((line) => !/ = /.test(line))).toEqual([]);
});
