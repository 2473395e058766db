import { fileNameOf, type Plan, type Reading, type Worked } from '@keep-snug/core';
import { PATTERN_FILES, patternFile, type PatternFile } from '@keep-snug/core/written';
import type { PaperAsk, SheetKind } from '@keep-snug/core/formats';
import { cuttingSheet, outlineOf, trueSizeSvg, viewSvg, type TrueSize } from '@keep-snug/core/paper';
import { portraitPicture } from '@/drawing/portrait/Portrait';

/** What leaves is a plan as whoever holds this device reads it. */
export interface Leaving {
  plan: Plan;
  worked: Worked;
  reading: Reading;
  hand: 'left' | 'right';
}

/** A kind of file something leaves as: made here, or put on paper by the server. */
export type OutKind = { id: string; name: string; file: string } & (
  { type: string; text: () => string | Promise<string> } | { ask: Omit<PaperAsk, 'paper'> }
);

/** Something that can leave, and as what. */
export interface Out {
  id: string;
  name: string;
  kinds: OutKind[];
}

const SVG = 'image/svg+xml';

/** All that can leave of a plan. */
export function outsOf(leaving: Leaving): Out[] {
  const { worked, reading, hand } = leaving;
  const lining = cuttingSheet(worked, reading.units);
  const [flat] = worked.views;
  return [
    patternOut(leaving),
    portraitOut(leaving),
    ...worked.views.map((view): Out => {
      const drawn = (size: 'fit' | 'true', name: string) => ({
        id: size,
        name,
        file: fileNameOf(`${worked.title} ${view.name} ${size === 'true' ? 'true size' : ''}`, 'svg'),
        type: SVG,
        text: () => viewSvg(view, worked.title, { units: reading.units, hand }, size),
      });
      return {
        id: `view ${view.id}`,
        name: `Drawing: ${view.name.toLowerCase()}`,
        kinds: [drawn('fit', 'SVG for one page'), drawn('true', 'SVG at true size')],
      };
    }),
    ...(flat ? [trueSizeOut('outline', 'Outline at true size', outlineOf(flat, worked.title, hand), leaving)] : []),
    ...(lining ? [trueSizeOut('lining', 'Lining to cut', lining, leaving)] : []),
  ];
}

function onPaper(of: SheetKind, { plan, reading, hand }: Leaving): OutKind {
  const { terms, units, voice } = reading;
  return {
    id: 'pdf',
    name: 'PDF',
    file: fileNameOf(`${plan.title} ${of}`, 'pdf'),
    ask: { plan, of, style: voice, terms, units, hand },
  };
}

function patternOut(leaving: Leaving): Out {
  const { plan, worked, reading } = leaving;
  const kinds = (Object.keys(PATTERN_FILES) as PatternFile[]).map((as) => ({
    id: as,
    name: PATTERN_FILES[as].name,
    file: fileNameOf(plan.title, as),
    type: PATTERN_FILES[as].type,
    text: () => patternFile(as, plan, worked, reading),
  }));
  return { id: 'pattern', name: 'Pattern', kinds: [onPaper('pattern', leaving), ...kinds] };
}

const SIDES = [
  { id: 'front', name: 'Front' },
  { id: 'back', name: 'Back' },
] as const;

/** The finished piece from either side. */
function portraitOut({ plan, worked, hand }: Leaving): Out {
  const kinds = SIDES.map(({ id, name }) => ({
    id,
    name: `SVG, ${name.toLowerCase()}`,
    file: fileNameOf(`${plan.title} ${name}`, 'svg'),
    type: SVG,
    text: () => portraitPicture(plan, worked, hand, id, 1200),
  }));
  return { id: 'portrait', name: 'Picture: finished', kinds };
}

function trueSizeOut(of: SheetKind, name: string, drawing: TrueSize, leaving: Leaving): Out {
  const whole = {
    id: 'svg',
    name: 'SVG in one piece',
    file: fileNameOf(`${leaving.plan.title} ${of}`, 'svg'),
    type: SVG,
    text: () => trueSizeSvg(drawing),
  };
  return { id: of, name, kinds: [onPaper(of, leaving), whole] };
}
