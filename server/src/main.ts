import { pino } from 'pino';
import QRCode from 'qrcode';
import { readSettings } from './settings';
import { startServer } from './start';
import { faultOf } from './store/trouble';

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
  const phone = process.argv.includes('--phone') ? settings.phone : null;
  const server = await startServer({ ...settings, phone, log, demo: process.argv.includes('--demo') });
  console.log(`Keep Snug is at http://${settings.host}:${server.port}`);
  if (server.phone) await tellPhone(server.phone);
  if (server.devices === null && settings.devices !== null)
    console.error(
      `Port ${settings.devices} is taken: measuring devices are not listened for. Choose another: KEEP_SNUG_DEVICES=${settings.devices + 2}`,
    );
  const end = () =>
    void server.stop().then(
      () => process.exit(0),
      (error: Error) => {
        console.error(
          `Keep Snug did not end as it should: ${faultOf(error) ? `the file ${faultOf(error)}` : error.message}`,
        );
        process.exit(1);
      },
    );
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
}

/** The address for phones, and a code that lets one in. */
async function tellPhone({ url, pairing, isNew }: { url: string; pairing: string; isNew: boolean }): Promise<void> {
  console.log(`\nFor a phone in the same network: ${url}\nThis code lets one phone in, within ten minutes:\n`);
  console.log(await QRCode.toString(pairing, { type: 'terminal', small: true }));
  console.log(`Without a camera: ${pairing}\nMore codes, and the phones that were let in: Settings, on this computer.`);
  if (isNew)
    console.log(`This house’s certificate is new, for this computer’s names. Trust it on each phone: ${url}/trust`);
}

function failed(error: Error & { code?: string; port?: number }): void {
  const taken = error.code === 'EADDRINUSE';
  const message = taken ? `port ${error.port} is taken. Choose another: PORT=${Number(error.port) + 1}` : error.message;
  console.error(`Keep Snug did not start: ${message}`);
  process.exit(1);
}

main().catch(failed);
