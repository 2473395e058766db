import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const HERE = fileURLToPath(new URL('./', import.meta.url));
const PROGRAM = fileURLToPath(new URL('../node_modules/.bin/depcruise', import.meta.url));

/** What the walls say of a made-up house. */
function saidOf(files: Record<string, string>): string {
  const house = mkdtempSync(join(tmpdir(), 'keep-snug-walls-'));
  try {
    const all = { 'core/src/index.ts': '', 'app/src/platform/a.ts': '', 'server/src/a.ts': '', ...files };
    for (const [path, text] of Object.entries(all)) {
      mkdirSync(dirname(join(house, path)), { recursive: true });
      writeFileSync(join(house, path), text);
    }
    mkdirSync(join(house, 'tools'));
    for (const one of ['house.cjs', 'walls.cjs', 'walls.tsconfig.json'])
      copyFileSync(join(HERE, one), join(house, 'tools', one));
    const asked = ['core/src', 'app/src', 'server/src', '--config', 'tools/walls.cjs', '--output-type', 'err'];
    const { stdout, stderr } = spawnSync(PROGRAM, asked, { cwd: house, encoding: 'utf8' });
    return stdout + stderr;
  } finally {
    rmSync(house, { recursive: true, force: true });
  }
}

const A = 'export const a = 1;\n';
const from = (path: string) => `import { a } from '${path}';\nexport const b = a;\n`;

it.each<[string, Record<string, string>]>([
  ['base/units stands before this', { 'core/src/base/units/x.ts': from('../../piece/y'), 'core/src/piece/y.ts': A }],
  [
    'pattern stands before this',
    { 'core/src/pattern/x.ts': from('./techniques/y'), 'core/src/pattern/techniques/y.ts': A },
  ],
  ['make/log stands before this', { 'core/src/make/log/x.ts': from('../adjust/y'), 'core/src/make/adjust/y.ts': A }],
  ['nothing at the root of core', { 'core/src/piece/x.ts': from('../loose'), 'core/src/loose.ts': A }],
  ['a room that is not in the list', { 'core/src/piece/x.ts': from('../attic/y'), 'core/src/attic/y.ts': A }],
  ['nothing imports the door', { 'core/src/piece/x.ts': from('../index'), 'core/src/index.ts': A }],
  ['data stands before this', { 'app/src/data/x.ts': from('@/ui/y'), 'app/src/ui/y.ts': A }],
  ['screens stand apart', { 'app/src/screens/one/x.ts': from('@/screens/two/y'), 'app/src/screens/two/y.ts': A }],
  ['a floor that is not in the list', { 'app/src/ui/x.ts': from('@/drawer/y'), 'app/src/drawer/y.ts': A }],
  ['the app does not know the server', { 'app/src/ui/x.ts': from('../../../server/src/y'), 'server/src/y.ts': A }],
  [
    'no circle',
    {
      'core/src/piece/x.ts': from('./y'),
      'core/src/piece/y.ts': `import type { b } from './x';\n${A}export type B = typeof b;\n`,
    },
  ],
])('%s: is seen', (rule, files) => {
  expect(saidOf(files)).toContain(rule);
});

it('nothing is said of what stands where it belongs', () => {
  const said = saidOf({
    'core/src/base/units/y.ts': A,
    'core/src/piece/x.ts': from('../base/units/y'),
    'app/src/screens/one/x.ts': from('@/ui/y'),
    'app/src/ui/y.ts': A,
  });
  expect(said).toContain('no dependency violations');
});
