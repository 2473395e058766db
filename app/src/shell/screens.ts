import type { DocumentKind } from '@keep-snug/core/documents';
import list from './screens.json';

/** A screen of the program. A new one is a folder in `screens`, a route, and a line in `screens.json`: places, the tests of access and the pictures read it. */
interface Screen {
  /** Its name in the docs: `bench`. */
  id: string;
  path: string;
  /** What it shows one of, by the id behind its path. */
  of?: DocumentKind | 'starts';
  /** One of the places that are always in reach, as it is named and drawn there. */
  place?: { name: string; icon: 'bench' | 'things' | 'yarn' | 'ledger' | 'settings' };
  /** It has the page to itself, or a phone's: something is begun, followed or read there. */
  alone?: true | 'phone';
  /** At which sizes the docs show it. */
  pictured?: readonly ('phone' | 'wide')[];
}

export const SCREENS = list as readonly Screen[];

/** Whether a path is that of a screen which has the page to itself. */
export const isAlone = (at: string, wide: boolean): boolean =>
  SCREENS.some(({ path, alone }) => (wide ? alone === true : alone) && (at === path || at.startsWith(`${path}/`)));
