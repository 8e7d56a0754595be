import { useEffect, useState } from 'react';
import { changes, type KeptReport, reportsOf } from './store';

/** Reports of an athlete that lie on this device, sent or not. */
export function useReports(athleteId: string): KeptReport[] {
    const [kept, setKept] = useState<KeptReport[]>([]);
    useEffect(() => {
        const read = (): void => void reportsOf(athleteId).then(setKept);
        read();
        changes.addEventListener('changed', read);
        return () => changes.removeEventListener('changed', read);
    }, [athleteId]);
    return kept;
}
