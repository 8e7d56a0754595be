import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Film } from '../../api/client';
import { answerOrKept } from '../../offline/store';
import { useMe } from '../../parts/Frame';
import { Labelled, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { Consents } from './Consents';
import { Earlier } from './Earlier';
import { Opening } from './Opening';
import { Review } from './Review';
import { useOpening } from './useClip';

/** What does a picture say of the checkpoints, and what did earlier ones? */
export function FilmScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/film' });
    const film = useQuery({
        queryKey: ['film', athleteId],
        queryFn: () =>
            answerOrKept(`/api/athletes/${athleteId}/film`, () => api('GET', `/api/athletes/${athleteId}/film`)),
    });
    if (!film.data) return <Waiting query={film} what="the film page" />;
    return <Shown film={film.data} />;
}

/** What is said on the page, sent; the answer is the page as it is then. */
function useSaying(athleteId: string) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const say = (asked: Promise<Film>): Promise<boolean> =>
        asked.then(
            (film) => {
                queries.setQueryData(['film', athleteId], film);
                setProblem(null);
                return true;
            },
            (error: unknown) => {
                setProblem(error);
                return false;
            },
        );
    return { problem, say };
}

function Shown({ film }: { film: Film }) {
    const { id } = film.athlete;
    const me = useMe();
    const { problem, say } = useSaying(id);
    const opening = useOpening();
    const [ladderId, setLadderId] = useState(film.ladders[0]?.id ?? '');
    const ladder = film.ladders.find((each) => each.id === ladderId) ?? film.ladders[0];
    const { clip } = opening;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-6 border-b-2 border-ink py-3">
                <div className="grow">
                    <p className="label">
                        <Link to="/athletes/$athleteId" params={{ athleteId: id }} className="hover:underline">
                            {film.athlete.name}
                        </Link>
                        {ladder && `, ${ladder.rung_name}`}
                    </p>
                    <h1 className="text-2xl">Film</h1>
                </div>
                {film.ladders.length > 1 && (
                    <Labelled label="Ladder" tight>
                        <select
                            className="field"
                            value={ladder?.id}
                            disabled={clip !== null}
                            onChange={(event) => setLadderId(event.target.value)}
                        >
                            <Options of={film.ladders} />
                        </select>
                    </Labelled>
                )}
            </header>
            <div className="pt-3">
                <Consents
                    key={String(film.may_film)}
                    film={film}
                    onAgree={(consent) => void say(api('POST', `/api/athletes/${id}/film/consents`, consent))}
                    onWithdraw={(consent) => {
                        opening.close();
                        void say(api('POST', `/api/athletes/${id}/film/consents/${consent}/withdraw`));
                    }}
                />
            </div>
            <Notice problem={problem} />
            <Notice problem={opening.problem} />
            {!ladder && <p className="py-4 text-soft">No ladder this athlete climbs is looked at in pictures.</p>}
            {ladder && me.records && clip === null && (
                <Opening mayFilm={film.may_film} busy={opening.busy} side={ladder.side} onOpen={opening.open} />
            )}
            {ladder && clip && (
                <>
                    <p className="flex items-center gap-3 py-2">
                        <span className="truncate">
                            {clip.source.name}, {clip.source.times.length} pictures
                        </span>
                        <button type="button" className="btn btn-quiet" onClick={opening.close}>
                            Close this clip
                        </button>
                    </p>
                    <Review
                        key={clip.key}
                        film={film}
                        ladder={ladder}
                        clip={clip}
                        onKeep={(kept) => say(api('POST', `/api/athletes/${id}/film/clips`, kept))}
                    />
                </>
            )}
            {ladder && clip === null && (
                <Earlier
                    key={film.clips.length}
                    film={film}
                    ladder={ladder}
                    onWithdraw={(kept) => void say(api('POST', `/api/athletes/${id}/film/clips/${kept}/withdraw`))}
                    onSent={() => void say(api('GET', `/api/athletes/${id}/film`))}
                    onWithdrawReview={(review) =>
                        void say(api('POST', `/api/athletes/${id}/film/reviews/${review}/withdraw`))
                    }
                />
            )}
        </main>
    );
}
