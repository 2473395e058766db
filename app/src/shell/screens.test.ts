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
  expect(['/make/7', '/new', '/sheet/7'].map(isAlone)).toEqual([true, true, true]);
  expect(['/', '/newer', '/makes', '/plan/7'].map(isAlone)).toEqual([false, false, false, false]);
});
