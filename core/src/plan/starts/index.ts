import { armCaddy } from './armCaddy';
import { beltPouch } from './beltPouch';
import { bottleSling } from './bottleSling';
import { bottleTote } from './bottleTote';
import type { StartDefinition } from './definition';
import { giftBag } from './giftBag';
import { glassesCase } from './glassesCase';
import { glassesSleeve } from './glassesSleeve';
import { groupPurse } from './groupPurse';
import { hookCase } from './hookCase';
import { notebookWrap } from './notebookWrap';
import { phonePouch } from './phonePouch';
import { shoppingTote } from './shoppingTote';
import { soapBag } from './soapBag';
import { tissueCover } from './tissueCover';

export type { StartAsk, StartDefinition } from './definition';
export { askedField, readStart, usualText, type ReadStart } from './read';

/** What people make, as it stands on the shelf. A new one is a file of its own and a line here. */
export const STARTS: readonly StartDefinition[] = [
  phonePouch,
  glassesCase,
  glassesSleeve,
  hookCase,
  bottleSling,
  bottleTote,
  giftBag,
  shoppingTote,
  notebookWrap,
  armCaddy,
  tissueCover,
  soapBag,
  beltPouch,
  groupPurse,
];

/** The start of an id; undefined where there is none. */
export const startDefinition = (id: string): StartDefinition | undefined => STARTS.find((start) => start.id === id);
