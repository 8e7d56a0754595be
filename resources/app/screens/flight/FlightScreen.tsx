import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type FlightNumbers } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { BallRows } from './BallRows';
import { CourtRows } from './CourtRows';
import type { BallFile, CourtFile } from './files';

type Body = { version: number; definition: Record<string, unknown> };

const READ = { balls: () => api('GET', '/api/flight/balls'), courts: () => api('GET', '/api/flight/courts') };
const SAVE = {
    balls: (body: Body) => api('POST', '/api/flight/balls', body),
    courts: (body: Body) => api('POST', '/api/flight/courts', body),
};

/** What the flight of a ball is worked out with, and how the nets hang: put right where the club knows better. */
export function FlightScreen() {
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b-2 border-ink py-3">
                <p className="label">
                    <Link to="/library" className="hover:underline">
                        Library
                    </Link>
                </p>
                <h1 className="text-2xl">Balls and courts</h1>
                <p className="max-w-prose text-soft">
                    Example numbers: they decide how hard a distance is and how large a serve window is. Put them right
                    where you measured, or where your federation says otherwise.
                </p>
            </header>
            <Numbers kind="balls" title="Balls" />
            <Numbers kind="courts" title="Courts" />
        </main>
    );
}

function Numbers({ kind, title }: { kind: FlightNumbers['kind']; title: string }) {
    const query = useQuery({
        queryKey: ['flight', kind],
        queryFn: READ[kind],
        refetchOnWindowFocus: false,
    });
    if (!query.data) return <Waiting query={query} what="the numbers" />;
    // The form begins anew with each version that was saved, and never under somebody's hands.
    return <Form key={query.data.version} kind={kind} title={title} numbers={query.data} />;
}

function Form({ kind, title, numbers }: { kind: FlightNumbers['kind']; title: string; numbers: FlightNumbers }) {
    const me = useMe();
    const queries = useQueryClient();
    const [edited, setEdited] = useState<object>(numbers.definition);
    const save = useMutation({
        mutationFn: (definition: object) =>
            SAVE[kind]({ version: numbers.version, definition: definition as Record<string, unknown> }),
        onSuccess: (saved) => {
            queries.setQueryData(['flight', kind], saved);
            void queries.invalidateQueries();
        },
    });
    const names = Object.fromEntries(numbers.names.map(({ id, name }) => [id, name]));
    const isChanged = JSON.stringify(edited) !== JSON.stringify(numbers.definition);
    const part = (file: object): string => JSON.stringify((file as Record<string, unknown>)[kind]);
    const isShipped = part(edited) === part(numbers.shipped);
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
                {kind === 'balls' ? (
                    <BallRows file={edited as BallFile} names={names} onChange={setEdited} />
                ) : (
                    <CourtRows file={edited as CourtFile} names={names} onChange={setEdited} />
                )}
            </fieldset>
        </section>
    );
}
