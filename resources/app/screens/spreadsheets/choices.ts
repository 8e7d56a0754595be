import type { Import } from '../../api/client';
import type { Body } from '../../api/typed';

export type Choices = Body<'PUT', '/api/imports/{import}/choices'>;

/** Each word that was said, with what it means. */
type Said = { word: string; means: string | null }[];

const said = (words: Import['skills']): Said =>
    words.filter((each) => each.rows === 0).map((each) => ({ word: each.word, means: each.means }));

/** What was said about a file so far, as it is sent along with the next choice. */
export function choicesOf(file: Import): Choices {
    return {
        version: file.version,
        columns: file.columns.map((each) => each.column) as Choices['columns'],
        date_order: file.date_order,
        distance_unit: file.distance_unit,
        squad_id: file.squad_id,
        throwing_side: file.throwing_side,
        skills: said(file.skills),
        athletes: said(file.athletes),
    };
}
