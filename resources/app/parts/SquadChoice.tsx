import type { RollCall } from '../api/client';

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
            {squads.map((each) => (
                <option key={each.id} value={each.id}>
                    {each.name}
                </option>
            ))}
        </select>
    ) : (
        <>{squad.name}</>
    );
}
