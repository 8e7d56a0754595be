import { useCallback, useEffect, useRef, useState } from 'react';
import { api, type Film, Problem } from '../../api/client';
import { own } from '../../offline/person';
import { forget, recall, remember } from '../../offline/place';
import type { KeptClip } from './marks';

const place = (athleteId: string): string => own(`film-unsent-${athleteId}`);
const waiting = (athleteId: string): KeptClip[] => JSON.parse(recall(place(athleteId)) ?? '[]') as KeptClip[];

function keep(athleteId: string, clips: KeptClip[]): void {
    if (clips.length === 0) forget(place(athleteId));
    else remember(place(athleteId), JSON.stringify(clips));
}

/** What was measured without a connection: kept on this device, and sent when there is one again. */
export function useUnsent(athleteId: string, onSent: (film: Film) => void) {
    const [left, setLeft] = useState(() => waiting(athleteId).length);
    const [problem, setProblem] = useState<unknown>(null);
    const sent = useRef(onSent);
    useEffect(() => {
        sent.current = onSent;
    });
    const send = useCallback(async (): Promise<void> => {
        for (const clip of waiting(athleteId)) {
            try {
                const film = await api('POST', `/api/athletes/${athleteId}/film/clips`, clip);
                keep(
                    athleteId,
                    waiting(athleteId).filter(({ id }) => id !== clip.id),
                );
                sent.current(film);
                setProblem(null);
            } catch (error) {
                // Without a connection it waits; what is refused is said, and waits as well.
                if (!(error instanceof Problem && error.isOffline)) setProblem(error);
                break;
            }
        }
        setLeft(waiting(athleteId).length);
    }, [athleteId]);
    useEffect(() => {
        const now = (): void => void send();
        now();
        window.addEventListener('online', now);
        return () => window.removeEventListener('online', now);
    }, [send]);
    return {
        left,
        problem,
        send,
        setAside: (clip: KeptClip): void => {
            keep(athleteId, [...waiting(athleteId), clip]);
            setLeft(waiting(athleteId).length);
        },
        drop: (): void => {
            keep(athleteId, []);
            setLeft(0);
            setProblem(null);
        },
    };
}
