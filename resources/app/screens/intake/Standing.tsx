import { useNavigate } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type LadderChoice } from '../../api/client';
import { AthleteFields, athleteIn } from '../../parts/AthleteFields';
import { useMe } from '../../parts/Frame';
import { Labelled, Options } from '../../parts/Labelled';
import type { Editing } from './useIntake';
import { typed } from '../../parts/forms';

export function Person({ intake: { kept, send } }: { intake: Editing }) {
    return (
        <section aria-label="Person">
            <h2 className="text-base">Person</h2>
            <form
                key={`${kept.given_name}${kept.birth_date}`}
                className="grid gap-2"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    void send('PUT', '', athleteIn(form), 'Saved.');
                }}
            >
                <AthleteFields
                    given={kept.given_name}
                    family={kept.family_name}
                    birthDate={kept.birth_date}
                    throwing={kept.athlete.throwing_side}
                    turn={kept.turn_direction}
                />
                <button className="btn justify-self-start">Save</button>
            </form>
        </section>
    );
}

/** Where somebody stands on their ladders. */
export function Ladders({ intake, ladders }: { intake: Editing; ladders: LadderChoice[] | undefined }) {
    const me = useMe();
    const { kept, send } = intake;
    const [ladder, setLadder] = useState<string | null>(null);
    const free = (ladders ?? []).filter((each) => !kept.ladders.some((standing) => standing.id === each.id));
    const chosen = free.find((each) => each.id === ladder) ?? free[0];
    return (
        <section aria-label="Ladders">
            <h2 className="text-base">Ladders</h2>
            {kept.ladders.length === 0 && (
                <p className="border-l-4 border-tape pl-2">On no ladder yet. Placed on one, sessions can be planned.</p>
            )}
            <ul>
                {kept.ladders.map((each) => (
                    <li key={each.id} className="flex items-center justify-between gap-2 border-t border-line py-1">
                        {each.name}
                        {me.decides && (
                            <button
                                type="button"
                                className="btn btn-quiet"
                                onClick={() =>
                                    void send(
                                        'POST',
                                        `/placements/${each.id}/leave`,
                                        undefined,
                                        'Off this ladder. What was climbed stays held.',
                                    )
                                }
                            >
                                Leave this ladder
                            </button>
                        )}
                    </li>
                ))}
            </ul>
            {me.decides && chosen && <Place intake={intake} free={free} chosen={chosen} onChoose={setLadder} />}
        </section>
    );
}

function Place({
    intake: { path, send, setProblem },
    free,
    chosen,
    onChoose,
}: {
    intake: Editing;
    free: LadderChoice[];
    chosen: LadderChoice;
    onChoose: (ladder: string) => void;
}) {
    const navigate = useNavigate();
    return (
        <>
            <form
                className="mt-2 grid grid-cols-[1fr_1fr_auto] items-end gap-2"
                onSubmit={(event) => {
                    event.preventDefault();
                    const rung = typed(new FormData(event.currentTarget), 'rung');
                    void send(
                        'POST',
                        '/placements',
                        { ladder: chosen.id, rung },
                        'Placed. Sessions planned from now on start there.',
                    );
                }}
            >
                <Labelled label="Place on">
                    <select className="field" value={chosen.id} onChange={(event) => onChoose(event.target.value)}>
                        <Options of={free} />
                    </select>
                </Labelled>
                <Labelled label="at the rung">
                    <select className="field" name="rung" key={chosen.id}>
                        <Options of={chosen.rungs} />
                    </select>
                </Labelled>
                <button className="btn">Place</button>
            </form>

            <p className="mt-2 flex flex-wrap items-center gap-2">
                <button
                    type="button"
                    className="btn"
                    onClick={() =>
                        void api('POST', `${path}/placing/${chosen.id}/start`).then((placed) => {
                            if (placed.sheet_id)
                                void navigate({ to: '/sheets/$sheetId', params: { sheetId: placed.sheet_id } });
                        }, setProblem)
                    }
                >
                    Find the rung
                </button>
                <span className="text-sm text-soft">
                    Ten judged repetitions a rung, upwards: somebody with skill need not start at the foot.
                </span>
            </p>
        </>
    );
}
