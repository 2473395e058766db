import type { AddressInfo } from 'node:net';
import { DEVICES_PORT } from '../settings';
import { practiceBench } from './bench';

/** Where the practice devices' own page is. */
const PAGE_PORT = 8133;

const page = Number(process.env.PORT ?? PAGE_PORT);
const devices = Number(process.env.KEEP_SNUG_DEVICES ?? DEVICES_PORT);
const bench = practiceBench(devices);
const server = bench.app.listen(page, '127.0.0.1', (error?: Error) => {
  if (error) {
    console.error(`The practice devices did not start: ${error.message}. Choose another port: PORT=${page + 1}`);
    process.exit(1);
  }
  console.log(`Practice devices are at http://127.0.0.1:${(server.address() as AddressInfo).port}`);
});
const end = () => {
  bench.hangUp();
  process.exit(0);
};
process.on('SIGINT', end);
process.on('SIGTERM', end);
