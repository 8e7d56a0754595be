import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type PaperRow } from '../../api/client';
import { newId } from '../../offline/store';

/** As they are typed; what nobody judged has no good ones. */
type Ticked = { reps: string; good: string };
type Counts = Record<string, Record<string, Ticked>>;

/** Numbers by athlete and block as they are read off the paper, and their way to the server, once each. */
export function usePaper(rows: PaperRow[]) {
    const queries = useQueryClient();
    const [counts, setCounts] = useState<Counts>({});
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    // One id a sheet until it has arrived: pressed twice, or sent again, it is entered once.
    const ids = useRef(new Map<string, string>());
    const filled = rows.filter((row) => !row.counted && counts[row.sheet_id] !== undefined);
    const send = async (row: PaperRow): Promise<void> => {
        const id = ids.current.get(row.sheet_id) ?? newId();
        ids.current.set(row.sheet_id, id);
        await api('POST', `/api/sheets/${row.sheet_id}/counts`, {
            id,
            reason: 'Paper',
            blocks: row.blocks.map((block) => {
                const { reps = '', good = '' } = counts[row.sheet_id]?.[block.id] ?? {};
                return { id: block.id, reps: Number(reps), good: good === '' ? null : Number(good) };
            }),
            minutes: null,
            session_rpe: null,
        });
    };
    return {
        counts,
        filled,
        problem,
        busy,
        set: (sheetId: string, blockId: string, what: keyof Ticked, value: string): void => {
            const digits = value.replace(/\D/g, '').slice(0, 3);
            const before = counts[sheetId]?.[blockId] ?? { reps: '', good: '' };
            setCounts({ ...counts, [sheetId]: { ...counts[sheetId], [blockId]: { ...before, [what]: digits } } });
        },
        clear: (sheetId: string): void => {
            const { [sheetId]: _, ...rest } = counts;
            setCounts(rest);
        },
        /** What stands already stays: only whoever has no number yet gets the planned ones. */
        asPlanned: (of: PaperRow[]): void => {
            const planned = of.map((row): [string, Counts[string]] => [
                row.sheet_id,
                Object.fromEntries(row.blocks.map((block) => [block.id, { reps: String(block.planned), good: '' }])),
            ]);
            setCounts({ ...Object.fromEntries(planned), ...counts });
        },
        enter: async (): Promise<void> => {
            setBusy(true);
            try {
                for (const row of filled) await send(row);
                setProblem(null);
            } catch (error) {
                setProblem(error);
            } finally {
                // Those that arrived are counted now, whatever became of the others.
                await queries.invalidateQueries();
                setBusy(false);
            }
        },
    };
}

export type Paper = ReturnType<typeof usePaper>;
