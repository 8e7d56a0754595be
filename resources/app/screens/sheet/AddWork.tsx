import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Addable, type Sheet } from '../../api/client';
import { doseInWords } from '../../api/words';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { Waiting } from '../../parts/Waiting';
import type { Edits } from './useEdits';
import { clsx } from 'clsx';

const LEAST_SETS_TO_SPLIT = 2;

/** What may be put on the sheet, by where it comes from: found by name, added in its place in the session. */
export function AddWork({ sheet, kept, onClose }: { sheet: Edits; kept: Sheet; onClose: () => void }) {
    const found = useQuery({
        queryKey: ['addable', kept.id],
        queryFn: () => api('GET', `/api/sheets/${kept.id}/addable`),
    });
    const [asked, setAsked] = useState('');
    const templates = useTemplates(kept.id);
    if (!found.data)
        return (
            <Sheetlet open wide onClose={onClose} title="Add work">
                <Waiting query={found} what="what may be added" />
            </Sheetlet>
        );
    const word = asked.trim().toLowerCase();
    const fitting = found.data.filter((each) =>
        `${each.title} ${each.group} ${each.text}`.toLowerCase().includes(word),
    );
    const groups = [...new Set(fitting.map((each) => each.group))].map((group) => ({
        group,
        entries: fitting.filter((each) => each.group === group),
    }));
    const judged = sheet.rows.find(({ block }) => block.judged);
    const again = found.data.find((each) => each.from === 'rung' && each.judged && each.title === judged?.block.title);
    const add = (each: Addable): void => {
        sheet.add(each);
        onClose();
    };
    const weave = (each: Addable): void => {
        sheet.weave(each, again);
        onClose();
    };
    return (
        <Sheetlet open wide onClose={onClose} title="Add work">
            <input
                type="search"
                aria-label="Find work"
                placeholder="Find a drill, a block, a ladder"
                className="w-full border-b-2 border-ink bg-transparent py-2 text-lg"
                value={asked}
                onChange={(event) => setAsked(event.target.value)}
            />
            <Notice problem={templates.problem} />
            {templates.removed !== null && (
                <p role="status" className="mt-3 flex items-center gap-3 border-l-4 border-tape pl-2">
                    {templates.removed.name} is removed.
                    <button type="button" className="btn btn-quiet" onClick={templates.takeBack}>
                        Undo
                    </button>
                </p>
            )}
            {groups.map(({ group, entries }) => (
                <section key={group} aria-label={group}>
                    <h3 className="label mt-4 flex items-end border-b-2 border-ink pb-1">
                        <span className="grow">{group}</span>
                        {entries[0]?.template_id != null && (
                            <>
                                <button
                                    type="button"
                                    className="btn btn-quiet"
                                    onClick={() => templates.remove(entries[0]?.template_id ?? '', group)}
                                >
                                    Remove<span className="sr-only"> {group}</span>
                                </button>
                                <button
                                    type="button"
                                    className="btn btn-quiet"
                                    onClick={() => {
                                        sheet.use(entries);
                                        onClose();
                                    }}
                                >
                                    Use all of it instead
                                </button>
                            </>
                        )}
                    </h3>
                    <ul>
                        {entries.map((each) => (
                            <Entry
                                key={each.key}
                                found={each}
                                onAdd={() => add(each)}
                                onWeave={
                                    each.from === 'fault' && (judged?.dose.sets ?? 0) >= LEAST_SETS_TO_SPLIT
                                        ? () => weave(each)
                                        : null
                                }
                            />
                        ))}
                    </ul>
                </section>
            ))}
            {groups.length === 0 && <p className="py-4">Nothing is called so. Try a shorter word.</p>}
        </Sheetlet>
    );
}

/** Templates of the squad out of sight, and the last one back again. */
function useTemplates(sheetId: string) {
    const queries = useQueryClient();
    const [removed, setRemoved] = useState<{ id: string; name: string } | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const tell = (id: string, out: boolean, then: () => void): void => {
        api('POST', `/api/sheets/${sheetId}/templates/${id}/removed`, { removed: out }).then(() => {
            setProblem(null);
            then();
            return queries.invalidateQueries({ queryKey: ['addable'] });
        }, setProblem);
    };
    return {
        removed,
        problem,
        remove: (id: string, name: string) => tell(id, true, () => setRemoved({ id, name })),
        takeBack: () => {
            if (removed !== null) tell(removed.id, false, () => setRemoved(null));
        },
    };
}

function Entry({ found, onAdd, onWeave }: { found: Addable; onAdd: () => void; onWeave: (() => void) | null }) {
    const off = found.why_not !== null;
    return (
        <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-1.5">
            <div className={clsx('min-w-56 grow basis-0', off && 'text-soft')}>
                <span className="head">{found.title}</span>{' '}
                <span className="label">
                    {found.kind_name}
                    {found.judged ? ' · judged' : ''}
                </span>
                <span className="block text-sm text-soft">{found.text}</span>
                <span className="figure block text-sm">
                    {off ? (
                        <span className="text-reduced">{found.why_not}</span>
                    ) : (
                        doseInWords({ ...found, sets: setsOf(found) })
                    )}
                </span>
            </div>
            {onWeave && (
                <button type="button" className="btn btn-quiet" disabled={off} onClick={onWeave}>
                    Between the sets
                </button>
            )}
            <button type="button" className="btn" disabled={off} onClick={onAdd}>
                Add<span className="sr-only"> {found.title}</span>
            </button>
        </li>
    );
}

const setsOf = ({ sets, reps }: Addable): number[] =>
    reps === 0 ? [] : Array.from({ length: sets }, () => Math.round(reps / sets));
