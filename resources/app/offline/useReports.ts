import { useCallback } from 'react';
import { type KeptReport, reportsOf } from './store';
import { useKept } from './useKept';

const NONE: KeptReport[] = [];

/** Reports of an athlete that lie on this device, sent or not. */
export function useReports(athleteId: string): KeptReport[] {
    return useKept(
        useCallback(() => reportsOf(athleteId), [athleteId]),
        NONE,
        false,
    );
}
