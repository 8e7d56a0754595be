import { Link } from '@tanstack/react-router';
import type { Plan } from '../api/client';
import { useMe } from './Frame';

/** A match of a whole squad opens to its line-up and its count; what only one athlete has does not. */
export function MatchLink({
    fixture,
}: {
    fixture: Pick<Plan['fixtures'][number], 'id' | 'kind' | 'title' | 'athlete_id'>;
}) {
    const me = useMe();
    if (fixture.kind !== 'match' || fixture.athlete_id || !me.records) return <>{fixture.title}</>;
    return (
        <Link to="/matches/$fixtureId" params={{ fixtureId: fixture.id }} className="opens">
            {fixture.title}
        </Link>
    );
}
