import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Film } from '../../api/client';
import { Labelled, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Toggle } from '../../parts/Toggle';
import { Compared } from './Compared';
import type { FilmLadder } from './marks';
import { bestOf, type Shown, shownOf } from './shown';

/** Two repetitions at one moment: the first and the latest, the latest and the best, or somebody else’s. */
export function TwoOf({ film, shown, ladder }: { film: Film; shown: Shown[]; ladder: FilmLadder }) {
    const [other, setOther] = useState('');
    const theirs = useTheirs(other, ladder.id);
    const [first, setFirst] = useState(shown.at(-1)?.key ?? '');
    const [second, setSecond] = useState(shown[0]?.key ?? '');
    const marked = ladder.moments.find(({ id }) => shown[0]?.rep.marks.some((mark) => mark.moment === id));
    const [moment, setMoment] = useState((marked ?? ladder.moments[0])?.id ?? '');
    const [view, setView] = useState({ over: false, mirror: false });
    const all = [...shown, ...theirs.shown];
    const of = (key: string): Shown | undefined => all.find((each) => each.key === key);
    const [a, b] = [of(first), of(second) ?? shown[0]];
    const show = (one: Shown | undefined, two: Shown | undefined): void => {
        if (one) setFirst(one.key);
        if (two) setSecond(two.key);
    };
    const choices = all.map((each) => [each.key, each.name] as const);
    return (
        <section aria-label="Two beside each other" className="pt-5">
            <h2 className="text-lg">Two beside each other</h2>
            <div className="flex flex-wrap gap-1.5 py-1">
                <button type="button" className="btn" onClick={() => show(shown.at(-1), shown[0])}>
                    First and latest
                </button>
                <button type="button" className="btn" onClick={() => show(bestOf(shown), shown[0])}>
                    Best and latest
                </button>
                <Toggle on={view.over} onChange={(over) => setView({ ...view, over })}>
                    Laid over
                </Toggle>
                <Toggle on={view.mirror} onChange={(mirror) => setView({ ...view, mirror })}>
                    Other one mirrored
                </Toggle>
            </div>
            <div className="flex flex-wrap gap-3 pb-2">
                <Labelled label="One" tight>
                    <select className="field" value={first} onChange={(event) => setFirst(event.target.value)}>
                        <Options of={choices} />
                    </select>
                </Labelled>
                <Labelled label="The other" tight>
                    <select className="field" value={b?.key} onChange={(event) => setSecond(event.target.value)}>
                        <Options of={choices} />
                    </select>
                </Labelled>
                <Labelled label="At" tight>
                    <select className="field" value={moment} onChange={(event) => setMoment(event.target.value)}>
                        <Options of={ladder.moments} />
                    </select>
                </Labelled>
                <SomebodyElse film={film} chosen={other} onChoose={setOther} />
            </div>
            <Notice problem={theirs.problem} />
            {theirs.says !== null && <p className="text-sm text-soft">{theirs.says}</p>}
            {a && b && <Compared one={a} other={b} moment={moment} ladder={ladder} view={view} />}
        </section>
    );
}

/** What was measured of another athlete on the same ladder. */
function useTheirs(athlete: string, ladder: string): { shown: Shown[]; says: string | null; problem: unknown } {
    const { data, error } = useQuery({
        queryKey: ['film', athlete],
        queryFn: () => api('GET', `/api/athletes/${athlete}/film`),
        enabled: athlete !== '',
    });
    const shown = data?.may_film ? shownOf(data, ladder, `${data.athlete.given_name}, `) : [];
    return { shown, says: data ? whatOf(data, shown) : null, problem: error };
}

/** Two athletes are shown beside each other where both agreed to film. */
function whatOf({ may_film, athlete }: Film, shown: Shown[]): string {
    if (!may_film) return `${athlete.given_name} has not agreed to film: nothing of it is shown here.`;
    return shown.length === 0
        ? `Nothing of this ladder is measured of ${athlete.given_name}.`
        : `${athlete.given_name}’s can be chosen now. What two people differ in says nothing of who is better.`;
}

function SomebodyElse({ film, chosen, onChoose }: { film: Film; chosen: string; onChoose: (athlete: string) => void }) {
    const roster = useQuery({ queryKey: ['roster'], queryFn: () => api('GET', '/api/athletes') });
    const all = roster.data?.athletes ?? [];
    const squads = all.find(({ id }) => id === film.athlete.id)?.squads ?? [];
    const rows = all.filter(
        ({ id, squads: of }) => id !== film.athlete.id && of.some((squad) => squads.includes(squad)),
    );
    if (rows.length === 0 || !film.may_film) return null;
    return (
        <Labelled label="Also of" tight>
            <select className="field" value={chosen} onChange={(event) => onChoose(event.target.value)}>
                <option value="">nobody else</option>
                <Options of={rows} />
            </select>
        </Labelled>
    );
}
