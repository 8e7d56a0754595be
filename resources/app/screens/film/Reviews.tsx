import { useState } from 'react';
import { api, type Film, type Token } from '../../api/client';
import type { Body } from '../../api/typed';
import { newId } from '../../offline/store';
import { typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { LinkShown } from '../../parts/LinkShown';
import { Notice } from '../../parts/Notice';
import type { Shown } from './shown';
import type { FilmLadder } from './marks';

type Review = Body<'POST', `/api/athletes/${string}/film/reviews`>;
type Point = { seen: string; fault: string };

const MOST = 3;
const NOTHING: Point = { seen: '', fault: '' };

/** Three points at most, in order, from what was measured: sent as a page, and worked on in the next sessions. */
export function Reviews({
    film,
    ladder,
    shown,
    onSent,
    onWithdraw,
}: {
    film: Film;
    ladder: FilmLadder;
    shown: Shown[];
    onSent: () => void;
    onWithdraw: (id: string) => void;
}) {
    const me = useMe();
    const [problem, setProblem] = useState<unknown>(null);
    const [made, setMade] = useState<{ token: Token; path: string; whom: string } | null>(null);
    if (!me.decides) return null;
    return (
        <section aria-label="Reviews" className="pt-5">
            <h2 className="text-lg">Review</h2>
            <ul>
                {film.reviews.map((review) => (
                    <li key={review.id} className="flex flex-wrap items-baseline gap-x-3 border-t border-line">
                        <span>{review.sentence}</span>
                        <button type="button" className="btn btn-quiet" onClick={() => onWithdraw(review.id)}>
                            Take back
                        </button>
                    </li>
                ))}
            </ul>
            <Notice problem={problem} />
            <Writing
                key={film.reviews.length}
                film={film}
                ladder={ladder}
                shown={shown}
                onSend={(review) => {
                    api('POST', `/api/athletes/${film.athlete.id}/film/reviews`, review).then((token) => {
                        setProblem(null);
                        setMade({ token, path: '/film-review', whom: review.label });
                    }, setProblem);
                }}
            />
            <LinkShown
                made={made}
                onClose={() => {
                    setMade(null);
                    onSent();
                }}
            />
        </section>
    );
}

/** Every moment that was marked, as where a point can be seen. */
const places = (shown: Shown[], ladder: FilmLadder): Array<readonly [value: string, name: string]> =>
    shown.flatMap(({ clip, rep, name }) =>
        rep.marks.map((mark) => {
            const moment = ladder.moments.find(({ id }) => id === mark.moment)?.name ?? mark.moment;
            return [`${clip.id}|${rep.rep}|${mark.moment}`, `${name}, ${moment.toLowerCase()}`] as const;
        }),
    );

function Writing({
    film,
    ladder,
    shown,
    onSend,
}: {
    film: Film;
    ladder: FilmLadder;
    shown: Shown[];
    onSend: (review: Review) => void;
}) {
    const [points, setPoints] = useState<Point[]>([NOTHING]);
    const seen = places(shown, ladder);
    const change = (at: number, point: Point): void => setPoints(points.map((each, i) => (i === at ? point : each)));
    return (
        <form
            className="grid gap-2 pt-2"
            onSubmit={(event) => {
                event.preventDefault();
                const form = new FormData(event.currentTarget);
                onSend({
                    id: newId(),
                    ladder: ladder.id,
                    rung: ladder.rung,
                    points: points.map(({ seen: where, fault }) => {
                        const [clip = '', rep = '', moment = ''] = where.split('|');
                        return { clip_id: clip, rep: Number(rep), moment, fault };
                    }),
                    next_time: typed(form, 'next_time') || null,
                    label: typed(form, 'label'),
                });
            }}
        >
            <ol className="grid gap-2">
                {points.map((point, i) => (
                    <li key={i} className="grid gap-2 border-l-4 border-tape pl-2 sm:grid-cols-[1fr_1fr]">
                        <Labelled label={`Point ${i + 1}: seen at`} tight>
                            <select
                                className="field"
                                required
                                value={point.seen}
                                onChange={(event) => change(i, { ...point, seen: event.target.value })}
                            >
                                <option value="">choose a moment</option>
                                <Options of={seen} />
                            </select>
                        </Labelled>
                        <Labelled label="To mend" tight>
                            <select
                                className="field"
                                required
                                value={point.fault}
                                onChange={(event) => change(i, { ...point, fault: event.target.value })}
                            >
                                <option value="">choose</option>
                                <Options of={ladder.faults} />
                            </select>
                        </Labelled>
                        <Mends ladder={ladder} fault={point.fault} />
                    </li>
                ))}
            </ol>
            {points.length < MOST && (
                <button
                    type="button"
                    className="btn btn-quiet justify-self-start"
                    onClick={() => setPoints([...points, NOTHING])}
                >
                    Another point
                </button>
            )}
            <div className="grid gap-2 sm:grid-cols-[2fr_1fr_auto] sm:items-end">
                <LabelledInput label="What to film next time" name="next_time" maxLength={300} tight />
                <LabelledInput
                    label="For whom"
                    name="label"
                    required
                    maxLength={60}
                    placeholder={`${film.athlete.given_name}’s phone`}
                    tight
                />
                <button className="btn btn-main">Send as a page</button>
            </div>
        </form>
    );
}

function Mends({ ladder, fault }: { ladder: FilmLadder; fault: string }) {
    const found = ladder.faults.find(({ id }) => id === fault);
    if (!found) return null;
    return (
        <p className="text-sm text-soft sm:col-span-2">
            Feel: “{found.cue}”. Drill: {found.drill}.
        </p>
    );
}
