import type { Cloth, ClothRole, CutPart, CutRow, DrawnRound, Hue, Part, RowBand, RowLines, Run, View } from './parts';

/** What colours look like. */
interface Hues {
  /** How a colour looks; nothing where that is not known. */
  hexOf: (colour: string) => string | undefined;
  /** What is not said to be of another colour. */
  main: string;
  /** The colours of the first piece’s rows, for a floor that is worked from its middle outwards. */
  first: readonly (string | undefined)[];
  /** What the piece that shows a section is in throughout, where it says so of itself. */
  ofRole: (role: ClothRole) => string | undefined;
  /** Of a yarn that repeats: how each stitch of a row looks, from the left. */
  stitchesOf?: (row: number) => readonly string[] | undefined;
}

/** Parts that are no yarn. */
const BARE: readonly Part['type'][] = ['fold', 'thing', 'dimension', 'button', 'words'];

/** Views in the colours of their yarns. */
export const huedViews = (views: readonly View[], hues: Hues): View[] =>
  views.map((view) => ({ ...view, parts: view.parts.map((part) => huedPart(part, hues)) }));

function huedPart(part: Part, hues: Hues): Part {
  if (BARE.includes(part.type)) return part;
  if (part.type === 'cut') return huedCut(part, hues);
  const own = 'role' in part && !part.colour ? hues.ofRole(part.role) : undefined;
  const hued = withHex(own ? inOneColour(part, own) : part, hues);
  return hued.type === 'cloth' ? { ...hued, rows: huedRows(hued, hues) } : hued;
}

/** What a cut meets says its own colours; a row of a yarn that repeats is met in as many as lie in its way. */
function huedCut(part: CutPart, hues: Hues): CutPart {
  const rows = part.rows.flatMap((row) => {
    const own = row.own ? undefined : hues.ofRole(row.role);
    const met = own ? { ...row, colour: own } : row;
    return metRuns(met, hues) ?? [withHex(met, hues)];
  });
  return { ...withHex(part, hues), rows };
}

function metRuns(row: CutRow, { stitchesOf }: Hues): CutRow[] | undefined {
  const stitches = row.colour ? undefined : stitchesOf?.(row.row);
  if (!stitches) return undefined;
  const at = (share: number) => Math.min(stitches.length - 1, Math.floor(share * stitches.length));
  const met = stitches.slice(at(row.share[0]), at(row.share[1]) + 1);
  return met.map((hex) => ({ ...row, mm: row.mm / met.length, hex }));
}

/** A part in one colour throughout, whatever its rows would have been without it. */
function inOneColour(part: Part, colour: string): Part {
  if (part.type !== 'cloth') return { ...part, colour };
  const { bands, rounds, ...rows } = part.rows;
  const plain = <T extends Hue & { tint?: number; own?: true }>({ tint: _tint, ...one }: T) =>
    one.own ? one : { ...one, colour };
  return {
    ...part,
    colour,
    rows: { ...rows, ...(bands ? { bands: bands.map(plain) } : {}), ...(rounds ? { rounds: rounds.map(plain) } : {}) },
  };
}

function withHex<T extends Hue>(one: T, { hexOf, main }: Hues): T {
  const hex = hexOf(one.colour ?? main);
  return hex ? { ...one, hex } : one;
}

function huedRows(cloth: Cloth, hues: Hues): RowLines {
  const { bands, rounds, ...rows } = cloth.rows;
  // what has a colour of its own has it throughout
  const own = cloth.colour ? { ...hues, main: cloth.colour } : hues;
  return {
    ...rows,
    ...(bands ? { bands: bands.map((band) => withRuns(withHex(band, own), rows.stitches, hues)) } : {}),
    ...(rounds
      ? { rounds: floorRounds(cloth, rounds, hues).map((round) => roundRuns(withHex(round, own), hues)) }
      : {}),
  };
}

/** A row of a yarn that repeats, as many stitches of it as are seen: of a tube its front. */
function withRuns(band: RowBand, seen: number, { stitchesOf }: Hues): RowBand {
  const stitches = band.row === undefined || band.colour ? undefined : stitchesOf?.(band.row);
  return stitches ? { ...band, runs: runsIn(stitches.slice(0, Math.max(1, Math.round(seen)))) } : band;
}

/** A round that is seen whole. */
function roundRuns(round: DrawnRound, { stitchesOf }: Hues): DrawnRound {
  const stitches = round.row === undefined || round.colour ? undefined : stitchesOf?.(round.row);
  return stitches ? { ...round, runs: runsIn(stitches) } : round;
}

function runsIn(stitches: readonly string[]): Run[] {
  const runs: Run[] = [];
  for (const hex of stitches) {
    const last = runs.at(-1);
    if (last?.hex === hex) last.stitches += 1;
    else runs.push({ hex, stitches: 1 });
  }
  return runs;
}

/** A floor is the first rounds of its piece. */
function floorRounds({ role, rows }: Cloth, rounds: readonly DrawnRound[], { first }: Hues): readonly DrawnRound[] {
  if (role !== 'base' || rows.stacked !== 'out') return rounds;
  return rounds.map((round, index) => {
    const colour = round.colour ?? first[index];
    return colour ? { ...round, colour } : round;
  });
}
