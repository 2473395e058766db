/** Sheets that printers take, mm, standing. */
export const PAPERS = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
} as const;

export type Paper = keyof typeof PAPERS;

/** What a printer leaves white at the edge of a sheet, mm, with some to spare. */
export const MARGIN_MM = 12;
