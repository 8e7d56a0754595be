import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type CoachNote } from '../api/client';
import { Notice } from './Notice';
import { OneLine } from './OneLine';

/** Words for the next session, of the squad or of one athlete: each writes their own, and reads those of the others. */
export function NoteFor({
    sessionId,
    athleteId,
    name,
    notes,
}: {
    sessionId: string;
    athleteId: string | null;
    name: string;
    notes: CoachNote[];
}) {
    const queries = useQueryClient();
    const about = notes.filter((note) => note.athlete_id === athleteId);
    const own = about.find((note) => note.own)?.text ?? '';
    const [writing, setWriting] = useState(false);
    const [problem, setProblem] = useState<unknown>(null);
    const save = (text: string): void => {
        api('PUT', `/api/sessions/${sessionId}/note`, { athlete_id: athleteId, text })
            .then(() => queries.invalidateQueries())
            .then(() => {
                setWriting(false);
                setProblem(null);
            }, setProblem);
    };
    return (
        <div className="no-print text-sm">
            {about
                .filter((note) => !note.own)
                .map((note) => (
                    <p key={note.by + note.text}>
                        “{note.text}” <span className="text-soft">{note.by}</span>
                    </p>
                ))}
            <Notice problem={problem} />
            {!writing ? (
                <button
                    type="button"
                    className="min-h-9 text-left underline decoration-dotted underline-offset-4"
                    onClick={() => setWriting(true)}
                >
                    {own === '' ? (
                        <>
                            Note for next time<span className="sr-only">, {name}</span>
                        </>
                    ) : (
                        `“${own}”`
                    )}
                </button>
            ) : (
                <OneLine
                    label={`For next time, ${name}: what is to be done`}
                    begun={own}
                    most={400}
                    rows={2}
                    empty={own !== ''}
                    onSave={save}
                    onCancel={() => setWriting(false)}
                />
            )}
        </div>
    );
}

/** What was written at the session before. */
export function NotesBefore({ notes }: { notes: CoachNote[] }) {
    if (notes.length === 0) return null;
    return (
        <ul aria-label="Notes from last time" className="mb-2 border-l-4 border-tape pl-3">
            {notes.map((note) => (
                <li key={note.by + note.text}>
                    <span className="head">“{note.text}”</span>{' '}
                    <span className="text-sm text-soft">
                        {note.by}
                        {note.athlete_id === null ? ', for all' : ''}
                    </span>
                </li>
            ))}
        </ul>
    );
}
