import type { ClothRole } from '@keep-snug/core';
import { CLOTH_TINTS, YARN_TINTS } from '@keep-snug/core/drawn';
import type { ThemeName } from '@/data/settings';

/** Colours by role. Every theme fills the same roles; text roles keep 4.5:1 and marks 3:1 on chalk and surface. */
export interface Colours {
  ink: string;
  faint: string;
  chalk: string;
  surface: string;
  line: string;
  tape: string;
  tapeInk: string;
  sea: string;
  onSea: string;
  lichen: string;
  rowan: string;
  rowanWash: string;
  thread: string;
  /** The large dark target in Make, and what is written on it. */
  slab: string;
  onSlab: string;
  onSlabFaint: string;
  cloth: Readonly<Record<ClothRole, string>>;
  /** Tints of the second colour of a piece, its third, and so on; the first has its section's own. */
  yarns: readonly string[];
  hatch: string;
}

export const COLOURS: Readonly<Record<ThemeName, Colours>> = {
  light: {
    ink: '#17262E',
    faint: '#4F5F66',
    chalk: '#F4F6F2',
    surface: '#FFFFFF',
    line: '#C6CFCA',
    tape: '#F0C02C',
    tapeInk: '#17262E',
    sea: '#1F6783',
    onSea: '#FFFFFF',
    lichen: '#2F6A48',
    rowan: '#B3362B',
    rowanWash: '#FBF1EF',
    thread: '#7D4D91',
    slab: '#17262E',
    onSlab: '#FFFFFF',
    onSlabFaint: '#B9C7C3',
    cloth: CLOTH_TINTS,
    yarns: YARN_TINTS,
    hatch: '#17262E',
  },
  dark: {
    ink: '#E9EEEA',
    faint: '#A9B8B6',
    chalk: '#14191B',
    surface: '#1D2528',
    line: '#3A464A',
    tape: '#F0C02C',
    tapeInk: '#17262E',
    sea: '#83C8E2',
    onSea: '#10242D',
    lichen: '#8CCBA5',
    rowan: '#F3958A',
    rowanWash: '#33211F',
    thread: '#CFACDD',
    slab: '#0B0F11',
    onSlab: '#FFFFFF',
    onSlabFaint: '#A9B8B6',
    cloth: {
      front: '#24423A',
      back: '#454028',
      turn: '#2B3F50',
      flap: '#4B3037',
      base: '#3A3350',
      wall: '#24423A',
      pocket: '#31462A',
      span: '#454028',
    },
    yarns: ['#2B4D66', '#5C4B20', '#5E3044', '#42551F'],
    hatch: '#E9EEEA',
  },
  lamp: {
    ink: '#F1DFC8',
    faint: '#C2AB90',
    chalk: '#1D1611',
    surface: '#271E17',
    line: '#4A3B2E',
    tape: '#D9A441',
    tapeInk: '#1D1611',
    sea: '#E3B77E',
    onSea: '#241A10',
    lichen: '#B5C58D',
    rowan: '#EE9A7D',
    rowanWash: '#38221A',
    thread: '#D9B0B8',
    slab: '#120D09',
    onSlab: '#F1DFC8',
    onSlabFaint: '#C2AB90',
    cloth: {
      front: '#3B3A26',
      back: '#47371F',
      turn: '#3A3330',
      flap: '#4A2D26',
      base: '#42323A',
      wall: '#3B3A26',
      pocket: '#3D4024',
      span: '#47371F',
    },
    yarns: ['#5C4526', '#54302B', '#4B4C22', '#44344A'],
    hatch: '#F1DFC8',
  },
};
