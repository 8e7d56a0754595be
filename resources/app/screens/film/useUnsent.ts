import { useCallback, useEffect, useRef, useState } from 'react';
import { api, type Film, Problem } from '../../api/client';
import { clipsOf, type KeptClip, keepClips } from '../../offline/clips';

/** What was measured without a connection: kept on this device, and sent when there is one again. */
export function useUnsent(athleteId: string, onSent: (film: Film) => void) {
    const [left, setLeft] = useState(() => clipsOf(athleteId).length);
    const [problem, setProblem] = useState<unknown>(null);
    const sent = useRef(onSent);
    useEffect(() => {
        sent.current = onSent;
    });
    const send = useCallback(async (): Promise<void> => {
        for (const clip of clipsOf(athleteId)) {
            try {
                const film = await api('POST', `/api/athletes/${athleteId}/film/clips`, clip);
                keepClips(
                    athleteId,
                    clipsOf(athleteId).filter(({ id }) => id !== clip.id),
                );
                sent.current(film);
                setProblem(null);
            } catch (error) {
                // Without a connection it waits; what is refused is said, and waits as well.
                if (!(error instanceof Problem && error.isOffline)) setProblem(error);
                break;
            }
        }
        setLeft(clipsOf(athleteId).length);
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
            keepClips(athleteId, [...clipsOf(athleteId), clip]);
            setLeft(clipsOf(athleteId).length);
        },
        drop: (): void => {
            keepClips(athleteId, []);
            setLeft(0);
            setProblem(null);
        },
    };
}
