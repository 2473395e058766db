import { chosen, derive } from '../../base/figure';
import { formatNumber, typedToken } from '../../base/units';
import { acrossFlap, buttonArea, loopLength, refuseLow } from './buttonLoop';
import { BUTTON_FIELDS, faceOf, flapDown, frontOf, IN_FROM, sewnWhere } from '../common';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';

/** Of each end of the cord, what is sewn to the flap, mm (prior, ours). */
const SEWN_MM = 12;

/** A loop of elastic cord on the flap’s edge in place of one of chain: as long, and its ends besides (handbook 6). */
function place(context: FittingContext): Placed {
  const { built, options } = context;
  const flap = built.flap!;
  const face = frontOf(built);
  const diameter = chosen(Number(options.buttonMm), 'mm', 'button');
  const thickness = chosen(Number(options.buttonThicknessMm), 'mm', 'button');
  const { share, moved } = acrossFlap(context, diameter.value);
  const length = loopLength(diameter, thickness);
  const ends = chosen(2 * SEWN_MM, 'mm', 'sewn to the flap');
  const cut = derive('mm', 'cut = loop + both ends', { length, ends }, (v) => v.length + v.ends);
  const below = derive(
    'mm',
    'button below the front’s top = edge + loop / 2',
    { edge: flap.edgeBelowFrontTop, length },
    (v) => v.edge + v.length / 2,
  );
  refuseLow(below.value + diameter.value / 2, flap, context.path);
  const where = moved ?? 'at the middle';
  const [x, y] = [face.x + share * flap.width.value, flapDown(built)];
  return {
    figures: { cut, below },
    place: `${where} of the flap’s edge; button on the front, {mm:${formatNumber(below.value)}} below its top edge`,
    rows: [],
    steps: [
      {
        id: 'sew-elastic',
        section: 'closing',
        kind: 'closure',
        does: [
          {
            do: 'sew',
            id: 'elastic',
            mm: 0,
            says: `cut {cut:${formatNumber(cut.value)}} of elastic cord, fold it in half and sew {mm:${SEWN_MM}} of both ends to the inside of the flap, ${where} of its edge, with thread.`,
          },
        ],
        check: { look: 'Do both ends hold a good pull?', repair: 'Sew over them three more times.' },
        minutes: 6,
      },
      {
        id: 'sew-button',
        section: 'closing',
        kind: 'closure',
        does: sewnWhere(
          'button',
          {
            says: 'Put the item in, close the flap and let the loop lie straight: the button’s middle comes {at}. Mark the place.',
            at: [{ on: 'front', below: below.value, of: faceOf(built) }],
          },
          'sew the button on there, through the front layer only.',
        ),
        check: {
          look: 'Does the loop pass over the button and hold it without strain?',
          repair: 'Sew the loop on again, longer or shorter.',
        },
        minutes: 8,
      },
    ],
    parts: {
      folded: [
        { type: 'button', x, y: y + length.value / 2, diameter: diameter.value },
        { type: 'loop', x, y, reach: length.value / 2, towards: 'down' },
      ],
    },
    advice: [],
    areas: [buttonArea(share * flap.width.value, below.value, diameter.value)],
    notions: [
      { name: 'button', size: typedToken(diameter.value), count: 1 },
      { name: 'elastic cord', size: `{cut:${formatNumber(cut.value)}}`, count: 1 },
    ],
  };
}

export const elasticLoop: FittingDefinition = {
  id: 'elastic-loop',
  holdsIn: true,
  name: 'Elastic loop',
  summary: 'A loop of elastic cord on the flap’s edge, and its button on the front.',
  asks: ['turn-over'],
  because: 'It sits on a flap’s edge.',
  needs: 'flap',
  closesFlap: true,
  hazards: ['small-part'],
  figures: { cut: 'Cut length', below: 'Button below the front’s top' },
  options: [...BUTTON_FIELDS, { ...IN_FROM, help: 'To its middle. Left empty: in the middle.' }],
  place,
};
