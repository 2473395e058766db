import type { ChanceInputs } from '../craft/fit';
import type { WorkedOut } from './types';

/** What the chance of a plan worked out is drawn from. */
export function chanceInputs({ thing, fit, built, placed }: WorkedOut): ChanceInputs {
  const main = built.pieces[0]!.fabric;
  const { wander, ...even } = built.model;
  return {
    // what has no shape of its own gives way where it is narrow
    model: wander && thing.profile !== 'given' ? { ...even, wander } : even,
    fit: fit.definition,
    worked: built.pieces[0]!.worked,
    figures: {
      g: thing.girth,
      H: thing.height,
      D: thing.depth,
      w: main.stitchWidth,
      h: main.rowHeight,
      t: main.thickness,
    },
    cover: fit.coverEase.value,
    wants: [...(built.model.wants ?? []), ...placed.flatMap(({ wants }) => wants ?? [])],
    rooms: [...(built.model.rooms ?? []), ...placed.flatMap(({ rooms }) => rooms ?? [])],
  };
}
