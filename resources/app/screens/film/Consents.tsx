import { useState } from 'react';
import type { Film } from '../../api/client';
import type { Body } from '../../api/typed';
import { newId } from '../../offline/store';
import { picked, typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';

type Consent = Body<'POST', `/api/athletes/${string}/film/consents`>;

/** What one signs for. Single pictures are agreed to with measuring, or not at all. */
const TO = [
    ['measure', 'being filmed and measured'],
    ['pictures', 'that, and single pictures being saved'],
    ['send', 'a clip being sent in'],
] as const;
type To = (typeof TO)[number][0];
const meant = (to: To): Pick<Consent, 'kind' | 'pictures'> => ({
    kind: to === 'send' ? 'send' : 'measure',
    pictures: to === 'pictures',
});

const ROLES = { guardian: 'a guardian', athlete: 'the athlete' } as const;

/** Who agreed that this athlete is filmed and measured, and whose yes is missing. */
export function Consents({
    film,
    onAgree,
    onWithdraw,
}: {
    film: Film;
    onAgree: (consent: Consent) => void;
    onWithdraw: (id: string) => void;
}) {
    const me = useMe();
    const [more, setMore] = useState(!film.may_film);
    const isOwn = me.role === 'guardian' || me.role === 'athlete';
    const maySay = me.decides || isOwn;
    return (
        <section aria-label="Agreed to film" className="border-l-4 border-tape py-1 pl-3">
            {film.may_film ? (
                <p>
                    Agreed to: measuring on this device. The clip stays here; where the points lay is saved
                    {film.may_keep_pictures ? ', and single pictures, cut to the athlete' : ''}.{' '}
                    <button type="button" className="opens" aria-expanded={more} onClick={() => setMore(!more)}>
                        Who agreed
                    </button>
                </p>
            ) : (
                <>
                    <p className="head">The camera stays shut for {film.athlete.given_name}.</p>
                    {film.missing.map((sentence) => (
                        <p key={sentence}>{sentence}</p>
                    ))}
                </>
            )}
            {more && (
                <>
                    <ul className="mt-1">
                        {film.consents.map((consent) => (
                            <li key={consent.id} className={consent.holds ? '' : 'text-soft'}>
                                {consent.sentence}{' '}
                                {!consent.withdrawn && maySay && (
                                    <button
                                        type="button"
                                        className="btn btn-quiet min-h-8"
                                        onClick={() => onWithdraw(consent.id)}
                                    >
                                        Withdraw
                                    </button>
                                )}
                            </li>
                        ))}
                    </ul>
                    {isOwn && (
                        <form
                            className="mt-2 flex flex-wrap items-end gap-2"
                            onSubmit={(event) => {
                                event.preventDefault();
                                onAgree({
                                    id: newId(),
                                    ...meant(picked<To>(new FormData(event.currentTarget), 'to')),
                                    role: me.role === 'athlete' ? 'athlete' : 'guardian',
                                    given_by: me.name,
                                    second_person: null,
                                    given_on: film.date,
                                });
                            }}
                        >
                            <Labelled label={`For ${film.athlete.given_name}, to`} tight>
                                <select className="field" name="to">
                                    <Options of={TO} />
                                </select>
                            </Labelled>
                            <button className="btn btn-main">I agree</button>
                        </form>
                    )}
                    {me.decides && <OnPaper film={film} onAgree={onAgree} />}
                </>
            )}
        </section>
    );
}

function OnPaper({ film, onAgree }: { film: Film; onAgree: (consent: Consent) => void }) {
    const roles = (['guardian', 'athlete'] as const).filter((role) => film.asked.includes(role));
    return (
        <form
            className="mt-2 grid max-w-5xl gap-2 sm:grid-cols-[8rem_13rem_1fr_1fr_9.5rem_auto] sm:items-end"
            onSubmit={(event) => {
                event.preventDefault();
                const form = new FormData(event.currentTarget);
                onAgree({
                    id: newId(),
                    ...meant(picked<To>(form, 'to')),
                    role: picked<'guardian' | 'athlete'>(form, 'role'),
                    given_by: typed(form, 'given_by'),
                    second_person: typed(form, 'second_person') || null,
                    given_on: typed(form, 'given_on'),
                });
            }}
        >
            <Labelled label="On paper, by" tight>
                <select className="field" name="role">
                    <Options of={roles.map((role) => [role, ROLES[role]] as const)} />
                </select>
            </Labelled>
            <Labelled label="Agrees to" tight>
                <select className="field" name="to">
                    <Options of={TO} />
                </select>
            </Labelled>
            <LabelledInput label="Who signed" name="given_by" required maxLength={120} tight />
            <LabelledInput label="Who saw it signed" name="second_person" required maxLength={120} tight />
            <LabelledInput
                label="on"
                name="given_on"
                type="date"
                required
                max={film.date}
                defaultValue={film.date}
                tight
            />
            <button className="btn">Save</button>
        </form>
    );
}
