/** What the letters of formulas stand for, as the handbook of the craft writes them. */
const NAMES: Readonly<Record<string, string>> = {
  W: 'width of the item',
  H: 'height of the item',
  D: 'depth of the item',
  r: 'edge radius',
  g: 'item circumference',
  C: 'round the middle of the fabric',
  F: 'one face between its seams',
  t: 'thickness of the fabric',
  w: 'width of a stitch',
  h: 'height of a row',
  wc: 'foundation chain',
  d: 'thickness of the yarn',
  k: 'thickness factor of the stitch',
  f: 'factor of the stitch',
  n: 'stitches in a row',
  e: 'ease as a share',
  s: 'stretch',
  take: 'stitch lost to each seam',
  b: 'across the base',
  p: 'rounds of a pocket',
  c: 'clusters in the strip',
  a: 'across the grip',
};

/** A term's name with what it stands for, where it is a letter. */
export function termName(name: string): string {
  return NAMES[name] ? `${name}, ${NAMES[name]}` : name;
}
