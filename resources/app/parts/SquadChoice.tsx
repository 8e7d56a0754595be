import type { RollCall } from '../api/client';
import { Options } from './Labelled';

type Squad = RollCall['squad'];

/** The squad looked at; a choice when there are several. */
export function SquadChoice({
    squad,
    squads,
    onChange,
}: {
    squad: Squad;
    squads: Squad[];
    onChange: (id: number) => void;
}) {
    return squads.length > 1 ? (
        <select
            aria-label="Squad"
            className="bg-transparent underline decoration-dotted underline-offset-4"
            value={squad.id}
            onChange={(event) => onChange(Number(event.target.value))}
        >
            <Options of={squads} />
        </select>
    ) : (
        <>{squad.name}</>
    );
}
