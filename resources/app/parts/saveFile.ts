import { asCsv, type Cell } from '../rules/csv';

const READ_WITHIN_MS = 60_000;

/** Hands a text over as a file. */
export function saveText(name: string, type: string, text: string): void {
    const url = URL.createObjectURL(new Blob([text], { type }));
    const link = document.createElement('a');
    link.href = url;
    link.download = name;
    link.click();
    // A slow device begins to read it later: what is gone by then is no file.
    setTimeout(() => URL.revokeObjectURL(url), READ_WITHIN_MS);
}

/** A list as a file that a spreadsheet program opens as it is: with the mark that says how its letters are written. */
export function saveList(name: string, rows: readonly (readonly Cell[])[]): void {
    saveText(`${name}.csv`, 'text/csv;charset=utf-8', `\u{feff}${asCsv(rows)}`);
}
