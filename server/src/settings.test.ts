import { resolve } from 'node:path';
import { readSettings } from './settings';

const placeOf = (env: NodeJS.ProcessEnv) => {
  const { file, database } = readSettings(env);
  return { file, database };
};

it('keeps everything in the file that is named, or in the house’s own', () => {
  expect(placeOf({ KEEP_SNUG_DATA: '/kept/here.sqlite' })).toEqual({ file: '/kept/here.sqlite', database: undefined });
  expect(placeOf({}).file).toMatch(/data.keep-snug\.sqlite$/);
});

it.each([
  ['file:kept/a%20b.sqlite', resolve('kept/a b.sqlite')],
  ['file:///kept/a.sqlite', '/kept/a.sqlite'],
])('takes %s for a file', (url, file) => {
  expect(placeOf({ DATABASE_URL: url, KEEP_SNUG_DATA: '/other.sqlite' })).toEqual({ file, database: undefined });
});

it.each(['libsql://house.example', 'https://house.example', 'http://127.0.0.1:8080', 'wss://house.example'])(
  'takes %s for a libSQL server',
  (url) => {
    expect(placeOf({ DATABASE_URL: url, DATABASE_AUTH_TOKEN: 'key' }).database).toEqual({ url, authToken: 'key' });
    expect(placeOf({ DATABASE_URL: url }).database).toEqual({ url });
  },
);

it('refuses an address of another kind, and says which would do', () => {
  expect(() => placeOf({ DATABASE_URL: 'postgres://house.example' })).toThrow(
    'DATABASE_URL begins with “postgres:”. Use file:, libsql:',
  );
  expect(() => placeOf({ DATABASE_URL: 'house' })).toThrow('DATABASE_URL begins with “house”');
});
