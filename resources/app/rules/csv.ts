/** A cell of a list that is written to a file: what a person reads, or nothing. */
export type Cell = string | number | null | undefined;

/**
 * Rows as CSV (RFC 4180). A cell that a spreadsheet program would take for a formula gets an apostrophe in front of it:
 * names come from people.
 */
export function asCsv(rows: readonly (readonly Cell[])[]): string {
    return rows.map((row) => row.map(cell).join(',') + '\r\n').join('');
}

function cell(value: Cell): string {
    if (value === null || value === undefined) return '';
    if (typeof value === 'number') return String(value);
    const text = /^[=+\-@\t\r]/.test(value) ? `'${value}` : value;
    return /[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
}
