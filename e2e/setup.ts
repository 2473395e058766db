import { bundleServer } from '../tools/bundle-server.mjs';

/** Once before all journeys: the server as one file. */
export default async function setup(): Promise<void> {
  await bundleServer();
}
