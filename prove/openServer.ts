import { pino } from 'pino';
import { createReckoner } from '../server/src/reckoning/reckoner';
import { threadFile } from '../server/src/reckoning/threadFile';
import { readSettings } from '../server/src/settings';
import { openStore } from '../server/src/store';
import { createServer } from '../server/src/web/server';

/** The server as it is, but for the limit of what may be asked in a minute. */

const { file, appRoot } = readSettings(process.env);
const store = await openStore(file);
const log = pino({ level: 'error' }, pino.destination(2));
const app = createServer({ store, reckoner: createReckoner(await threadFile()), appRoot, perMinute: 1e9, log });
const listening = app.listen(0, '127.0.0.1', () => {
  console.log(`at http://127.0.0.1:${(listening.address() as { port: number }).port}`);
});
process.on('SIGTERM', () => process.exit(0));
