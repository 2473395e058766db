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

/** A hook’s size in mm, and as it is called in the United States where it has a name there. */
export function hookSize(hookMm: number): string {
  const size = formatNumber(hookMm, 2);
  return US_SIZES[size] ? `${size} mm (US ${US_SIZES[size]})` : `${size} mm`;
}
