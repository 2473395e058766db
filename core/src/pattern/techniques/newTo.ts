import { stitchDefinition } from '../../craft/fabric';
import type { Schools } from '..';
import type { Technique } from './definition';
import { techniquesIn } from './links';

/** Whether a swatch can be made to practise it by: a stitch of rows, or what has a way of its own. */
export function canBePractised({ stitch, practice }: Technique): boolean {
  if (practice) return true;
  const definition = stitch === undefined ? undefined : stitchDefinition(stitch);
  return definition !== undefined && !definition.wantsSwatch;
}

/**
 * What of a pattern wants practice and was not done yet: of what it asks for, what is not for a first piece and can be tried on
 * a swatch (ours).
 *
 * @param texts of its steps, in the reader's terms
 * @param known the techniques of what was ticked so far, by id
 */
export function newTo(texts: readonly string[], known: ReadonlySet<string>, terms: Schools['terms']): Technique[] {
  return techniquesIn(texts, terms).filter(
    (one) => one.level?.is === 'intermediate' && canBePractised(one) && !known.has(one.id),
  );
}
