export { columnChoices, guessColumns, headLine, ID, templateOf, type Meaning } from './heads';
export { rowReader, type Known, type ReadRow, type RowFault } from './read';
export { CSV_TABLES, type CsvTable, type LedgerRow } from './tables';
export { tableRows, type Kept } from './write';
