import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import { atMost } from './goals';

const DIST = fileURLToPath(new URL('../app/dist/', import.meta.url));

/** What a bare app on this stack loads, gzipped. */
const BARE_KB = 430;

/** Script before the bench can be used: what the page names, but for what it leaves until after. */
export function benchFirstLoad(): void {
  const page = readFileSync(join(DIST, 'index.html'), 'utf8');
  const size = (all: readonly RegExpMatchArray[]) =>
    all.reduce((sum, [, file]) => sum + gzipSync(readFileSync(join(DIST, file!))).length, 0) / 1024;
  const first = [...page.matchAll(/<script[^>]* src="([^"]+\.js)"/g)];
  const later = [...page.matchAll(/name="shared-script" content="([^"]+)"/g)];
  const kb = size(first);
  console.log(`first load (wanted: at most 1.5 x ${BARE_KB} KB)`);
  console.log(`  ${kb.toFixed(0)} KB gzip in ${first.length} scripts, ${(kb / BARE_KB).toFixed(2)} x the bare stack`);
  console.log(`  ${size(later).toFixed(0)} KB more come after it`);
  atMost('script before the bench can be used, gzip', 580, kb, 'KiB', 0);
}
