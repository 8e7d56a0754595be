import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Roster } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { LabelledInput } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { typed } from '../../parts/forms';
import type { Row } from './AthletesScreen';

/** Which squads somebody trains with; and the way out of all of them, and back. */
export function MoveAthlete({
    athlete,
    squads,
    onMoved,
    onClose,
}: {
    athlete: Row;
    squads: Roster['squads'];
    onMoved: (roster: Roster) => void;
    onClose: () => void;
}) {
    const [chosen, setChosen] = useState(athlete.squads);
    const [problem, setProblem] = useState<unknown>(null);
    const path = `/api/athletes/${athlete.id}` as const;
    const toggle = (id: number): void =>
        setChosen(chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id]);
    if (athlete.retired_on !== null)
        return (
            <Sheetlet open onClose={onClose} title={`Bring ${athlete.given_name} back`}>
                <p className="mb-3">
                    Back in the squads left then, and in the sessions planned for them. The rungs stay where they were;
                    after so long the first doses are smaller by themselves. Seasons are planned anew.
                </p>
                <Notice problem={problem} />
                <button
                    type="button"
                    className="btn btn-main"
                    onClick={() => void api('POST', `${path}/come-back`).then(onMoved, setProblem)}
                >
                    Bring back
                </button>
            </Sheetlet>
        );
    return (
        <Sheetlet open onClose={onClose} title={`Where ${athlete.given_name} trains`}>
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    void api('PUT', `${path}/squads`, { squads: chosen }).then(onMoved, setProblem);
                }}
            >
                <fieldset className="grid gap-1">
                    <legend className="label mb-1">Squads, several if need be</legend>
                    {squads.map((squad) => (
                        <label key={squad.id} className="flex min-h-11 items-center gap-2">
                            <input
                                type="checkbox"
                                checked={chosen.includes(squad.id)}
                                onChange={() => toggle(squad.id)}
                            />
                            {squad.name}
                        </label>
                    ))}
                </fieldset>
                <p className="text-sm text-soft">
                    New squads have {athlete.given_name} in their planned sessions; those left plan nothing any more.
                    One arm carries all of it.
                </p>
                <Notice problem={problem} />
                <p className="flex flex-wrap items-center gap-3">
                    <button className="btn btn-main" disabled={chosen.length === 0}>
                        Save
                    </button>
                    <Link to="/athletes/$athleteId/intake" params={{ athleteId: athlete.id }} className="opens">
                        Name, birth date, throwing side
                    </Link>
                </p>
            </form>
            <Retire athlete={athlete} path={path} onMoved={onMoved} onProblem={setProblem} />
        </Sheetlet>
    );
}

function Retire({
    athlete,
    path,
    onMoved,
    onProblem,
}: {
    athlete: Row;
    path: `/api/athletes/${string}`;
    onMoved: (roster: Roster) => void;
    onProblem: (problem: unknown) => void;
}) {
    const me = useMe();
    return (
        <form
            className="mt-4 flex flex-wrap items-end gap-3 border-t border-line pt-3"
            onSubmit={(event) => {
                event.preventDefault();
                const day = typed(new FormData(event.currentTarget), 'day');
                void api('POST', `${path}/retire`, { day }).then(onMoved, onProblem);
            }}
        >
            <LabelledInput
                label="Last day with the club"
                type="date"
                name="day"
                required
                max={me.today}
                defaultValue={me.today}
            />
            <button className="btn">Retire {athlete.given_name}</button>
            <p className="basis-full text-sm text-soft">
                Out of every list and session, with the whole record kept; brought back any time. For some weeks away,
                enter the days on the athlete’s page instead.
            </p>
        </form>
    );
}
