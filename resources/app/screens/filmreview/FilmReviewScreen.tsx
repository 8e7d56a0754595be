import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type FilmReview, Problem } from '../../api/client';
import { dayName } from '../../api/words';
import { typed } from '../../parts/forms';
import { LabelledInput } from '../../parts/Labelled';
import { Loading, Notice } from '../../parts/Notice';
import { Both, OwnLooks } from './OwnLooks';
import { Seen } from './Seen';

type Point = FilmReview['points'][number];

/** What the coach saw on film, and what to do about it. Behind a link; the token stands after the #. */
export function FilmReviewScreen() {
    const [token] = useState(() => window.location.hash.slice(1));
    const [word, setWord] = useState('');
    const review = useQuery({
        queryKey: ['film-review', token, word],
        queryFn: () => api('GET', '/api/link/film-review', undefined, { linkToken: token, linkWord: word }),
        staleTime: Infinity,
        refetchOnWindowFocus: false,
        retry: false,
    });
    const isHere = review.data !== undefined;
    useEffect(() => {
        // The coach is told that it was opened; where that cannot be sent, it is read all the same.
        if (isHere)
            api('POST', '/api/link/film-review/opened', undefined, { linkToken: token, linkWord: word }).catch(
                () => undefined,
            );
    }, [isHere, token, word]);
    if (review.error instanceof Problem && review.error.type.endsWith('/a-word-is-needed'))
        return <WordAsked problem={word === '' ? null : review.error} onWord={setWord} />;
    if (review.error)
        return (
            <main className="mx-auto max-w-md p-6">
                <h1 className="text-2xl">Augendo</h1>
                <Notice problem={review.error} />
            </main>
        );
    if (!review.data)
        return (
            <main>
                <Loading what="the review" />
            </main>
        );
    return <Read review={review.data} ways={{ linkToken: token, linkWord: word }} />;
}

/** First what oneself sees, then what the coach saw, and what to do about it. */
function Read({ review, ways }: { review: FilmReview; ways: { linkToken: string; linkWord: string } }) {
    const [shown, setShown] = useState(review);
    const [skipped, setSkipped] = useState(false);
    const { given_name, made_on, by, ladder_name, rung_name, points, side, next_time, looks, agreement } = shown;
    const isAsked = !skipped && looks.some(({ own }) => own === null);
    return (
        <main className="mx-auto max-w-md px-4 pb-10">
            <header className="border-b-2 border-ink py-3">
                <p className="label">
                    {ladder_name}, {rung_name}
                </p>
                <h1 className="text-2xl">{given_name}, what to work on</h1>
                <p className="text-soft">
                    {by}, {dayName(made_on, true)}
                </p>
            </header>
            {isAsked ? (
                <OwnLooks
                    looks={looks}
                    side={side}
                    onSay={(said) => api('POST', '/api/link/film-review/looks', { looks: said }, ways).then(setShown)}
                    onSkip={() => setSkipped(true)}
                />
            ) : (
                <>
                    {agreement !== null && <p className="border-l-4 border-tape py-2 pl-3 text-lg">{agreement}</p>}
                    {agreement !== null && <Both looks={looks} />}
                    <ol>
                        {points.map((point, i) => (
                            <OnePoint key={point.checkpoint} no={i + 1} point={point} side={side} />
                        ))}
                    </ol>
                    {next_time !== null && (
                        <p className="border-t border-line py-3">
                            <strong>Film next time:</strong> {next_time}
                        </p>
                    )}
                    <button type="button" className="btn no-print mb-3" onClick={() => window.print()}>
                        Print
                    </button>
                    <p className="border-l-4 border-tape pl-3 text-sm">
                        Only without pain. When something hurts, stop and tell the coach. Drills count as work: tell
                        what you did on your own page.
                    </p>
                </>
            )}
        </main>
    );
}

/** A page that draws a child opens with a word, which came on another way than the link. */
function WordAsked({ problem, onWord }: { problem: unknown; onWord: (word: string) => void }) {
    return (
        <main className="mx-auto max-w-md p-6">
            <h1 className="text-2xl">A word opens this page</h1>
            <p className="py-2">The coach told it to you apart from the link.</p>
            <Notice problem={problem} />
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    onWord(typed(new FormData(event.currentTarget), 'word'));
                }}
            >
                <LabelledInput label="The word" name="word" required autoComplete="off" autoCapitalize="none" />
                <button className="btn btn-main thumb">Open</button>
            </form>
        </main>
    );
}

function OnePoint({ no, point, side }: { no: number; point: Point; side: 'left' | 'right' }) {
    return (
        <li className="grid grid-cols-[1fr_8rem] gap-3 border-t border-line py-4">
            <div>
                <h2 className="text-xl">
                    {no}. {point.checkpoint}
                </h2>
                <p className="text-soft">{point.good}.</p>
                <p className="pt-1">Seen: {point.seen.toLowerCase()}.</p>
                <p className="pt-1 text-lg">
                    <strong>“{point.cue}”</strong>
                </p>
                <p className="pt-1">
                    {point.drill}
                    {point.dose && `: ${point.dose}`}.
                </p>
            </div>
            <Seen of={point} side={side} />
        </li>
    );
}
