import type { Colours } from '@/theme/colours';
import { FAMILY } from '@/theme/type';
import { LABEL_SIZE } from '@keep-snug/core/drawn';

/**
 * What every part of a drawing is drawn with. Parts are functions that give elements, not components: a drawing has
 * dozens of them, and all are drawn anew within a frame while a hand moves.
 */
export interface Ink {
  /** Px per mm. */
  scale: number;
  colours: Colours;
  /** Whether the drawing is the left hand's. */
  mirrored?: boolean;
}

/** How words in a drawing are written. */
export const lettering = ({ ink }: Colours) =>
  ({ fontFamily: FAMILY.strong, fontSize: LABEL_SIZE, fill: ink, textAnchor: 'middle' }) as const;
