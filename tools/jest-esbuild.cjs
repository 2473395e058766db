const { transformSync } = require('esbuild');

/** Jest's transform for core and server: TypeScript to CommonJS, nothing more. */
module.exports = {
  process(source, path) {
    const { code, map } = transformSync(source, {
      loader: path.endsWith('x') ? 'tsx' : 'ts',
      format: 'cjs',
      target: 'node20',
      sourcemap: 'external',
      sourcefile: path,
      define: { 'import.meta.url': '__importMetaUrl' },
      banner: 'const __importMetaUrl = require("node:url").pathToFileURL(__filename).href;',
    });
    return { code, map };
  },
};
