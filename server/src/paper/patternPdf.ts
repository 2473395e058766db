import {
  checkText,
  checkWord,
  type Plan,
  type Reading,
  type Worked,
  type WrittenCheck,
  type WrittenPattern,
} from '@keep-snug/core';
import { writtenPattern } from '@keep-snug/core/written';
import { planLink } from '@keep-snug/core/link';
import { viewSvg, type Paper } from '@keep-snug/core/paper';
import { portraitOf, portraitSvg } from '@keep-snug/core/portrait';
import type { Content } from 'pdfmake/interfaces';
import { drawing, HEADING, pdfOf, POINTS_PER_MM, READING } from './pdf';

interface OnPaper {
  paper: Paper;
  /** Where the code on the page opens the plan: the address of this house. */
  origin: string;
  hand: 'left' | 'right';
}

const MARGIN = 44;
const FAINT = '#4F5F66';
const LINE = '#C6CFCA';
/** What a code that a phone still reads from paper can hold, characters. */
const MOST_IN_CODE = 2300;
const CODE_SIDE = 210;

/** Between the margins, pt; Letter is the wider, so that what fits A4 fits both. */
const WIDE = 210 * POINTS_PER_MM - 2 * MARGIN;

/**
 * The written pattern as a PDF: drawings, what is needed, notes, rows, checks, cautions, and a code that opens the plan.
 *
 * @param kept the plan as it is kept, for the code
 * @param worked the plan reckoned in the reader's terms and unit
 */
export function patternPdf(kept: Plan, plan: Plan, worked: Worked, reading: Reading, on: OnPaper): Promise<Uint8Array> {
  const pattern = writtenPattern(plan, worked, reading);
  return pdfOf({
    pageSize: on.paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN + 12],
    defaultStyle: { font: READING, fontSize: 10.5, lineHeight: 1.2 },
    // whoever opens the file in the app has the whole plan, with the paper or without
    info: { title: pattern.title, creator: 'Keep Snug', keywords: planLink(kept, on.origin) },
    styles: {
      title: { font: HEADING, fontSize: 24, margin: [0, 0, 0, 2] },
      heading: { font: HEADING, fontSize: 14, margin: [0, 14, 0, 4] },
      small: { fontSize: 9, color: FAINT },
    },
    footer: (page, pages) => ({
      text: `${pattern.title}, page ${page} of ${pages}`,
      style: 'small',
      alignment: 'center',
      margin: [0, 14, 0, 0],
    }),
    content: [
      { text: pattern.title, style: 'title' },
      { text: pattern.terms, style: 'small', margin: [0, 0, 0, 8] },
      portraits(plan, worked, on.hand),
      ...pictures(worked, reading.units, on.hand),
      facts(pattern.facts),
      ...listed('Safety', pattern.safety),
      ...listed('Notes', pattern.notes),
      ...abbreviations(pattern),
      ...special(pattern),
      ...pattern.sections.flatMap(section),
      foot(kept, on.origin, pattern.made),
    ],
  });
}

/** The finished piece, closed and open, as it will lie there. */
function portraits(plan: Plan, worked: Worked, hand: OnPaper['hand']): Content {
  const { sides, paint } = portraitOf(plan, worked, hand);
  const half = (WIDE - 16) / 2;
  const shown = sides.filter(({ id }) => id === 'front' || id === 'open');
  return {
    columnGap: 16,
    margin: [0, 0, 0, 8],
    columns: shown.map((side) => {
      const svg = portraitSvg(paint(side, `${side.id}-`), { width: half, height: PORTRAIT_HIGH }, side.text);
      return { svg, width: half, fit: [half, PORTRAIT_HIGH] as [number, number] };
    }),
  };
}

/** Of a portrait, pt. */
const PORTRAIT_HIGH = 170;

