import { useState } from 'react';
import { api, type Film } from '../../api/client';
import { newId } from '../../offline/store';
import { typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { LabelledInput } from '../../parts/Labelled';
import { NotShown } from './source';

/** A clip from home: asked for, waited for, looked at here, and deleted after the review. */
export function AskedClip({
    film,
    ladder,
    busy,
    say,
    onOpen,
}: {
    film: Film;
    ladder: string;
    busy: boolean;
    say: (asked: Promise<Film>) => void;
    onOpen: (fetched: () => Promise<File>) => void;
}) {
    const me = useMe();
    const { asked_clip: asked, athlete } = film;
    if (!me.decides) return null;
    if (asked === null || asked === undefined) return <Ask film={film} ladder={ladder} say={say} />;
    const act = (what: 'keep' | 'end', body?: { kept: boolean }): void =>
        say(
            what === 'keep'
                ? api('POST', `/api/athletes/${athlete.id}/film/asked-clips/${asked.id}/keep`, body ?? { kept: true })
                : api('POST', `/api/athletes/${athlete.id}/film/asked-clips/${asked.id}/end`),
        );
    return (
        <section aria-label="Asked for" className="grid gap-1 border-t border-line py-2">
            <p>
                <strong>{asked.sent ? 'A clip was sent in.' : 'A clip is asked for.'}</strong> “{asked.what}”
            </p>
            <p className="text-sm text-soft">{stateOf(asked)}</p>
            <div className="flex flex-wrap gap-2">
                {asked.sent && (
                    <>
                        <button
                            type="button"
                            className="btn btn-main"
                            disabled={busy || !film.may_film}
                            onClick={() => onOpen(() => fetched(athlete.id, asked.id))}
                        >
                            {busy ? 'Opening…' : 'Look at it'}
                        </button>
                        <button type="button" className="btn" onClick={() => act('keep', { kept: !asked.kept })}>
                            {asked.kept ? 'Delete it with the review' : 'Let it stay after the review'}
                        </button>
                    </>
                )}
                <button type="button" className="btn" onClick={() => act('end')}>
                    {asked.sent ? 'Delete it' : 'Take back'}
                </button>
            </div>
        </section>
    );
}

function stateOf({ sent, kept, agreed, open_until }: NonNullable<Film['asked_clip']>): string {
    if (!sent) return `${agreed ? 'Agreed to' : 'To be agreed to on the personal page'}; open until ${open_until}.`;
    return kept
        ? 'It stays until you delete it or the consent is taken back.'
        : 'You alone see it. It is deleted with the review, at the latest after 14 days.';
}

function Ask({ film, ladder, say }: { film: Film; ladder: string; say: (asked: Promise<Film>) => void }) {
    const [open, setOpen] = useState(false);
    const { athlete } = film;
    if (!open)
        return (
            <button type="button" className="btn btn-quiet" onClick={() => setOpen(true)}>
                Ask for a clip from home
            </button>
        );
    return (
        <form
            className="grid max-w-2xl gap-2 border-t border-line py-2 sm:grid-cols-[1fr_auto_auto] sm:items-end"
            onSubmit={(event) => {
                event.preventDefault();
                const what = typed(new FormData(event.currentTarget), 'what');
                say(api('POST', `/api/athletes/${athlete.id}/film/asked-clips`, { id: newId(), ladder, what }));
            }}
        >
            <LabelledInput
                label="What to film"
                name="what"
                required
                maxLength={300}
                placeholder="Five serves from the side, camera at hip height"
                tight
            />
            <button className="btn btn-main">Ask</button>
            <button type="button" className="btn" onClick={() => setOpen(false)}>
                Cancel
            </button>
        </form>
    );
}

async function fetched(athleteId: string, id: string): Promise<File> {
    const answer = await fetch(`/api/athletes/${athleteId}/film/asked-clips/${id}`).catch(() => null);
    if (!answer?.ok)
        throw new NotShown('The clip could not be fetched: without a connection, or it was deleted. Try again.');
    // When it was filmed is not known here.
    return new File([await answer.blob()], 'Sent in', { lastModified: 0 });
}
