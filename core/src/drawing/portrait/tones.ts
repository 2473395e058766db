/** One yarn as light falls on it: its gaps, its shaded side, itself, and where it shines. */
export type Tone = 'deep' | 'shaded' | 'body' | 'light';

export type Tones = Readonly<Record<Tone, string>>;

/** What is not said to be of any colour: a quiet undyed wool. */
export const UNDYED = '#DDD2BC';

type Rgb = readonly [number, number, number];

const BLACK: Rgb = [18, 20, 24];
const WHITE: Rgb = [255, 255, 255];

/** Yarn darker than this is lifted, so that its stitches are still seen (ours). */
const DARK_BELOW = 70;

const known = new Map<string, Tones>();

/**
 * The tones of a yarn. Dark yarn is told by its shine, light yarn by its shadows.
 *
 * @param hex of six digits
 */
export function tonesOf(hex: string): Tones {
  const before = known.get(hex);
  if (before) return before;
  const rgb = rgbOf(hex);
  const isDark = lightness(rgb) < DARK_BELOW;
  const tones = isDark
    ? {
        deep: mixed(rgb, BLACK, 0.72),
        shaded: hexFrom(rgb),
        body: mixed(rgb, WHITE, 0.1),
        light: mixed(rgb, WHITE, 0.42),
      }
    : {
        deep: mixed(rgb, BLACK, 0.5),
        shaded: mixed(rgb, BLACK, 0.2),
        body: hexFrom(rgb),
        light: mixed(rgb, WHITE, 0.5),
      };
  known.set(hex, tones);
  return tones;
}

const rgbOf = (hex: string): Rgb => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as unknown as Rgb;

const hexFrom = (rgb: readonly number[]): string =>
  `#${rgb.map((one) => Math.round(one).toString(16).padStart(2, '0')).join('')}`;

const mixed = (from: Rgb, to: Rgb, share: number): string =>
  hexFrom(from.map((one, index) => one + (to[index]! - one) * share));

const lightness = ([r, g, b]: Rgb): number => 0.3 * r + 0.59 * g + 0.11 * b;
