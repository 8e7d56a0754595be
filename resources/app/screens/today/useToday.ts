import { useQuery, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type Today, type TodayRow } from '../../api/client';
import { answerOrKept, keepAnswer } from '../../offline/store';

const REFITTING_MS = 2000;

/** As many as the server works out in one look. */
const ROWS_AT_ONCE = 20;

const placeOf = (squad: number | null): string => `/api/today${squad === null ? '' : `?squad=${squad}`}`;

type RestOfRows = 'here' | 'coming' | 'failed';

/**
 * The squad today. Rows that are not worked out yet are asked for a few at a time, whoever may do least first, and
 * put in their places as they come; until then the row of the look before stands. What this device keeps is the
 * latest of it.
 */
export function useToday(squad: number | null): { today: UseQueryResult<Today>; rest: RestOfRows } {
    const queries = useQueryClient();
    const look = (): Promise<Today> => api('GET', '/api/today', undefined, { query: { squad } });
    const today = useQuery({
        queryKey: ['today', squad],
        queryFn: async () =>
            withEarlier(await answerOrKept(placeOf(squad), look), queries.getQueryData(['today', squad])),
        refetchInterval: ({ state: { data } }) =>
            // A look that comes before its rows are complete would begin anew.
            data !== undefined && data.refitting > 0 && data.waiting.length === 0 ? REFITTING_MS : false,
    });
    const failed = useRestOfRows(squad, today.data);
    const waits = (today.data?.waiting.length ?? 0) > 0;
    return { today, rest: !waits ? 'here' : failed ? 'failed' : 'coming' };
}

function useRestOfRows(squad: number | null, today: Today | undefined): boolean {
    const queries = useQueryClient();
    const [failedOf, setFailedOf] = useState<Today | null>(null);
    useEffect(() => {
        if (today === undefined || today.waiting.length === 0) return;
        let stopped = false;
        const asked = today.waiting.slice(0, ROWS_AT_ONCE);
        const take = async (): Promise<void> => {
            const athletes = asked.map((each) => each.athlete_id).join(',');
            // The rows are of the squad that was shown, also where none was chosen.
            const { rows } = await api('GET', '/api/today/rows', undefined, {
                query: { squad: today.squad.id, athletes },
            });
            if (stopped) return;
            const fuller = withRows(today, rows);
            queries.setQueryData(['today', squad], fuller);
            keepAnswer(placeOf(squad), fuller);
        };
        void take().catch(() => {
            if (!stopped) setFailedOf(today);
        });
        return () => {
            stopped = true;
        };
    }, [queries, squad, today]);
    return failedOf !== null && failedOf === today;
}

/** A look with the rows of the look before, of those whose new ones it left for later. */
export function withEarlier(today: Today, before: Today | undefined): Today {
    const waiting = new Set(today.waiting.map((each) => each.athlete_id));
    const earlier = (before?.rows ?? []).filter((row) => waiting.has(row.athlete.id));
    return { ...today, rows: inOrder(today.order, [...today.rows, ...earlier], (row) => row.athlete.id) };
}

/** Whoever was asked for waits no longer: who has no row any more is not of the squad any more. */
export function withRows(today: Today, rows: TodayRow[]): Today {
    const asked = new Set(today.waiting.slice(0, ROWS_AT_ONCE).map((each) => each.athlete_id));
    const others = today.rows.filter((row) => !asked.has(row.athlete.id));
    return {
        ...today,
        rows: inOrder(today.order, [...others, ...rows], (row) => row.athlete.id),
        waiting: today.waiting.slice(ROWS_AT_ONCE),
    };
}

type Waiting = Today['waiting'][number];

/** The rows that there are, and in their places those who have none yet. */
export function inPlaces({ order, rows, waiting }: Pick<Today, 'order' | 'rows' | 'waiting'>): (TodayRow | Waiting)[] {
    const there = new Set(rows.map((row) => row.athlete.id));
    const without = waiting.filter((each) => !there.has(each.athlete_id));
    return inOrder<TodayRow | Waiting>(order, [...rows, ...without], (each) =>
        'athlete_id' in each ? each.athlete_id : each.athlete.id,
    );
}

function inOrder<Each>(order: string[], all: Each[], idOf: (each: Each) => string): Each[] {
    const places = new Map(order.map((id, place) => [id, place]));
    const placeOf = (each: Each): number => places.get(idOf(each)) ?? order.length;
    return [...all].sort((a, b) => placeOf(a) - placeOf(b));
}
