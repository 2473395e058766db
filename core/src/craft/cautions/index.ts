import type { Hazard } from '../things';
import { aboveSleepers } from './aboveSleepers';
import { bottles } from './bottles';
import { charging } from './charging';
import { cords } from './cords';
import type { CautionDefinition } from './definition';
import { glue } from './glue';
import { longSittings } from './longSittings';
import { magnets } from './magnets';
import { onEquipment } from './onEquipment';
import { points } from './points';
import { smallParts } from './smallParts';

export * from './definition';

/** Every caution (handbook 9). A new one is a file of its own and a line here. */
export const CAUTIONS: readonly CautionDefinition[] = [
  cords,
  smallParts,
  magnets,
  onEquipment,
  bottles,
  points,
  charging,
  glue,
  longSittings,
  aboveSleepers,
];

/** A caution that applies, and whether it was set aside on screen; the sheet prints it either way. */
export interface Caution {
  id: string;
  text: string;
  setAside: boolean;
}

/**
 * The cautions of a plan, each once.
 * @param hazards what its thing, carrier, shape and fittings bring with them
 * @param setAside ids of those that were read
 */
export function cautionsOf(hazards: ReadonlySet<Hazard>, setAside: readonly string[] = []): Caution[] {
  return CAUTIONS.filter(({ hazard }) => hazards.has(hazard)).map(({ id, text }) => ({
    id,
    text,
    setAside: setAside.includes(id),
  }));
}
