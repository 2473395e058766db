import type { ClothRole } from '../parts';

/** Tints of sections by day and on paper: light enough for words on them, and told apart in grey. */
export const CLOTH_TINTS: Readonly<Record<ClothRole, string>> = {
  front: '#DBEAE4',
  back: '#EBE4CF',
  turn: '#CFDDE9',
  flap: '#EDD9DC',
  base: '#E2DCEB',
  wall: '#DBEAE4',
  pocket: '#D9E6CF',
  span: '#EBE4CF',
};

/** Of a piece's second colour, its third, and so on. */
export const YARN_TINTS: readonly string[] = ['#B9D3E4', '#F0D5A0', '#E6BFCB', '#C3D3A0'];
