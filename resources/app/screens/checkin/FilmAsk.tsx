import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type CheckInPage } from '../../api/client';
import { newId } from '../../offline/store';
import { typed } from '../../parts/forms';
import { LabelledInput } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';

/** Whether the athlete may be filmed and measured: said, and taken back, by the side whose page this is. */
export function FilmAsk({ about, token }: { about: CheckInPage; token: string }) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const { film } = about;
    if (film === null) return null;
    const say = (agrees: boolean, name: string | null): void => {
        api('POST', '/api/link/film', { id: newId(), agrees, name }, { linkToken: token }).then((page) => {
            queries.setQueryData(['check-in', token], page);
            setProblem(null);
        }, setProblem);
    };
    const whom = film.as_athlete ? 'you' : about.given_name;
    return (
        <section aria-label="Film" className="mt-4 border-t border-line pt-3">
            <h2 className="text-lg">Film</h2>
            <p>
                May the coach film {whom} to measure the movement? The clip stays on the device it is filmed with; only
                where the points lay is saved. You can take it back at any time.
            </p>
            <Notice problem={problem} />
            {film.agreed ? (
                <p className="flex flex-wrap items-center gap-3 pt-2">
                    <strong>You have agreed.</strong>
                    <button type="button" className="btn" onClick={() => say(false, null)}>
                        Take it back
                    </button>
                </p>
            ) : (
                <form
                    className="grid gap-2 pt-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        say(true, typed(new FormData(event.currentTarget), 'name'));
                    }}
                >
                    <LabelledInput label="Your name" name="name" required maxLength={120} />
                    <button className="btn thumb">I agree</button>
                </form>
            )}
        </section>
    );
}
