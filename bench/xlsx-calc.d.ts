/** The spreadsheet engine the bench compares with; it comes without types. */
declare module 'xlsx-calc' {
  export default function calculate(book: object): void;
}
