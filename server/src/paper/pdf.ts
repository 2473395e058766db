import type Pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { createRequire } from 'node:module';

/** The families a page is set in: the app's own, whole in every file that is made. */
export const READING = 'Atkinson';
export const HEADING = 'Bricolage';

const asked = createRequire(import.meta.url);

const fontFile = (family: string, weight: string, name: string): string =>
  asked.resolve(`@expo-google-fonts/${family}/${weight}/${name}_${weight}.ttf`);

function fonts() {
  const reading = (weight: string) => fontFile('atkinson-hyperlegible-next', weight, 'AtkinsonHyperlegibleNext');
  const normal = reading('400Regular');
  const heading = fontFile('bricolage-grotesque', '700Bold', 'BricolageGrotesque');
  const bold = reading('600SemiBold');
  return {
    [READING]: { normal, bold, italics: normal, bolditalics: bold },
    [HEADING]: { normal: heading, bold: heading, italics: heading, bolditalics: heading },
    // what drawings ask for
    'sans-serif': { normal, bold, italics: normal, bolditalics: bold },
  };
}

/** A page of an A4 or Letter sheet has 72 of these to the inch. */
export const POINTS_PER_MM = 72 / 25.4;

/**
 * A document as the bytes of a PDF. Nothing is fetched for it, and no file is read but the fonts.
 *
 * The package is asked for only here, and stays out of the bundle: it is large, and most of what is reckoned never prints.
 */
export async function pdfOf(definition: TDocumentDefinitions): Promise<Uint8Array> {
  const pdfmake = asked('pdfmake') as typeof Pdfmake;
  const known = fonts();
  const files = new Set(Object.values(known).flatMap((font) => Object.values(font)));
  pdfmake.setFonts(known);
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path) => files.has(path));
  return pdfmake.createPdf(definition).getBuffer();
}

/** An SVG drawing in its place, at most so wide and high, pt; letters in the app's own. */
export const drawing = (svg: string, fit: readonly [number, number]): Content => ({
  svg: svg.replace(/^<\?xml[^>]*>\s*/, ''),
  fit: [...fit],
  font: READING,
});
