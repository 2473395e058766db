import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const git = (...args: string[]) =>
  execFileSync('git', args, { cwd: new URL('..', import.meta.url), encoding: 'utf8' })
    .split('\n')
    .filter(Boolean);

/** A copy without its history has nothing that is ignored. */
const inHistory = existsSync(new URL('../.git', import.meta.url)) ? it : it.skip;

inHistory('no source file is left out of the project by what is ignored', () => {
  const ignored = git(
    'ls-files',
    '--others',
    '--ignored',
    '--exclude-standard',
    '--',
    '*/src/**/*.ts',
    '*/src/**/*.tsx',
  );
  expect(ignored.filter((file) => !/(^|\/)(node_modules|dist|\.[^/]+)\//.test(file))).toEqual([]);
});

inHistory('and the sources are found where it looks', () => {
  const kept = git('ls-files', '--', '*/src/**/*.ts', '*/src/**/*.tsx');
  expect(kept.length).toBeGreaterThan(500);
});
