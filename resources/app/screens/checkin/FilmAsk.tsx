import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type CheckInPage } from '../../api/client';
import type { Body } from '../../api/typed';
import { newId } from '../../offline/store';
import { typed } from '../../parts/forms';
import { LabelledInput } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { SendClip } from './SendClip';

type Said = Body<'POST', '/api/link/film'>;
type Film = NonNullable<CheckInPage['film']>;

/** Whether the athlete may be filmed and measured: said, and taken back, by the side whose page this is. */
export function FilmAsk({ about, token }: { about: CheckInPage; token: string }) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const { film } = about;
    if (film === null) return null;
    const told = (page: CheckInPage): void => {
        queries.setQueryData(['check-in', token], page);
        setProblem(null);
    };
    const say = (said: Omit<Said, 'id'>): void => {
        api('POST', '/api/link/film', { id: newId(), ...said }, { linkToken: token }).then(told, setProblem);
    };
    const whom = film.as_athlete ? 'you' : about.given_name;
    return (
        <section aria-label="Film" className="mt-4 border-t border-line pt-3">
            <h2 className="text-lg">Film</h2>
            <Notice problem={problem} />
            {film.clip && <Wanted clip={film.clip} film={film} whom={whom} token={token} say={say} onSent={told} />}
            <p>
                May the coach film {whom} to measure the movement? The clip stays on the device it is filmed with; where
                the points lay is saved. You can take it back at any time, and saved pictures are erased then.
            </p>
            {film.agreed ? (
                <p className="flex flex-wrap items-center gap-3 pt-2">
                    <strong>You have agreed{film.pictures ? ', to single pictures as well' : ''}.</strong>
                    <button
                        type="button"
                        className="btn"
                        onClick={() => say({ kind: 'measure', pictures: false, agrees: false, name: null })}
                    >
                        Take it back
                    </button>
                </p>
            ) : (
                <form
                    className="grid gap-2 pt-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const form = new FormData(event.currentTarget);
                        const pictures = form.get('pictures') !== null;
                        say({ kind: 'measure', pictures, agrees: true, name: typed(form, 'name') });
                    }}
                >
                    <LabelledInput label="Your name" name="name" required maxLength={120} />
                    <label className="flex min-h-11 items-center gap-2">
                        <input type="checkbox" name="pictures" className="size-5" />
                        Single pictures may be saved, too: cut to {whom}, everybody else blurred
                    </label>
                    <button className="btn thumb">I agree</button>
                </form>
            )}
        </section>
    );
}

/** The coach asked for one clip: agreed to first, then chosen and sent. */
function Wanted({
    clip,
    film,
    whom,
    token,
    say,
    onSent,
}: {
    clip: NonNullable<Film['clip']>;
    film: Film;
    whom: string;
    token: string;
    say: (said: Omit<Said, 'id'>) => void;
    onSent: (page: CheckInPage) => void;
}) {
    if (clip.sent)
        return (
            <p className="mb-3 border-l-4 border-tape pl-3">
                <strong>Your clip has arrived.</strong> Only the coach sees it; it is deleted after the review
                {clip.kept ? ', unless the coach keeps it' : ''}.{' '}
                <button
                    type="button"
                    className="btn"
                    onClick={() => say({ kind: 'send', pictures: false, agrees: false, name: null })}
                >
                    Take it back and delete it
                </button>
            </p>
        );
    return (
        <div className="mb-3 grid gap-2 border-l-4 border-tape pl-3">
            <p>
                <strong>The coach asks for one clip:</strong> “{clip.what}”
            </p>
            {!film.sends ? (
                <form
                    className="grid gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const name = typed(new FormData(event.currentTarget), 'name');
                        say({ kind: 'send', pictures: false, agrees: true, name });
                    }}
                >
                    <p className="text-sm">
                        A clip of {whom} would be sent to the club. Only the coach sees it. It is deleted after the
                        review, at the latest after 14 days, and at once when you take this back.
                    </p>
                    <LabelledInput label="Your name" name="name" required maxLength={120} />
                    <button className="btn thumb">I agree that it is sent</button>
                </form>
            ) : clip.agreed ? (
                <SendClip clip={clip} token={token} onSent={onSent} />
            ) : (
                <p>You agreed. The other side is asked on their own page before it can be sent.</p>
            )}
        </div>
    );
}
