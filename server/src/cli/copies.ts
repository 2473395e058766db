import { resolve } from 'node:path';
import { readSettings } from '../settings';
import { backUp, bringBack } from '../store/copies';

const USAGE = 'Usage: ./snug backup FILE   or   ./snug restore FILE [--even-so]';

/** `backup FILE` and `restore FILE` of the file in KEEP_SNUG_DATA. */
async function main(): Promise<void> {
  const [command, given] = process.argv.slice(2);
  if (!given) throw new Error(USAGE);
  const { file, database } = readSettings(process.env);
  if (database) throw new Error('This house is on a libSQL server: its own backups are the ones to use.');
  const named = resolve(process.env.KEEP_SNUG_FROM ?? '.', given);
  if (command === 'backup') {
    const bytes = await backUp(file, named);
    console.log(`Everything in ${file} is in ${named} too (${Math.ceil(bytes / 1000)} kB).`);
    return;
  }
  if (command !== 'restore') throw new Error(USAGE);
  const { aside, unreadable } = await bringBack(named, file, new Date(), process.argv.includes('--even-so'));
  console.log(`${file} is now as ${named} was.${aside ? ` The file so far lies in ${aside}.` : ''}`);
  if (unreadable.length > 0)
    console.log(`${unreadable.length} of its entries cannot be read: they are set aside, and all else is there.`);
}

main().catch((error: Error) => {
  console.error(error.message);
  process.exitCode = 1;
});
