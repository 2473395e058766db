import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants } from 'node:zlib';

/** Lays a compressed file beside each of the built app's scripts and fonts, so that none is compressed while it is waited for. */

const [root] = process.argv.slice(2);
const files = readdirSync(root, { recursive: true }).filter((file) => /\.(js|css|ttf)$/.test(file));
for (const file of files) {
  const path = join(root, file);
  const small = brotliCompressSync(readFileSync(path), { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } });
  writeFileSync(`${path}.br`, small);
}
