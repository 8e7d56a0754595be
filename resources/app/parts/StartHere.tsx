import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../api/client';
import { typed } from './forms';
import { useMe } from './Frame';
import { LabelledInput } from './Labelled';
import { Notice } from './Notice';

/** The first thing in a club that has nothing yet: the name of a squad. */
export function StartHere({ why }: { why: string }) {
    const me = useMe();
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    if (!me.decides) return <main className="p-6 text-lg">{why}</main>;
    return (
        <main className="grid max-w-md gap-4 p-6">
            <h1 className="text-2xl">Start here: name your squad</h1>
            <form
                className="flex items-end gap-2"
                onSubmit={(event) => {
                    event.preventDefault();
                    const name = typed(new FormData(event.currentTarget), 'name');
                    api('POST', '/api/squads', { name, school: null }).then(
                        () => queries.invalidateQueries(),
                        setProblem,
                    );
                }}
            >
                <LabelledInput label="Its name" name="name" required maxLength={80} autoFocus />
                <button className="btn btn-main">Start</button>
            </form>
            <Notice problem={problem} />
            <p className="text-soft">Then add athletes under People, and plan the first session from here.</p>
        </main>
    );
}
