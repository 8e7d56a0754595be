import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import type { MatchTeam } from '../../api/client';
import { nowWithOffset } from '../../api/words';
import { own } from '../../offline/person';
import { recall, remember } from '../../offline/place';
import { type KeptWork, keepWork, newId, type Work, workOf } from '../../offline/store';
import { useKept } from '../../offline/useKept';

type Tap = { athlete: string; skill: string };
const NOTHING_KEPT: KeptWork[] = [];

export type TeamCount = ReturnType<typeof useTeamCount>;

/** The taps of a team in a match: on this device until it is over, then load of each athlete, sent when it can be. */
export function useTeamCount(team: MatchTeam) {
    const queries = useQueryClient();
    const key = own(`team-${team.id}`);
    const [taps, setTaps] = useState<Tap[]>(() => (JSON.parse(recall(key) ?? '[]') as Tap[] | null) ?? []);
    const [saved, setSaved] = useState(false);
    const players = team.players.map((each) => each.athlete.id).join(' ');
    const read = useCallback(
        async () =>
            (await Promise.all(players.split(' ').map((id) => workOf(id))))
                .flat()
                .filter(({ work }) => work.source === 'match' && work.day === team.day)
                .filter(({ work }) => (work.fixture ?? team.id) === team.id),
        [players, team.day, team.id],
    );
    const mine = useKept(read, NOTHING_KEPT);
    const write = (next: Tap[]): void => {
        remember(key, JSON.stringify(next));
        setTaps(next);
    };
    const of = (athlete: string, skill: string): number =>
        taps.filter((tap) => tap.athlete === athlete && tap.skill === skill).length;
    const waiting = mine.filter((each) => each.sending === 'waiting');
    const sent = mine.length - waiting.length;
    // What has arrived is on record now: the page asks for it.
    useEffect(() => {
        if (sent > 0) void queries.invalidateQueries({ queryKey: ['team', team.id] });
    }, [sent, queries, team.id]);
    return {
        of,
        /** Saved on this device and not on the server's page yet. */
        kept: (athlete: string, skill: string): number =>
            waiting
                .filter((each) => each.athlete_id === athlete && each.work.skill === skill)
                .reduce((sum, each) => sum + each.work.reps, 0),
        total: taps.length,
        waiting: waiting.reduce((sum, each) => sum + each.work.reps, 0),
        saved,
        tap: (athlete: string, skill: string): void => {
            navigator.vibrate?.(15);
            setSaved(false);
            write([...taps, { athlete, skill }]);
        },
        undo: (): void => write(taps.slice(0, -1)),
        keep: async (): Promise<void> => {
            const pairs = new Map(taps.map((tap) => [`${tap.athlete} ${tap.skill}`, tap]));
            const work = new Map<string, Work[]>();
            for (const { athlete, skill } of pairs.values()) {
                const set: Work = {
                    id: newId(),
                    day: team.day,
                    at: nowWithOffset(),
                    source: 'match',
                    skill: skill,
                    reps: of(athlete, skill),
                    felt: 'hard',
                    distance_m: null,
                    side: 'dominant',
                    fixture: team.id,
                };
                work.set(athlete, [...(work.get(athlete) ?? []), set]);
            }
            write([]);
            for (const [athlete, sets] of work) await keepWork(athlete, sets);
            setSaved(true);
        },
    };
}
