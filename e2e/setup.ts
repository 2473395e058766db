import { bundleServer } from '../tools/bundle.mjs';

/** Once before all journeys: the server as one file. */
export default async function setup(): Promise<void> {
  await bundleServer();
}
