import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';

const folder = (path: string) => new URL(`../${path}`, import.meta.url);

interface Constant {
  name: string;
  value: string;
  file: string;
}

/** Constants of a file that are called as constants are, with their values as they are written. */
function constantsOf(file: string, text: string): Constant[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  return source.statements.flatMap((statement) =>
    ts.isVariableStatement(statement)
      ? statement.declarationList.declarations.flatMap(({ name, initializer }) =>
          initializer && ts.isIdentifier(name) && /^[A-Z][A-Z0-9_]+$/.test(name.text)
            ? [{ name: name.text, value: initializer.getText().replace(/\s+| as const/g, ''), file }]
            : [],
        )
      : [],
  );
}

/** Those that stand in two files with one name and one value: a prior that is changed in one would stay in the other. */
function twice(all: readonly Constant[]): string[] {
  const seen = new Map<string, Constant>();
  return all.flatMap((one) => {
    const key = `${one.name} = ${one.value}`;
    const before = seen.get(key);
    seen.set(key, one);
    return before ? [`${key}: ${before.file}, ${one.file}`] : [];
  });
}

it('finds a prior that is written down twice', () => {
  const all = [
    ...constantsOf('a.ts', '/** Prior. */\nexport const SPREAD = 0.15;\nconst other = 2;'),
    ...constantsOf('b.ts', 'const SPREAD = 0.15;'),
    ...constantsOf('c.ts', 'const SPREAD = 0.2;'),
  ];
  expect(twice(all)).toEqual(['SPREAD = 0.15: a.ts, b.ts']);
});

it.each(['core/src', 'server/src'])('each of %s is written down once', (root) => {
  const files = readdirSync(folder(root), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !/\.test\.ts$|fixtures/.test(file))
    .map((file) => `${root}/${file}`);
  const all = files.flatMap((file) => constantsOf(file, readFileSync(folder(file), 'utf8')));
  expect(all.length).toBeGreaterThan(20);
  expect(twice(all)).toEqual([]);
});
