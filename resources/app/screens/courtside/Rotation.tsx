import { useEffect, useRef, useState } from 'react';
import type { Courtside } from '../../api/client';
import { own } from '../../offline/person';
import { forget, recall, remember } from '../../offline/place';
import { Opens } from '../../parts/Opens';
import { useNow } from '../../parts/useNow';
import { click } from '../../parts/sound';
import { clsx } from 'clsx';

type Way = NonNullable<Courtside['rotation']>;

const clock = (seconds: number): string => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** The one clock all go by. Started once on a device, it runs for all athletes of the session. */
export function Rotation({ rotation }: { rotation: Way }) {
    const key = own(`rotation-${rotation.session_id}`);
    const [began, setBegan] = useState(() => Number(recall(key)) || null);
    const now = useNow(began === null ? null : 500);
    const audio = useRef<AudioContext | null>(null);
    const passedS = began === null ? 0 : Math.max(0, Math.floor((now - began) / 1000));
    const at = rotation.rounds.findIndex((round) => passedS < 60 * (round.starts_min + round.minutes));
    const running = began !== null && at >= 0;
    const round = rotation.rounds[at];
    const beginsInS = round ? 60 * round.starts_min - passedS : 0;
    const changing = running && beginsInS > 0;
    const leftS = round ? beginsInS + 60 * round.minutes : 0;
    const next = rotation.rounds[changing ? at : at + 1];
    useEffect(() => {
        // Heard across the hall: three clicks when it is time to move.
        if (changing && audio.current)
            for (let i = 0; i < 3; i++) click(audio.current, audio.current.currentTime + 0.25 * i, true);
    }, [changing]);
    const set = (value: number | null): void => {
        if (value === null) forget(key);
        else remember(key, String(value));
        setBegan(value);
    };
    return (
        <Opens
            label="Rotation"
            className={`btn btn-quiet min-w-0 shrink ${changing ? 'bg-tape-dim font-bold' : ''}`}
            content={
                <div className="grid gap-3">
                    <p className="head">
                        {rotation.rounds.length} {rotation.rounds.length === 1 ? 'round' : 'rounds'} on the clock of the
                        session
                    </p>
                    <ol className="grid gap-1">
                        {rotation.rounds.map(({ what, minutes }, i) => (
                            <li
                                key={`${i} ${what}`}
                                className={clsx(
                                    'flex justify-between gap-6 border-t border-line py-1',
                                    running ? howItReads(i, at) : '',
                                )}
                            >
                                <span>
                                    {i + 1}. {what}, {minutes} min
                                </span>
                                {running && i === at && (
                                    <span>{changing ? `in ${clock(beginsInS)}` : clock(leftS)}</span>
                                )}
                            </li>
                        ))}
                    </ol>
                    <div className="flex flex-wrap gap-2">
                        {running ? (
                            <>
                                {next && (
                                    <button
                                        type="button"
                                        className="btn thumb"
                                        onClick={() => set(Date.now() - 60_000 * next.starts_min)}
                                    >
                                        Next round now
                                    </button>
                                )}
                                <button type="button" className="btn thumb" onClick={() => set(null)}>
                                    Stop
                                </button>
                            </>
                        ) : (
                            <button
                                type="button"
                                className="btn btn-main thumb"
                                onClick={() => {
                                    audio.current ??= new AudioContext();
                                    set(Date.now());
                                }}
                            >
                                Start the clock
                            </button>
                        )}
                    </div>
                </div>
            }
        >
            <span className="truncate">
                {running && round ? (changing ? `Change: ${round.what}` : `${round.what} ${clock(leftS)}`) : 'Rounds'}
            </span>
        </Opens>
    );
}

/** The round that runs is heavy, one that is over struck through. */
function howItReads(round: number, now: number): string {
    if (round === now) return 'font-bold';
    return round < now ? 'text-soft line-through' : '';
}
