import { readFileSync, writeFileSync } from 'node:fs';

/**
 * The page asks for what the bench is drawn by, and only then for what several rooms share: a room waits for that before its
 * own script is asked for. Whoever comes straight to a room asks for both at once.
 */

const [root] = process.argv.slice(2);
const path = `${root}/index.html`;
const page = readFileSync(path, 'utf8');

const SHARED = /<script src="([^"]*\/__common-[^"]*\.js)" defer><\/script>/;
const [tag, src] = SHARED.exec(page) ?? [];
if (!tag) throw new Error('index.html does not name the shared script as it did.');

// the page tells that it is read when the scripts it names have run; which one it is stands beside, so that this text and its mark in
// what the server allows are the same after every build
const shared = `(() => {
  const script = document.createElement('script');
  script.src = document.querySelector('meta[name=shared-script]').content;
  const here = new Promise((is, not) => {
    script.onload = is;
    script.onerror = () => not(new Error('Loading module ' + script.src + ' failed.'));
  });
  here.catch(() => undefined);
  document.addEventListener('DOMContentLoaded', () => document.head.append(script));
  if (location.pathname !== '/') {
    const early = Object.assign(document.createElement('link'), { rel: 'preload', as: 'script', href: script.src });
    document.head.append(early);
  }
  let load;
  Object.defineProperty(globalThis, '__loadBundleAsync', {
    set: (given) => { load = (path) => here.then(() => given(path)); },
    get: () => load,
  });
})();`;

writeFileSync(path, page.replace(tag, `<meta name="shared-script" content="${src}" /><script>${shared}</script>`));
