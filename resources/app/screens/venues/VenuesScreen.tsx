import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Venue } from '../../api/client';
import { newId } from '../../offline/store';
import { type Floor, FLOORS } from '../../parts/FloorChoice';
import { chosen, figure, typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { venueInWords } from '../../parts/venues';
import { Waiting } from '../../parts/Waiting';
import { AtHand } from '../../parts/AtHand';

const NEW: Omit<Venue, 'id'> = { name: '', length_m: null, width_m: null, floor: null, balls: null, objects: null };

/** Where the club trains, with what is there: said once. */
export function VenuesScreen() {
    const me = useMe();
    const queries = useQueryClient();
    const [editing, setEditing] = useState<Venue | null>(null);
    const query = useQuery({ queryKey: ['venues'], queryFn: () => api('GET', '/api/venues') });
    if (!query.data) return <Waiting query={query} what="the venues" />;
    const kept = (venues: Venue[]): void => {
        queries.setQueryData(['venues'], venues);
        setEditing(null);
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-x-4 gap-y-2 py-3">
                <h1 className="text-2xl">Venues</h1>
                <Link to="/calendar" className="opens head">
                    Calendar
                </Link>
                <span className="grow" />
                {me.decides && (
                    <button type="button" className="btn btn-main" onClick={() => setEditing({ ...NEW, id: newId() })}>
                        Add a venue
                    </button>
                )}
            </header>
            <p className="max-w-[75ch] pb-3 text-soft">
                A session that names one has its floor, its balls and what is at hand there; no station is longer than
                the room. What was planned before stays as it was.
            </p>
            {query.data.length === 0 && <p className="border-t-2 border-ink py-4 text-soft">None yet.</p>}
            <ul className={query.data.length > 0 ? 'border-t-2 border-ink' : ''}>
                {query.data.map((venue) => (
                    <li key={venue.id} className="flex flex-wrap items-center gap-x-6 border-b border-line py-2">
                        <span className="head w-56 text-lg">{venue.name}</span>
                        <span className="grow">{venueInWords(venue)}</span>
                        {me.decides && (
                            <button type="button" className="btn" onClick={() => setEditing(venue)}>
                                Change
                            </button>
                        )}
                    </li>
                ))}
            </ul>
            {editing && <VenueForm key={editing.id} venue={editing} onKept={kept} onClose={() => setEditing(null)} />}
        </main>
    );
}

function VenueForm({
    venue,
    onKept,
    onClose,
}: {
    venue: Venue;
    onKept: (venues: Venue[]) => void;
    onClose: () => void;
}) {
    const [problem, setProblem] = useState<unknown>(null);
    const [objects, setObjects] = useState(venue.objects);
    const kit = useQuery({ queryKey: ['objects'], queryFn: () => api('GET', '/api/objects'), staleTime: Infinity });
    return (
        <Sheetlet open onClose={onClose} title={venue.name === '' ? 'A venue' : venue.name}>
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    api('PUT', '/api/venues', {
                        id: venue.id,
                        name: typed(form, 'name'),
                        length_m: figure(form, 'length_m'),
                        width_m: figure(form, 'width_m'),
                        floor: chosen<NonNullable<Floor>>(form, 'floor'),
                        balls: figure(form, 'balls'),
                        objects,
                    }).then(onKept, setProblem);
                }}
            >
                <LabelledInput
                    label="What it is called"
                    name="name"
                    required
                    maxLength={80}
                    defaultValue={venue.name}
                />
                <div className="grid grid-cols-3 gap-2">
                    <Metres name="length_m" label="Length, m" value={venue.length_m} />
                    <Metres name="width_m" label="Width, m" value={venue.width_m} />
                    <LabelledInput
                        label="Balls"
                        name="balls"
                        type="number"
                        min={0}
                        max={500}
                        defaultValue={venue.balls ?? ''}
                    />
                </div>
                <Labelled label="Floor">
                    <select className="field" name="floor" defaultValue={venue.floor ?? ''}>
                        <Options of={FLOORS} />
                    </select>
                </Labelled>
                {kit.data && <AtHand kit={kit.data} objects={objects} onChange={setObjects} />}
                <Notice problem={problem} />
                <p className="flex gap-2">
                    <button className="btn btn-main">Save</button>
                    {venue.name !== '' && (
                        <button
                            type="button"
                            className="btn"
                            onClick={() => {
                                api('POST', `/api/venues/${venue.id}/remove`).then(onKept, setProblem);
                            }}
                        >
                            Take it away
                        </button>
                    )}
                </p>
            </form>
        </Sheetlet>
    );
}

function Metres({ name, label, value }: { name: string; label: string; value: number | null }) {
    return (
        <LabelledInput
            label={label}
            name={name}
            type="number"
            step="0.1"
            min={1}
            max={500}
            defaultValue={value ?? ''}
        />
    );
}
