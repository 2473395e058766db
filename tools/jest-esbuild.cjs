const { createHash } = require('node:crypto');
const { readFileSync, readdirSync } = require('node:fs');
const { dirname, join, resolve } = require('node:path');
const { buildSync, transformSync } = require('esbuild');

const CORE = resolve(__dirname, '../core/src');
const TARGET = { format: 'cjs', target: 'node20', sourcemap: 'external' };

/**
 * Jest's transform for core and server. A test of the core comes as one file with all that it asks for, packages left
 * outside: hundreds of modules are read and linked once instead of for every test, and calls between them cost what they
 * cost when shipped. Whatever else there is comes file by file: TypeScript to CommonJS, nothing more.
 */
module.exports = {
  getCacheKey: (source, path) =>
    createHash('sha256')
      .update(isOneFile(path) ? allOfCore() : '')
      .update(readFileSync(__filename))
      .update(path)
      .update(source)
      .digest('hex'),
  process: (source, path) => (isOneFile(path) ? asOneFile(path) : byItself(source, path)),
};

const isOneFile = (path) => path.startsWith(CORE) && path.endsWith('.test.ts');

function asOneFile(path) {
  const { outputFiles } = buildSync({
    ...TARGET,
    entryPoints: [path],
    // what is named in its map is looked for from where it stands
    outdir: dirname(path),
    write: false,
    bundle: true,
    platform: 'node',
    packages: 'external',
  });
  const [map, code] = ['.js.map', '.js'].map((end) => outputFiles.find((file) => file.path.endsWith(end)).text);
  // packages that were translated from modules give what they export by default, as they do file by file
  return { code: code.replace(/(__toESM\(require\("[^"]+"\)), 1\)/g, '$1)'), map };
}

const byItself = (source, path) =>
  transformSync(source, {
    ...TARGET,
    loader: path.endsWith('x') ? 'tsx' : 'ts',
    sourcefile: path,
    define: { 'import.meta.url': '__importMetaUrl' },
    banner: 'const __importMetaUrl = require("node:url").pathToFileURL(__filename).href;',
  });

let known;

/** What a test of the core hangs on: all of it. */
function allOfCore() {
  known ??= readdirSync(CORE, { recursive: true })
    .filter((file) => file.endsWith('.ts'))
    .sort()
    .reduce((hash, file) => hash.update(file).update(readFileSync(join(CORE, file))), createHash('sha256'))
    .digest('hex');
  return known;
}
