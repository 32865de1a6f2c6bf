/** What a spreadsheet would take for a formula is written as plain text: with an apostrophe before it. */
export function asCell(text: string): string {
  return /^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text;
}

/** The text of a cell, without the apostrophe that kept it from being a formula. */
export function cellText(cell: string | undefined): string {
  return /^'+[=+\-@\t\r]/.test(cell ?? '') ? (cell as string).slice(1) : (cell ?? '');
}
