import { stripeColours } from './sequences';
import { yarnOf, type YarnRun } from './yarn';
import type { FabricSpec } from './types';

/** A colour of a plan: how it looks, and what there is of it. */
interface PaletteColour {
  hex: string;
  /** The yarn it is, by name. */
  yarn?: string;
  gramsLeft?: number;
}

/** The colours of a plan by name. */
export type Palette = Readonly<Record<string, PaletteColour>>;

/** Colours as people call them, each as such a yarn usually looks (ours). */
const USUAL: Readonly<Record<string, string>> = {
  white: '#F7F5EF',
  cream: '#F1E7CF',
  oat: '#E6D8B8',
  sand: '#D9C190',
  natural: '#E9DFC7',
  beige: '#D8C8A8',
  yellow: '#E8C440',
  mustard: '#C99A2E',
  gold: '#CFA63A',
  orange: '#D9782D',
  rust: '#A8512B',
  terracotta: '#B8623F',
  red: '#B3362B',
  rowan: '#B3362B',
  cherry: '#8E2436',
  wine: '#6B2236',
  pink: '#DFA3B0',
  rose: '#C9798B',
  coral: '#DD7F6B',
  purple: '#74508C',
  plum: '#5F3558',
  lilac: '#B7A3CC',
  heather: '#8D7BA0',
  blue: '#35618E',
  navy: '#22324F',
  sky: '#8FB9D6',
  sea: '#1F6783',
  teal: '#23706B',
  mint: '#A9CFB5',
  green: '#4C7A45',
  kelp: '#56663A',
  moss: '#6E7B3B',
  olive: '#70702F',
  brown: '#6E4A30',
  bark: '#5A4132',
  grey: '#8A8F90',
  gray: '#8A8F90',
  slate: '#4A5A68',
  stone: '#A7A294',
  charcoal: '#3A3F42',
  black: '#232323',
};

/** How a colour of this name usually looks; nothing where the name is no colour’s. */
export function usualHex(name: string): string | undefined {
  const words = name.toLowerCase().split(/[^a-z]+/);
  const known = words.filter((word) => USUAL[word]).at(-1);
  if (!known) return undefined;
  const hex = USUAL[known]!;
  if (words.includes('light') || words.includes('pale')) return mixed(hex, '#FFFFFF', 0.4);
  return words.includes('dark') || words.includes('deep') ? mixed(hex, '#000000', 0.35) : hex;
}

const parts = (hex: string): number[] => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));

/** Two colours mixed, a share of the other in the first (ours: by their sRGB parts). */
export function mixed(hex: string, other: string, share: number): string {
  const both = parts(hex).map((part, index) => Math.round(part + share * (parts(other)[index]! - part)));
  return `#${both.map((part) => part.toString(16).padStart(2, '0')).join('')}`;
}

/** What is not said to be of another colour, in words. */
export const mainColour = (spec: FabricSpec): string => {
  const { colour, name } = yarnOf(spec);
  return stripeColours(spec)[0] ?? colour ?? name ?? 'the main colour';
};

/**
 * How a colour of a plan looks: as its palette has it, else as its yarn does, else as such a name usually looks; nothing where
 * none of them says.
 */
export function hexOf(palette: Palette | undefined, spec: FabricSpec, colour: string): string | undefined {
  const said = palette?.[colour]?.hex;
  if (said) return said;
  const { hex, colour: own } = yarnOf(spec);
  const isMain = colour === mainColour(spec);
  return (isMain ? hex : undefined) ?? usualHex(colour) ?? (isMain && own ? usualHex(own) : undefined);
}

/** Runs that say nothing of their colour look so, one after the other: apart in grey as well (ours). */
const RUN_HEXES = ['#1F4E5F', '#E9D8A6', '#A63D2F', '#B7D3C8', '#4F6D3A', '#F2B84B', '#6B4A7D', '#F4F1EA'];

/** How one run of a yarn looks: as it says, else as its name usually does, else apart from its neighbours. */
export const runHex = (runs: readonly YarnRun[], run: number): string =>
  runs[run]!.hex ?? usualHex(runs[run]!.name) ?? RUN_HEXES[run % RUN_HEXES.length]!;

/** How light a colour is, 0 black to 100 white (law: CIE 1976 L* of the sRGB colour). */
export function lightness(hex: string): number {
  const [r, g, b] = parts(hex).map((part) => {
    const share = part / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  const y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
  return y <= 0.008856 ? 903.3 * y : 116 * Math.cbrt(y) - 16;
}

/** Neighbours nearer to each other in lightness are hard to tell apart without their hue (prior, ours). */
export const ALIKE_WITHIN = 12;
