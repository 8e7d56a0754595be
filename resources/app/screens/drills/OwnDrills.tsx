import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type ClubDrill } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { type DrillDef, DrillForm, NEW_DRILL } from './DrillForm';

const KEY = ['club-drills'];

/** The club’s own drills: written once, looked up here, and put on any sheet. */
export function OwnDrills() {
    const me = useMe();
    const [open, setOpen] = useState(false);
    if (!me.decides) return null;
    return (
        <>
            <button type="button" className="btn" onClick={() => setOpen(true)}>
                Our own drills
            </button>
            <Sheetlet open={open} onClose={() => setOpen(false)} title="Our own drills" wide>
                {open && <ListOrForm />}
            </Sheetlet>
        </>
    );
}

function ListOrForm() {
    const queries = useQueryClient();
    const [editing, setEditing] = useState<{ drill: DrillDef; version: number } | null>(null);
    const query = useQuery({ queryKey: KEY, queryFn: () => api('GET', '/api/club-drills') });
    const save = useMutation({
        mutationFn: ({ drill, version }: { drill: DrillDef; version: number }) =>
            api('POST', '/api/club-drills', { version, definition: drill }),
        onSuccess: (now) => {
            queries.setQueryData(KEY, now);
            void queries.invalidateQueries();
            setEditing(null);
        },
    });
    if (editing !== null)
        return (
            <DrillForm
                start={editing.drill}
                problem={save.error}
                busy={save.isPending}
                onSave={(drill) => save.mutate({ drill, version: editing.version })}
                onCancel={() => {
                    save.reset();
                    setEditing(null);
                }}
            />
        );
    const own = query.data ?? [];
    return (
        <div>
            <p className="max-w-prose text-soft">
                They are found by the words on this page, can be put on any sheet, and are offered where the work of the
                day is taken away. Limits and the word of the day come before them.
            </p>
            <Notice problem={query.error ?? save.error} />
            <ul className="mt-3 border-t border-line">
                {own.map((each) => (
                    <Row
                        key={each.id}
                        each={each}
                        onEdit={() => setEditing({ drill: definitionOf(each), version: each.version })}
                        onWithdraw={(withdrawn) =>
                            save.mutate({ drill: { ...definitionOf(each), withdrawn }, version: each.version })
                        }
                    />
                ))}
            </ul>
            {query.data && own.length === 0 && <p className="py-3">None yet.</p>}
            <button
                type="button"
                className="btn btn-main mt-3"
                onClick={() => setEditing({ drill: NEW_DRILL, version: 0 })}
            >
                Add a drill
            </button>
        </div>
    );
}

const definitionOf = (each: ClubDrill): DrillDef => each.definition as unknown as DrillDef;

function Row({
    each,
    onEdit,
    onWithdraw,
}: {
    each: ClubDrill;
    onEdit: () => void;
    onWithdraw: (withdrawn: boolean) => void;
}) {
    return (
        <li className="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
            <span className={each.withdrawn ? 'text-soft' : 'head'}>{each.name}</span>
            <span className="label">
                version {each.version}
                {each.withdrawn && ', not offered any more'}
            </span>
            <span className="grow" />
            <button type="button" className="btn btn-quiet" onClick={onEdit}>
                Edit
            </button>
            <button type="button" className="btn btn-quiet" onClick={() => onWithdraw(!each.withdrawn)}>
                {each.withdrawn ? 'Offer it again' : 'Take away'}
            </button>
        </li>
    );
}
