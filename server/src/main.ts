import { pino } from 'pino';
import { loadDemo } from './demo';
import { readSettings } from './settings';
import { openStore } from './store';
import { createServer } from './web/server';

const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const store = await openStore(settings.file);
  if (process.argv.includes('--demo')) await loadDemo(store);
  const server = createServer({ store, appRoot: settings.appRoot, log }).listen(
    settings.port,
    settings.host,
    (error) => {
      if (error) return stop(error);
      const address = server.address();
      const port = typeof address === 'object' ? address?.port : settings.port;
      console.log(`Keep Snug is at http://${settings.host}:${port}`);
    },
  );
  const end = () => {
    server.close(() => {
      store.close();
      process.exit(0);
    });
    server.closeAllConnections();
  };
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
}

function stop(error: Error & { code?: string; port?: number }): void {
  const taken = error.code === 'EADDRINUSE';
  const message = taken ? `port ${error.port} is taken. Choose another: PORT=${Number(error.port) + 1}` : error.message;
  console.error(`Keep Snug did not start: ${message}`);
  process.exit(1);
}

main().catch(stop);
