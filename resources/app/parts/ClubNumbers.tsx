import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useMe } from './Frame';
import { Notice } from './Notice';

/** A document of the library that the club has put right, or not yet. */
type Numbers = { own: boolean; version: number; definition: object; shipped: object };

type Body = { version: number; definition: Record<string, unknown> };

/**
 * Numbers that ship as an example and are a club's own once somebody changes them. The form begins anew with each
 * version that is saved: give it the version as its key.
 */
export function ClubNumbers<Kept extends Numbers>({
    title,
    part,
    numbers,
    queryKey,
    save: send,
    children,
}: {
    title: string;
    /** the key of the document that is edited: what holds besides is who says so */
    part: string;
    numbers: Kept;
    queryKey: readonly string[];
    save: (body: Body) => Promise<Kept>;
    children: (edited: object, change: (file: object) => void) => ReactNode;
}) {
    const me = useMe();
    const queries = useQueryClient();
    const [edited, setEdited] = useState<object>(numbers.definition);
    const save = useMutation({
        mutationFn: (definition: object) =>
            send({ version: numbers.version, definition: definition as Record<string, unknown> }),
        onSuccess: (saved) => {
            queries.setQueryData(queryKey, saved);
            void queries.invalidateQueries();
        },
    });
    const isChanged = JSON.stringify(edited) !== JSON.stringify(numbers.definition);
    const edits = (file: object): string => JSON.stringify((file as Record<string, unknown>)[part]);
    const isShipped = edits(edited) === edits(numbers.shipped);
    return (
        <section aria-label={title} className="pt-5">
            <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
                <h2 className="text-lg">{title}</h2>
                <span className="label">{numbers.own ? `our own, version ${numbers.version}` : 'as they ship'}</span>
                <span className="grow" />
                {me.decides && !isShipped && (
                    <button type="button" className="btn btn-quiet" onClick={() => setEdited(numbers.shipped)}>
                        As they ship
                    </button>
                )}
                {me.decides && (
                    <button
                        type="button"
                        className="btn btn-main"
                        disabled={!isChanged || save.isPending}
                        onClick={() => save.mutate(edited)}
                    >
                        Save
                    </button>
                )}
            </div>
            <Notice problem={save.error} />
            <fieldset disabled={!me.decides} className="min-w-0">
                {children(edited, setEdited)}
            </fieldset>
        </section>
    );
}
