import { useQuery } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { api, type FlightNumbers } from '../../api/client';
import { ClubNumbers } from '../../parts/ClubNumbers';
import { Waiting } from '../../parts/Waiting';
import { BallRows } from './BallRows';
import { CourtRows } from './CourtRows';
import type { BallFile, CourtFile } from './files';

type Body = { version: number; definition: Record<string, unknown> };

const READ = { balls: () => api('GET', '/api/flight/balls'), courts: () => api('GET', '/api/flight/courts') };
const SAVE = {
    balls: (body: Body) => api('POST', '/api/flight/balls', body),
    courts: (body: Body) => api('POST', '/api/flight/courts', body),
};

/** What the flight of a ball is worked out with, and how the nets hang: put right where the club knows better. */
export function FlightScreen() {
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b-2 border-ink py-3">
                <p className="label">
                    <Link to="/library" className="hover:underline">
                        Library
                    </Link>
                </p>
                <h1 className="text-2xl">Balls and courts</h1>
                <p className="max-w-prose text-soft">
                    Example numbers: they decide how hard a distance is and how large a serve window is. Put them right
                    where you measured, or where your federation says otherwise.
                </p>
            </header>
            <Numbers kind="balls" title="Balls" />
            <Numbers kind="courts" title="Courts" />
        </main>
    );
}

function Numbers({ kind, title }: { kind: FlightNumbers['kind']; title: string }) {
    const queryKey = ['flight', kind] as const;
    const query = useQuery({ queryKey, queryFn: READ[kind], refetchOnWindowFocus: false });
    if (!query.data) return <Waiting query={query} what="the numbers" />;
    const names = Object.fromEntries(query.data.names.map(({ id, name }) => [id, name]));
    return (
        <ClubNumbers
            key={query.data.version}
            title={title}
            part={kind}
            numbers={query.data}
            queryKey={queryKey}
            save={SAVE[kind]}
        >
            {(edited, change) =>
                kind === 'balls' ? (
                    <BallRows file={edited as BallFile} names={names} onChange={change} />
                ) : (
                    <CourtRows file={edited as CourtFile} names={names} onChange={change} />
                )
            }
        </ClubNumbers>
    );
}
