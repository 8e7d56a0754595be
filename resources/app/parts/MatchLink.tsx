import { Link } from '@tanstack/react-router';
import { useMe } from './Frame';

/** A match of a whole squad opens to its line-up and its count; what only one athlete has does not. */
export function MatchLink({
    fixture,
}: {
    fixture: { id: string; kind: 'match' | 'elsewhere'; title: string; athlete_id?: string | null };
}) {
    const me = useMe();
    if (fixture.kind !== 'match' || fixture.athlete_id || !me.records) return <>{fixture.title}</>;
    return (
        <Link to="/matches/$fixtureId" params={{ fixtureId: fixture.id }} className="opens">
            {fixture.title}
        </Link>
    );
}
