import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { click } from '../../parts/sound';
import { useNow } from '../../parts/useNow';
import { beginsAt, type Phase, phaseAt } from '../../rules/clock';

const LOOK_MS = 200;
/** The last seconds of a stretch are heard. */
const COUNTED_DOWN = 3;

/** A clock that runs through its phases, heard and felt where it changes. */
export function useGroupClock(phases: Phase[]) {
    const [began, setBegan] = useState<number | null>(null);
    const [pausedAt, setPausedAt] = useState<number | null>(null);
    const audio = useRef<AudioContext | null>(null);
    const ticks = useNow(began === null || pausedAt !== null ? null : LOOK_MS);
    const passedS = began === null ? 0 : Math.max(0, ((pausedAt ?? ticks) - began) / 1000);
    const now = began === null ? null : phaseAt(phases, passedS);
    const beat = now === null ? (began === null ? 'still' : 'over') : `${now.index} ${Math.ceil(now.leftS)}`;
    const sound = useEffectEvent(() => {
        if (began === null || audio.current === null) return;
        const starts = now !== null && Math.ceil(now.leftS) === now.phase.seconds;
        const counts = now !== null && Math.ceil(now.leftS) <= COUNTED_DOWN;
        if (!starts && !counts && now !== null) return;
        click(audio.current, audio.current.currentTime, starts || now === null);
        if (starts || now === null) navigator.vibrate?.([200, 100, 200]);
    });
    useEffect(() => sound(), [beat]);
    return {
        now,
        running: began !== null,
        paused: pausedAt !== null,
        start: (): void => {
            audio.current ??= new AudioContext();
            setPausedAt(null);
            setBegan(Date.now());
        },
        pause: (): void => {
            if (pausedAt === null) {
                setPausedAt(Date.now());
                return;
            }
            // What stood still did not pass.
            setBegan((began ?? 0) + Date.now() - pausedAt);
            setPausedAt(null);
        },
        skip: (): void => {
            if (now === null) return;
            setPausedAt(null);
            setBegan(Date.now() - 1000 * beginsAt(phases, now.index + 1));
        },
        stop: (): void => {
            setBegan(null);
            setPausedAt(null);
        },
    };
}

export type GroupClock = ReturnType<typeof useGroupClock>;
