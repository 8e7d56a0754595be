import { Link } from '@tanstack/react-router';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Me } from '../api/client';
import { dayName } from '../api/words';
import { ChooseCode } from './Locked';

/** Who is signed in, where else, and the way out. */
export function Account({ me, onLeave }: { me: Me; onLeave: () => void }) {
    return (
        <div className="grid gap-1">
            <p className="head">{me.name}</p>
            <p className="text-soft">
                {me.role[0]?.toUpperCase()}
                {me.role.slice(1)}, {me.workspace}
            </p>
            {me.code && (
                <p className="mt-2 border-l-4 border-tape pl-2">
                    Not confirmed yet: show the head coach{' '}
                    <strong className="text-xl tracking-widest">{me.code}</strong>, face to face. Until then this
                    account clears nobody.
                </p>
            )}
            <Places />
            <ChooseCode />
            <Link to="/phone" className="mt-2 underline">
                Open Augendo on a phone
            </Link>
            <button type="button" className="btn mt-2" onClick={onLeave}>
                Sign out
            </button>
        </div>
    );
}

/** Where one is signed in, and the way to end the others. */
function Places() {
    const queries = useQueryClient();
    const places = useQuery({ queryKey: ['places'], queryFn: () => api('GET', '/api/me/places') });
    if (!places.data) return null;
    return (
        <div className="mt-2 border-t border-line pt-2">
            <p className="label">Signed in</p>
            <ul>
                {places.data.map((place) => (
                    <li key={place.id} className="text-sm">
                        {place.browser},{' '}
                        {place.here
                            ? 'here'
                            : `last seen ${dayName(place.last_seen.slice(0, 10))} ${place.last_seen.slice(11, 16)}`}
                    </li>
                ))}
            </ul>
            {places.data.length > 1 && (
                <button
                    type="button"
                    className="btn mt-1"
                    onClick={() =>
                        void api('POST', '/api/me/places/end-others').then((left) =>
                            queries.setQueryData(['places'], left),
                        )
                    }
                >
                    Sign out everywhere else
                </button>
            )}
        </div>
    );
}
