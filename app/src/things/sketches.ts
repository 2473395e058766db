/** How a kind of thing is measured, drawn in a box of 100 by 100: the thing, and for each measure the way the tape takes. */
export interface Sketch {
  outline: string;
  tape: Readonly<Record<string, string>>;
}

/** By kind of thing or carrier; within a list, measures go by `list.measure`. Drawn by our own hand. */
export const SKETCHES: Readonly<Record<string, Sketch>> = {
  slab: {
    outline: 'M18 30H66V90H18ZM18 30L34 14H82L66 30M82 14V74L66 90',
    tape: {
      width: 'M18 90H66',
      height: 'M18 30V90',
      depth: 'M66 90L82 74',
      edgeRadius: 'M18 46Q18 30 34 30',
    },
  },
  spectacles: {
    outline:
      'M30 8H58Q66 8 66 16V82Q66 90 58 90H30Q22 90 22 82V16Q22 8 30 8ZM31 30a13 13 0 1 0 26 0a13 13 0 1 0 -26 0M31 68a13 13 0 1 0 26 0a13 13 0 1 0 -26 0M66 90L80 76V20Q80 14 74 12',
    tape: {
      width: 'M22 90H66',
      height: 'M22 8V90',
      depth: 'M66 90L80 76',
      girth: 'M22 49Q44 60 66 49L80 38',
    },
  },
  cylinder: {
    outline: 'M26 42V86Q26 93 46 93Q66 93 66 86V42Q66 32 57 25V10Q46 13 35 10V25Q26 32 26 42ZM26 42Q46 50 66 42',
    tape: {
      height: 'M78 10V93',
      diameter: 'M26 60H66',
      girth: 'M26 60Q46 71 66 60Q46 52 26 60',
      shoulderHeight: 'M78 42V93',
      neckDiameter: 'M35 17H57',
      'stations.height': 'M78 70V93',
      'stations.diameter': 'M26 70H66',
    },
  },
  tools: {
    outline: 'M43 92V44Q43 40 45 34L47 12Q50 5 53 12L55 34Q57 40 57 44V92Q50 97 43 92Z',
    tape: { 'tools.length': 'M70 8V94', 'tools.grip': 'M38 66H62', 'tools.tip': 'M40 16H60' },
  },
  loose: {
    outline: 'M22 30H76V90H22ZM22 30Q49 18 76 30M36 30V40M49 30V44M62 30V40',
    tape: { width: 'M22 90H76', height: 'M22 30V90' },
  },
  bar: {
    outline: 'M36 30a14 14 0 1 0 28 0a14 14 0 1 0 -28 0M31 66V30a19 19 0 0 1 38 0V78',
    tape: {
      diameter: 'M36 30H64',
      width: 'M36 30H64',
      thickness: 'M50 16V44',
      dropFront: 'M80 30V78',
      dropBack: 'M20 30V66',
    },
  },
};
