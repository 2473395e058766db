import { generateSW } from 'workbox-build';

/** The worker that keeps the built app on a device: shell, scripts, fonts, icons; nothing of what is kept in the house. */

const [root] = process.argv.slice(2);
const { count, size, warnings } = await generateSW({
  globDirectory: root,
  globPatterns: ['**/*.{html,js,ttf,png,ico,webmanifest}'],
  globIgnores: ['sw.js'],
  swDest: `${root}/sw.js`,
  // what has its content's mark in its name needs none besides
  dontCacheBustURLsMatching: /[.-][0-9a-f]{16,}\./,
  maximumFileSizeToCacheInBytes: 8_000_000,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//, /^\/pair/, /^\/trust/, /\/[^/?]+\.[a-z\d]+$/],
  inlineWorkboxRuntime: true,
  cleanupOutdatedCaches: true,
  clientsClaim: true,
  // a new version waits until it suits who works with the old one
  skipWaiting: false,
  sourcemap: false,
});
for (const warning of warnings) console.error(warning);
console.log(`Service worker keeps ${count} files, ${(size / 1e6).toFixed(1)} MB.`);
