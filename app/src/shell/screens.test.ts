import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { isAlone, SCREENS } from './screens';

const routes = readdirSync(join(__dirname, '../../app'), { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.tsx') && !/^[_+]/.test(file))
  .map(
    (file) =>
      `/${file
        .replace(/\.tsx$/, '')
        .replace(/^index$/, '')
        .replace(/\/\[id\]$/, '/…')}`,
  );

it('every route is a screen of the list, and every screen of the list has its route', () => {
  const listed = SCREENS.map(({ path, of }) => (of ? `${path}/…` : path));
  expect([...routes].sort()).toEqual([...listed].sort());
});

it('a screen is alone by the whole of its path', () => {
  const alone = (path: string) => isAlone(path, false);
  expect(['/make/7', '/new', '/sheet/7', '/starts', '/start/phone-pouch', '/plan/7'].map(alone)).toEqual(
    Array.from({ length: 6 }, () => true),
  );
  expect(['/', '/newer', '/makes', '/batch/7'].map(alone)).toEqual([false, false, false, false]);
});

it('where there is room the places stand beside a plan', () => {
  expect(isAlone('/plan/7', true)).toBe(false);
  expect(isAlone('/make/7', true)).toBe(true);
});
