import { pino } from 'pino';
import { readSettings } from './settings';
import { startServer } from './start';

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
  const server = await startServer({ ...settings, log, demo: process.argv.includes('--demo') });
  console.log(`Keep Snug is at http://${settings.host}:${server.port}`);
  if (server.devices === null && settings.devices !== null)
    console.error(
      `Port ${settings.devices} is taken: measuring devices are not listened for. Choose another: KEEP_SNUG_DEVICES=${settings.devices + 2}`,
    );
  const end = () => void server.stop().then(() => process.exit(0));
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
}

function failed(error: Error & { code?: string; port?: number }): void {
  const taken = error.code === 'EADDRINUSE';
  const message = taken ? `port ${error.port} is taken. Choose another: PORT=${Number(error.port) + 1}` : error.message;
  console.error(`Keep Snug did not start: ${message}`);
  process.exit(1);
}

main().catch(failed);
