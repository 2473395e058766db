/**
 * What a thing, what carries it, a shape or a fitting may bring with it (handbook 9). Each has a caution; a new one is a
 * line here and a caution that names it.
 */
export const HAZARDS = [
  'cord',
  'small-part',
  'magnet',
  'glue',
  'point',
  'bottle',
  'charging',
  'equipment',
  'above-sleepers',
  'long-work',
] as const;

export type Hazard = (typeof HAZARDS)[number];
