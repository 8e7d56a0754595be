import { useState } from 'react';
import type { FilmReview } from '../../api/client';
import type { Body } from '../../api/typed';
import { Notice } from '../../parts/Notice';
import { Seen } from './Seen';

type Look = FilmReview['looks'][number];
type Said = Body<'POST', '/api/link/film-review/looks'>['looks'];

const WORDS = { right: 'right', wrong: 'not yet' } as const;
const key = ({ clip_id, rep, checkpoint }: Look): string => `${clip_id} ${rep} ${checkpoint}`;

/** A few pictures to judge with one’s own eyes, before the coach’s word is read. */
export function OwnLooks({
    looks,
    side,
    onSay,
    onSkip,
}: {
    looks: Look[];
    side: 'left' | 'right';
    onSay: (said: Said) => Promise<unknown>;
    onSkip: () => void;
}) {
    const [said, setSaid] = useState<Record<string, 'right' | 'wrong'>>({});
    const [problem, setProblem] = useState<unknown>(null);
    const open = looks.filter(({ own }) => own === null);
    const ready = open.every((look) => said[key(look)] !== undefined);
    return (
        <section aria-label="Your own look" className="py-3">
            <h2 className="text-xl">First look yourself</h2>
            <p className="text-soft">Then you read what the coach saw.</p>
            <ol>
                {open.map((look) => (
                    <li key={key(look)} className="grid grid-cols-[1fr_8rem] gap-3 border-t border-line py-3">
                        <div>
                            <h3 className="text-lg">{look.name}</h3>
                            <p className="text-soft">{look.good}.</p>
                            <div role="group" aria-label={look.name} className="grid grid-cols-2 gap-1.5 pt-2">
                                {(['right', 'wrong'] as const).map((each) => (
                                    <button
                                        key={each}
                                        type="button"
                                        aria-pressed={said[key(look)] === each}
                                        className={`btn ${said[key(look)] === each ? 'btn-main' : ''}`}
                                        onClick={() => setSaid({ ...said, [key(look)]: each })}
                                    >
                                        {each === 'right' ? 'Right' : 'Not yet'}
                                    </button>
                                ))}
                            </div>
                        </div>
                        <Seen of={look} side={side} />
                    </li>
                ))}
            </ol>
            <Notice problem={problem} />
            <div className="flex flex-wrap gap-2 border-t border-line pt-3">
                <button
                    type="button"
                    className="btn btn-main grow"
                    disabled={!ready}
                    onClick={() =>
                        void onSay(
                            open.map(({ clip_id, rep, checkpoint, ...look }) => ({
                                clip_id,
                                rep,
                                checkpoint,
                                verdict: said[key({ clip_id, rep, checkpoint, ...look })] ?? 'wrong',
                            })),
                        ).catch(setProblem)
                    }
                >
                    What did the coach see?
                </button>
                <button type="button" className="btn" onClick={onSkip}>
                    Skip
                </button>
            </div>
        </section>
    );
}

/** What both said, side by side. */
export function Both({ looks }: { looks: Look[] }) {
    return (
        <ul className="pb-3">
            {looks.map(
                (look) =>
                    look.own &&
                    look.coach && (
                        <li key={key(look)} className="border-t border-line py-1">
                            {look.name}: you {WORDS[look.own]}, the coach {WORDS[look.coach]}
                        </li>
                    ),
            )}
        </ul>
    );
}