/** The flat view over the whole breadth, the others beside each other below it. */
function pictures({ views }: Worked, units: Reading['units'], hand: OnPaper['hand']): Content[] {
  const [flat, ...others] = views;
  const shown = (view: Worked['views'][number], wide: number, high: number) => {
    const size = { width: wide / POINTS_PER_MM, height: high / POINTS_PER_MM };
    return drawing(viewSvg(view, '', { units, hand }, size), [wide, high]);
  };
  const half = (WIDE - 16) / 2;
  const pairs = others.flatMap((_, index) => (index % 2 === 0 ? [others.slice(index, index + 2)] : []));
  return [
    ...(flat ? [shown(flat, WIDE, 230)] : []),
    ...pairs.map((pair) => ({ columns: pair.map((view) => shown(view, half, 210)), columnGap: 16 })),
  ];
}

const facts = (list: WrittenPattern['facts']): Content => ({
  layout: 'noBorders',
  margin: [0, 8, 0, 0],
  table: {
    widths: [86, '*'],
    body: list.map(({ name, text }) => [{ text: name, bold: true }, text]),
  },
});

/** A heading with what stands under it: never the last line of a page. */
const headed = (name: string, [first, ...rest]: readonly Content[]): Content[] =>
  first === undefined ? [] : [{ stack: [{ text: name, style: 'heading' }, first], unbreakable: true }, ...rest];

const listed = (name: string, lines: readonly string[]): Content[] =>
  headed(
    name,
    lines.map((line): Content => ({ ul: [line] })),
  );

function abbreviations({ abbreviations: list }: WrittenPattern): Content[] {
  if (list.length === 0) return [];
  const half = Math.ceil(list.length / 2);
  const column = (some: typeof list): Content => ({
    stack: some.map(({ short, name }) => ({ text: [{ text: short, bold: true }, `  ${name}`] })),
  });
  return headed('Abbreviations', [{ columns: [column(list.slice(0, half)), column(list.slice(half))], columnGap: 16 }]);
}

function special({ special: list }: WrittenPattern): Content[] {
  if (list.length === 0) return [];
  const told = list.map(({ name, text }): Content => ({
    stack: [{ text: name, bold: true }, text],
    margin: [0, 0, 0, 4],
    unbreakable: true,
  }));
  return headed('Special stitches', told);
}

const checked = (checks: readonly WrittenCheck[], before: boolean): Content[] =>
  checks.map((check) => ({
    text: [{ text: `${checkWord(check, before)}: `, bold: true }, checkText(check)],
    style: 'small',
    margin: [0, 2, 0, 0],
  }));

function section({ name, lines }: WrittenPattern['sections'][number]): Content[] {
  return headed(name, [
    ...lines.map(({ label, text, count, note, measures, before, after }): Content => ({
      unbreakable: true,
      margin: [0, 0, 0, 3],
      stack: [
        ...checked(before, true),
        {
          text: [...(label ? [{ text: `${label}: `, bold: true }] : []), count === null ? text : `${text} (${count})`],
        },
        ...(note ? [{ text: note, bold: true }] : []),
        ...(measures ? [{ text: measures, style: 'small' }] : []),
        ...checked(after, false),
        { canvas: [{ type: 'line' as const, x1: 0, y1: 2, x2: WIDE, y2: 2, lineWidth: 0.4, lineColor: LINE }] },
      ],
    })),
  ]);
}

/** What stands at the end together, so that no page has a line alone: the code that opens the plan, and what made it. */
const foot = (plan: Plan, origin: string, made: string): Content => ({
  unbreakable: true,
  margin: [0, 16, 0, 0],
  stack: [...code(plan, origin), { text: made, style: 'small', margin: [0, 10, 0, 0] }],
});

/** The code that opens this plan from the page; none where the plan is larger than one can hold. */
function code(plan: Plan, origin: string): Content[] {
  const link = planLink(plan, origin);
  if (link.length > MOST_IN_CODE) return [];
  return [
    {
      columns: [
        { qr: link, fit: CODE_SIDE, eccLevel: 'L', width: 'auto' },
        {
          text: 'Scan to open this plan in Keep Snug. It holds the whole plan; nothing is sent anywhere.',
          style: 'small',
        },
      ],
      columnGap: 12,
    },
  ];
}
