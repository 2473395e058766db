import { lightness, mixed } from '../../craft/fabric';

/** One yarn as light falls on it: its gaps, its shaded side, itself, and where it shines. */
export type Tone = 'deep' | 'shaded' | 'body' | 'light';

export type Tones = Readonly<Record<Tone, string>>;

/** What is not said to be of any colour: a quiet undyed wool. */
export const UNDYED = '#DDD2BC';

/** What lies in shadow is darker by this. */
export const SHADOW = '#14191B';

const BLACK = '#121418';
const WHITE = '#FFFFFF';

/** Yarn no lighter than this is lifted, so that its stitches are still seen, L* (ours, by eye). */
const DARK_BELOW = 30;

const known = new Map<string, Tones>();

/**
 * The tones of a yarn. Dark yarn is told by its shine, light yarn by its shadows.
 *
 * @param hex of six digits
 */
export function tonesOf(hex: string): Tones {
  const before = known.get(hex);
  if (before) return before;
  const isDark = lightness(hex) < DARK_BELOW;
  const tones = isDark
    ? { deep: mixed(hex, BLACK, 0.72), shaded: hex, body: mixed(hex, WHITE, 0.1), light: mixed(hex, WHITE, 0.42) }
    : { deep: mixed(hex, BLACK, 0.5), shaded: mixed(hex, BLACK, 0.2), body: hex, light: mixed(hex, WHITE, 0.5) };
  known.set(hex, tones);
  return tones;
}
