/** A printed pattern as its reader sees it: paragraphs, headings, lines. Nothing is known of how it was made. */

export interface SheetLine {
  text: string;
  /** “Row”, “Rounds” with what it is numbered; nothing where it is neither. */
  label: { kind: 'row' | 'round'; from: number; to: number; side: 'RS' | 'WS' | undefined } | undefined;
  /** Whether it asks to look at something, and what to do where it is not so. */
  check: { look: string; repair: string | undefined } | undefined;
}

interface SheetSection {
  name: string;
  lines: SheetLine[];
}

export interface Sheet {
  title: string;
  facts: ReadonlyMap<string, string>;
  /** Pieces by their names at the head, with what stands behind them. */
  abbreviations: ReadonlyMap<string, string>;
  special: readonly string[];
  notes: readonly string[];
  sections: readonly SheetSection[];
  safety: readonly string[];
  terms: 'US' | 'UK';
}

const LABEL = /^(Row|Round|Rnd)s? (\d+)(?:–(\d+))?(?: \((?:start with a )?(RS|WS)(?: first| row)?\))?: /;
const CHECK = /^ {2}Check(?: first| \((?:Row|Round) \d+\))?: /;
const OTHERWISE = ' If not: ';

function lineOf(printed: string): SheetLine {
  if (CHECK.test(printed)) {
    const [look, repair] = printed.replace(CHECK, '').split(OTHERWISE);
    return { text: '', label: undefined, check: { look: look!, repair } };
  }
  const found = LABEL.exec(printed);
  // an edging of several rounds numbers its own
  if (!found || /[.)] (?:Turn\. )?(?:Round|Rnd|Row) 2: /.test(printed))
    return { text: printed, label: undefined, check: undefined };
  const from = Number(found[2]);
  return {
    text: printed.slice(found[0].length),
    label: {
      kind: found[1] === 'Row' ? 'row' : 'round',
      from,
      to: found[3] === undefined ? from : Number(found[3]),
      side: found[4] as 'RS' | 'WS' | undefined,
    },
    check: undefined,
  };
}

const named = (line: string): [string, string] => {
  const at = line.indexOf(': ');
  return [line.slice(0, at), line.slice(at + 2)];
};

/** @throws Error where it has no head */
export function sheetOf(printed: string): Sheet {
  const [head, ...others] = printed.trimEnd().split('\n\n');
  const [title, terms, ...facts] = head!.split('\n');
  const under = (name: string) =>
    others
      .find((one) => one.startsWith(`${name}\n`))
      ?.split('\n')
      .slice(1) ?? [];
  const HEADS = ['ABBREVIATIONS', 'SPECIAL STITCHES', 'NOTES', 'SAFETY'];
  const written = /^Written in (US|UK) crochet terms/.exec(terms ?? '');
  if (!written) throw new Error(`its terms: ${terms ?? ''}`);
  return {
    title: title!,
    terms: written[1] as 'US' | 'UK',
    facts: new Map(facts.map(named)),
    abbreviations: new Map(under('ABBREVIATIONS').map(named)),
    special: under('SPECIAL STITCHES'),
    notes: under('NOTES'),
    sections: others
      .filter((one) => !HEADS.includes(one.split('\n')[0]!) && !one.startsWith('Made with'))
      .map((one) => {
        const [name, ...lines] = one.split('\n');
        return { name: name!, lines: lines.map(lineOf) };
      }),
    safety: under('SAFETY'),
  };
}
