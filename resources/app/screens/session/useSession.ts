import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Session } from '../../api/client';
import type { Floor } from '../../parts/FloorChoice';

export type SpaceSet = Session['spaces'][number];
export type Setup = {
    minutes: number;
    adults: number;
    balls: number;
    spaces: SpaceSet[];
    absent: string[];
    late: { athlete: string; minutes: number }[];
};

const LATE_BY_MIN = 10;

const setupOf = (session: Session): Setup => ({
    minutes: session.minutes,
    adults: session.adults,
    balls: session.balls,
    spaces: session.spaces,
    absent: session.absent.map((athlete) => athlete.id),
    late: session.members
        .filter((member) => member.late_minutes > 0)
        .map((member) => ({ athlete: member.athlete.id, minutes: member.late_minutes })),
});

/** The session as it is set up, and every change of it. */
export function useSession(kept: Session) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const put = (answer: Session): void => {
        queries.setQueryData(['session', kept.id], answer);
        setProblem(null);
        void queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
    };
    const keep = (setup: Setup): Promise<void> =>
        api('PUT', `/api/sessions/${kept.id}`, { version: kept.version, ...setup }).then(put, setProblem);
    const setup = setupOf(kept);
    const toggleAbsent = (id: string): void => {
        void keep({
            ...setup,
            absent: setup.absent.includes(id) ? setup.absent.filter((each) => each !== id) : [...setup.absent, id],
            late: setup.late.filter((each) => each.athlete !== id),
        });
    };
    const toggleLate = (id: string): void => {
        void keep({
            ...setup,
            late: setup.late.some((each) => each.athlete === id)
                ? setup.late.filter((each) => each.athlete !== id)
                : [...setup.late, { athlete: id, minutes: LATE_BY_MIN }],
        });
    };
    return {
        problem,
        setup,
        keep,
        toggleAbsent,
        toggleLate,
        landedOn: (floor: Floor) => void api('PUT', `/api/sessions/${kept.id}/floor`, { floor }).then(put, setProblem),
        undo: () => void api('POST', `/api/sessions/${kept.id}/undo`).then(put, setProblem),
    };
}

export type Changes = ReturnType<typeof useSession>;
