import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { clsx } from 'clsx';
import { useState } from 'react';
import { api, type Grips } from '../../api/client';
import { dayName } from '../../api/words';
import { newId } from '../../offline/store';
import { typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';

type Grip = Grips['grips'][number];
type Note = Grip['notes'][number];

const PARTS = [
    ['fingers', 'Fingers'],
    ['pressure', 'Pressure'],
    ['thumb', 'Thumb'],
] as const;

/** How is the ball held, what was changed, and what did it do? */
export function GripsScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/grips' });
    const me = useMe();
    const queries = useQueryClient();
    const key = ['grips', athleteId];
    const query = useQuery({ queryKey: key, queryFn: () => api('GET', `/api/athletes/${athleteId}/grips`) });
    const takeBack = useMutation({
        mutationFn: (id: string) => api('POST', `/api/athletes/${athleteId}/grips/${id}/withdraw`),
        onSuccess: (now) => queries.setQueryData(key, now),
    });
    if (!query.data) return <Waiting query={query} what="the grips" />;
    const { athlete, grips } = query.data;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b-2 border-ink py-3">
                <p className="label">
                    <Link to="/athletes/$athleteId" params={{ athleteId }} className="hover:underline">
                        {athlete.name}
                    </Link>
                </p>
                <h1 className="text-2xl">Grips</h1>
                <p className="max-w-prose text-soft">
                    A line each time it is held another way. Change one thing, look what the ball does, write it down.
                    All grips count together in the limits. A forearm is never twisted on purpose; a sore hand or elbow
                    ends it.
                </p>
            </header>
            <Notice problem={takeBack.error} />
            <div className="grid gap-x-12 gap-y-6 pt-4 lg:grid-cols-[1fr_22rem]">
                <div className="grid content-start gap-6">
                    {grips.length === 0 && <p className="text-lg">Nothing is written down yet.</p>}
                    {grips.map((grip) => (
                        <OneGrip
                            key={`${grip.ladder} ${grip.name}`}
                            grip={grip}
                            may={me.records}
                            onTakeBack={takeBack.mutate}
                        />
                    ))}
                </div>
                {me.records && query.data.ladders.length > 0 && <Add grips={query.data} queryKey={key} />}
            </div>
        </main>
    );
}

function OneGrip({ grip, may, onTakeBack }: { grip: Grip; may: boolean; onTakeBack: (id: string) => void }) {
    return (
        <section aria-label={grip.name}>
            <h2 className="border-b-2 border-ink pb-1 text-base">
                {grip.name} <span className="label">{grip.ladder_name}</span>
            </h2>
            <ul>
                {grip.notes.map((note) => (
                    <Line key={note.id} note={note} may={may} onTakeBack={onTakeBack} />
                ))}
            </ul>
        </section>
    );
}

/** What is otherwise than the time before stands out. */
function Line({ note, may, onTakeBack }: { note: Note; may: boolean; onTakeBack: (id: string) => void }) {
    return (
        <li className="grid gap-x-4 border-b border-line py-2 sm:grid-cols-[7rem_1fr_auto]">
            <span className="label">{dayName(note.day)}</span>
            <div>
                <dl className="flex flex-wrap gap-x-6">
                    {PARTS.map(([part, label]) => (
                        <div key={part} className={clsx(note.changed.includes(part) && 'border-b-4 border-tape')}>
                            <dt className="label">
                                {label}
                                {note.changed.includes(part) && ', changed'}
                            </dt>
                            <dd>{note[part]}</dd>
                        </div>
                    ))}
                </dl>
                <p className="mt-1">
                    <span className="text-soft">The ball:</span> {note.did}
                </p>
                {note.warning && <p className="mt-1 border-l-4 border-reduced pl-2">{note.warning}</p>}
            </div>
            {may && (
                <button
                    type="button"
                    className="btn btn-quiet self-start"
                    aria-label={`Take back the line of ${dayName(note.day)}`}
                    onClick={() => onTakeBack(note.id)}
                >
                    Take back
                </button>
            )}
        </li>
    );
}

/** Begun with the last line of the grip that is chosen: only what was changed is typed. */
function Add({ grips: { grips, ladders, athlete, today }, queryKey }: { grips: Grips; queryKey: string[] }) {
    const queries = useQueryClient();
    const [ladder, setLadder] = useState(grips[0]?.ladder ?? ladders[0]?.id ?? '');
    const [name, setName] = useState(grips[0]?.name ?? '');
    const [id, setId] = useState(newId);
    const last = grips.find((grip) => grip.ladder === ladder && grip.name === name)?.notes[0];
    const add = useMutation({
        mutationFn: (form: FormData) =>
            api('POST', `/api/athletes/${athlete.id}/grips`, {
                id,
                ladder,
                name,
                day: today,
                fingers: typed(form, 'fingers'),
                pressure: typed(form, 'pressure'),
                thumb: typed(form, 'thumb'),
                did: typed(form, 'did'),
            }),
        onSuccess: (now) => {
            setId(newId());
            queries.setQueryData(queryKey, now);
        },
    });
    return (
        <form
            key={last?.id ?? 'first'}
            aria-label="Add a line"
            className="grid content-start gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                add.mutate(new FormData(event.currentTarget));
            }}
        >
            <h2 className="text-base">Today</h2>
            <Labelled label="Ladder">
                <select className="field" value={ladder} onChange={(event) => setLadder(event.target.value)}>
                    <Options of={ladders} />
                </select>
            </Labelled>
            <LabelledInput
                label="Name of the grip"
                required
                maxLength={60}
                list="grip-names"
                value={name}
                onChange={(event) => setName(event.target.value)}
            />
            <datalist id="grip-names">
                {grips.map((grip) => (
                    <option key={`${grip.ladder} ${grip.name}`} value={grip.name} />
                ))}
            </datalist>
            {PARTS.map(([part, label]) => (
                <LabelledInput
                    key={part}
                    label={label}
                    name={part}
                    required
                    maxLength={200}
                    defaultValue={last?.[part] ?? ''}
                />
            ))}
            <LabelledInput label="What the ball did" name="did" required maxLength={200} />
            <Notice problem={add.error} />
            <button className="btn btn-main" disabled={add.isPending}>
                Save
            </button>
        </form>
    );
}
