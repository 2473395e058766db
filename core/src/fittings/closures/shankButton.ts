import { gapOf } from '../../craft/fabric';
import { chosen, derive, type Advice } from '../../base/figure';
import { formatNumber, mmToken, typedToken } from '../../base/units';
import { acrossFlap, buttonArea } from './buttonLoop';
import { BUTTON_FIELDS, flapDown, frontOf, IN_FROM, refuse, sewnWhere } from '../common';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';

/** From the flap’s edge up to the hole that holds the button, in rows (ours). */
const ABOVE_ROWS = 1.5;

/**
 * A button on a shank that passes through a space of the flap’s own fabric: edge on it is `2 (diameter + thickness)` round, the
 * space `2 (gap + h)`, and as much more as it stretches (handbook 6).
 */
function place(context: FittingContext): Placed {
  const { built, fabric, options, path } = context;
  const flap = built.flap!;
  const face = frontOf(built);
  const diameter = chosen(Number(options.buttonMm), 'mm', 'button');
  const thickness = chosen(Number(options.buttonThicknessMm), 'mm', 'button');
  const { share, moved } = acrossFlap(context, diameter.value);
  const { value: h } = fabric.rowHeight;
  const room = 2 * (gapOf(fabric) + h) * (1 + fabric.stitch.factors.stretchAcross);
  const up = chosen(ABOVE_ROWS * h, 'mm', 'up to the space that holds it');
  const below = derive(
    'mm',
    'button below the front’s top = edge − 1.5 rows',
    { edge: flap.edgeBelowFrontTop, up },
    (v) => v.edge - v.up,
  );
  if (below.value < 0)
    refuse(
      `${path}.kind`,
      `The space that holds the button lies ${mmToken(up.value)} above the flap’s edge, and the flap reaches ${mmToken(Math.max(0, flap.edgeBelowFrontTop.value))} down the front. Make the flap longer.`,
    );
  const where = moved ?? 'at the middle';
  return {
    figures: { below },
    place: `${where}, {mm:${formatNumber(below.value)}} below the front’s top edge, through a space of the flap`,
    rows: [],
    steps: [
      {
        id: 'sew-button',
        section: 'closing',
        kind: 'closure',
        does: sewnWhere(
          'button',
          {
            says: `Put the item in, close the flap and mark through the space ${where}, {at}.`,
            at: [
              {
                on: 'flap-edge',
                above: up.value,
                of: { wide: flap.width.value, high: flap.edgeBelowFrontTop.value },
              },
            ],
          },
          'sew the button on there by its shank, through the front layer only.',
        ),
        check: {
          look: 'Does the button go through the space, edge on, and hold?',
          repair: 'Move it to the next space, or use a button a little larger.',
        },
        minutes: 8,
      },
    ],
    parts: {
      folded: [
        {
          type: 'button',
          x: face.x + share * flap.width.value,
          y: Math.max(0, flapDown(built) - up.value),
          diameter: diameter.value,
        },
      ],
    },
    advice: tooClose(diameter.value, room / 2 - thickness.value, path),
    areas: [buttonArea(share * flap.width.value, below.value, diameter.value)],
    notions: [{ name: 'button on a shank', size: typedToken(diameter.value), count: 1 }],
  };
}

/** A fabric whose spaces do not let the button through. */
function tooClose(diameter: number, most: number, path: string): Advice[] {
  if (diameter <= most) return [];
  return [
    {
      id: 'button-too-large',
      severity: 'warning',
      text: `A button of ${typedToken(diameter)} does not pass through this fabric: its spaces let ${mmToken(Math.max(0, most))} through.`,
      repair: 'Use a smaller button, an open stitch, or a button loop.',
      at: `${path}.buttonMm`,
    },
  ];
}

export const shankButton: FittingDefinition = {
  id: 'shank-button',
  holdsIn: true,
  name: 'Button through the fabric',
  summary: 'A button on a shank, through a space of an open flap: no loop, no hole to work.',
  asks: ['turn-over'],
  because: 'It comes through a flap that hangs over the front.',
  needs: 'flap',
  closesFlap: true,
  hazards: ['small-part'],
  figures: { below: 'Below the front’s top' },
  options: [...BUTTON_FIELDS, { ...IN_FROM, help: 'To its middle. Left empty: in the middle.' }],
  place,
};
