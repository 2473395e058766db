import type { DocumentKind } from '@keep-snug/core/documents';

/** A screen of the program. A new one is a folder in `screens`, a route, and a line here: places, the tests of access and the pictures read it. */
export interface Screen {
  /** Its name in the docs: `bench`. */
  id: string;
  path: string;
  /** What it shows one of, by the id behind its path. */
  of?: DocumentKind;
  /** One of the places that are always in reach, as it is named and drawn there. */
  place?: { name: string; icon: 'bench' | 'things' | 'yarn' | 'ledger' | 'settings' };
  /** It has the page to itself: something is begun, followed or read there. */
  alone?: true;
  /** At which sizes the docs show it. */
  pictured?: readonly ('phone' | 'wide')[];
}

export const SCREENS: readonly Screen[] = [
  { id: 'bench', path: '/', place: { name: 'Bench', icon: 'bench' }, pictured: ['phone'] },
  { id: 'things', path: '/things', place: { name: 'Things', icon: 'things' }, pictured: ['wide'] },
  { id: 'yarn', path: '/yarn', place: { name: 'Yarn box', icon: 'yarn' }, pictured: ['wide'] },
  { id: 'ledger', path: '/ledger', place: { name: 'Ledger', icon: 'ledger' }, pictured: ['phone'] },
  { id: 'settings', path: '/settings', place: { name: 'Settings', icon: 'settings' }, pictured: ['phone'] },
  { id: 'new', path: '/new', alone: true, pictured: ['phone'] },
  { id: 'open', path: '/open', alone: true },
  { id: 'stitches', path: '/stitches' },
  { id: 'tables', path: '/tables' },
  { id: 'days', path: '/days', pictured: ['wide'] },
  { id: 'batch', path: '/batch', of: 'batches', pictured: ['phone'] },
  { id: 'plan', path: '/plan', of: 'plans', pictured: ['phone', 'wide'] },
  { id: 'sheet', path: '/sheet', of: 'plans', alone: true, pictured: ['phone'] },
  { id: 'ways', path: '/ways', of: 'plans', alone: true, pictured: ['phone'] },
  { id: 'make', path: '/make', of: 'makes', alone: true, pictured: ['phone'] },
];

/** Whether a path is that of a screen which has the page to itself. */
export const isAlone = (at: string): boolean =>
  SCREENS.some(({ path, of, alone }) => alone && (of ? at.startsWith(`${path}/`) : at === path));
