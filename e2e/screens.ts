import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** The app's own list of its screens. */
export const SCREENS = JSON.parse(
  readFileSync(fileURLToPath(new URL('../app/src/shell/screens.json', import.meta.url)), 'utf8'),
) as readonly { id: string; path: string; of?: string; pictured?: readonly ('phone' | 'wide')[] }[];
