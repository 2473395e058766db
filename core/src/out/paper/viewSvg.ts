import type { View } from '../../drawing';
import { clearOfBorders, layOut, MARGIN, mirrored, roomFor } from '../../drawing/drawn';
import type { Schools } from '../../pattern';
import { element, svgFile, words } from './elements';
import { INKS, LETTERS } from './inks';
import { paintedView } from './painted';

/** Units of a picture in one mm at its true size: lines and letters keep the sizes they have on screen. */
const TRUE_SCALE = 96 / 25.4;

/** A drawing fits a sheet of A4 or Letter lying on its side, between margins, mm. */
const FIT = { width: 250, height: 180 } as const;

/** Of the line its title stands in, units of the picture. */
const TITLE = 30;
/** Of a letter of the title, about, units of the picture. */
const TITLE_LETTER = 9;

/** A mm of the piece for a mm on paper, or as large as one sheet, or a box of so many mm, takes it. */
type DrawingSize = 'true' | 'fit' | { width: number; height: number };

/** As who reads it sees it: in their unit, mirrored for the left hand, its borders clear of its lengths. */
export const seenBy = (view: View, hand: Schools['hand']): View =>
  clearOfBorders(hand === 'left' ? mirrored(view) : view);

/**
 * One view as an SVG file, with its title, where it has one, and what it shows in words inside.
 *
 * @returns SVG text, its size given in mm
 * @source handbook 11
 */
export function viewSvg(
  given: View,
  title: string,
  { units, hand }: Pick<Schools, 'units' | 'hand'>,
  size: DrawingSize,
): string {
  const view = seenBy(given, hand);
  const name = title === '' ? view.name : `${title}: ${view.name}`;
  const box = size === 'true' ? trueBox(view, name) : size === 'fit' ? FIT : size;
  const [width, height] = [box.width * TRUE_SCALE, box.height * TRUE_SCALE];
  const at = layOut(view, width, height - TITLE);
  const drawn = element(
    'g',
    { transform: `translate(${at.x} ${at.y + TITLE})` },
    paintedView(view, { scale: at.scale, units, mirrored: hand === 'left' }),
  );
  const written = words(name, { x: 14, y: 24, 'font-family': LETTERS, 'font-size': 17, fill: INKS.line });
  return svgFile({ title: name, text: view.text, ...box, scale: TRUE_SCALE }, written + drawn);
}

/** The sheet on which a view lies at its true size, with room for its lengths and its title, mm. */
function trueBox(view: View, name: string): { width: number; height: number } {
  const room = roomFor(view);
  const wide = Math.max(room.width * TRUE_SCALE + MARGIN.left + MARGIN.right, name.length * TITLE_LETTER + 28);
  const high = room.height * TRUE_SCALE + MARGIN.top + MARGIN.bottom + TITLE;
  return { width: wide / TRUE_SCALE, height: high / TRUE_SCALE };
}
