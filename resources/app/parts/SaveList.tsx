import type { Cell } from '../rules/csv';
import { saveList } from './saveFile';

/** What stands on the screen, as a file for a spreadsheet program: titles first. Nothing is asked of the server. */
export function SaveList({
    name,
    titles,
    rows,
}: {
    name: string;
    titles: readonly string[];
    rows: () => readonly (readonly Cell[])[];
}) {
    return (
        <button
            type="button"
            className="btn btn-quiet print:hidden"
            title="A CSV file of what stands here"
            onClick={() => saveList(name, [titles, ...rows()])}
        >
            Save as CSV
        </button>
    );
}
