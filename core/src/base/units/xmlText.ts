import { withoutHidden } from './text';

const MARKS: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&apos;',
};

/**
 * Text as an XML document may hold it, in an element or an attribute; what no XML may hold is left out.
 *
 * @source handbook 11
 */
export const xmlText = (text: string): string =>
  withoutHidden(text).replace(/[&<>"'\ufffe\uffff]/g, (mark) => MARKS[mark] ?? '');
