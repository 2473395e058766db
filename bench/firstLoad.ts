import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

const DIST = fileURLToPath(new URL('../app/dist/', import.meta.url));

/** What a bare app on this stack loads, gzipped. */
const BARE_KB = 430;

/** Script at first load: what the page names itself, and the bench's own route, which it asks for next. */
export function benchFirstLoad(): void {
  const page = readFileSync(join(DIST, 'index.html'), 'utf8');
  const named = [...page.matchAll(/src="([^"]+\.js)"/g)].map(([, path]) => path!);
  const folder = '_expo/static/js/web';
  const routes = readdirSync(join(DIST, folder))
    .filter((file) => /^(index|_layout|__common)-.*\.js$/.test(file))
    .map((file) => `/${folder}/${file}`);
  const files = [...new Set([...named, ...routes])];
  const kb = files.reduce((sum, file) => sum + gzipSync(readFileSync(join(DIST, file))).length, 0) / 1024;
  console.log(`first load (wanted: at most 1.5 x ${BARE_KB} KB)`);
  console.log(`  ${kb.toFixed(0)} KB gzip in ${files.length} scripts, ${(kb / BARE_KB).toFixed(2)} x the bare stack`);
}
