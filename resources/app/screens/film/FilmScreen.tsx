import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Film, Problem } from '../../api/client';
import type { KeptClip } from '../../offline/clips';
import { answerOrKept } from '../../offline/store';
import { useMe } from '../../parts/Frame';
import { Labelled, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { AskedClip } from './AskedClip';
import { Consents } from './Consents';
import { Earlier } from './Earlier';
import { Opening } from './Opening';
import { Review } from './Review';
import type { FilmLadder } from './marks';
import { openFile, useOpening } from './useClip';
import { useUnsent } from './useUnsent';

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
    const told = (film: Film): void => {
        queries.setQueryData(['film', athleteId], film);
        setProblem(null);
    };
    const unsent = useUnsent(athleteId, told);
    return {
        problem,
        unsent,
        say: (asked: Promise<Film>): Promise<void> => asked.then(told, setProblem),
        /** @returns whether it is kept: with the server, or on this device until there is a connection */
        keep: (clip: KeptClip): Promise<boolean> =>
            api('POST', `/api/athletes/${athleteId}/film/clips`, clip).then(
                (film) => {
                    told(film);
                    return true;
                },
                (error: unknown) => {
                    const isOffline = error instanceof Problem && error.isOffline;
                    if (isOffline) unsent.setAside(clip);
                    else setProblem(error);
                    return isOffline;
                },
            ),
    };
}

function Shown({ film }: { film: Film }) {
    const { id } = film.athlete;
    const { problem, say, keep, unsent } = useSaying(id);
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
            <Unsent unsent={unsent} />
            <Notice problem={opening.problem} />
            {!ladder && <p className="py-4 text-soft">No ladder this athlete climbs is looked at in pictures.</p>}
            {ladder && (
                <OneClip film={film} ladder={ladder} opening={opening} keep={keep} say={(asked) => void say(asked)} />
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

/** The clip that is open; where none is, the ways to one. */
function OneClip({
    film,
    ladder,
    opening,
    keep,
    say,
}: {
    film: Film;
    ladder: FilmLadder;
    opening: ReturnType<typeof useOpening>;
    keep: (clip: KeptClip) => Promise<boolean>;
    say: (asked: Promise<Film>) => void;
}) {
    const me = useMe();
    const { clip } = opening;
    if (clip === null)
        return (
            me.records && (
                <>
                    <Opening mayFilm={film.may_film} busy={opening.busy} side={ladder.side} onOpen={opening.open} />
                    <AskedClip
                        key={film.asked_clip?.id}
                        film={film}
                        ladder={ladder.id}
                        busy={opening.busy}
                        say={say}
                        onOpen={(fetched) => opening.open(async () => openFile(await fetched()))}
                    />
                </>
            )
        );
    return (
        <>
            <p className="flex items-center gap-3 py-2">
                <span className="truncate">
                    {clip.source.name}, {clip.source.times.length} pictures
                    {clip.source.isCutShort && '. The file is damaged: what comes after them cannot be read'}
                </span>
                <button type="button" className="btn btn-quiet" onClick={opening.close}>
                    Close this clip
                </button>
            </p>
            <Review key={clip.key} film={film} ladder={ladder} clip={clip} onKeep={keep} />
        </>
    );
}

/** What waits on this device, and what became of it. */
function Unsent({ unsent }: { unsent: ReturnType<typeof useUnsent> }) {
    if (unsent.left === 0) return null;
    return (
        <div role="status" className="my-2 flex flex-wrap items-center gap-3 border-l-4 border-tape pl-3">
            <span>
                {unsent.left === 1 ? 'One clip is' : `${unsent.left} clips are`} measured and not sent yet. It is kept
                on this device and sent when there is a connection.
            </span>
            <button type="button" className="btn" onClick={() => void unsent.send()}>
                Send now
            </button>
            {unsent.problem !== null && (
                <>
                    <Notice problem={unsent.problem} />
                    <button type="button" className="btn btn-quiet" onClick={unsent.drop}>
                        Delete what was measured
                    </button>
                </>
            )}
        </div>
    );
}
