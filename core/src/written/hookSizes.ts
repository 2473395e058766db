import { formatNumber } from '../base/units';

/** What hooks of a size are called where they are sold by letter and number (as sold). */
const US_SIZES: Readonly<Record<string, string>> = {
  '2.25': 'B-1',
  '2.75': 'C-2',
  '3.25': 'D-3',
  '3.5': 'E-4',
  '3.75': 'F-5',
  '4': 'G-6',
  '4.5': '7',
  '5': 'H-8',
  '5.5': 'I-9',
  '6': 'J-10',
  '6.5': 'K-10½',
  '8': 'L-11',
  '9': 'M-13',
  '10': 'N-15',
};

/** The old numbers of British and Canadian hooks, which many a case is still marked with (as sold). */
const UK_SIZES: Readonly<Record<string, string>> = {
  '2': '14',
  '2.25': '13',
  '2.5': '12',
  '3': '11',
  '3.25': '10',
  '3.5': '9',
  '4': '8',
  '4.5': '7',
  '5': '6',
  '5.5': '5',
  '6': '4',
  '6.5': '3',
  '7': '2',
  '8': '0',
  '9': '00',
  '10': '000',
};

/** A hook’s size in mm, and as it is called where the pattern’s terms are spoken, where it has a name there. */
export function hookSize(hookMm: number, terms: 'US' | 'UK' = 'US'): string {
  const size = formatNumber(hookMm, 2);
  const named = (terms === 'US' ? US_SIZES : UK_SIZES)[size];
  return named ? `${size} mm (${terms} ${named})` : `${size} mm`;
}
