import { useState } from 'react';
import { api, type Token } from '../../api/client';
import { dayName } from '../../api/words';
import { chosen, typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { LinkShown } from '../../parts/LinkShown';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import type { Editing } from './useIntake';

/** Links that open the athlete’s own page without an account. */
export function PersonalLinks({ intake: { kept, path, reload, setProblem } }: { intake: Editing }) {
    const [made, setMade] = useState<{ token: Token; path: string; whom: string } | null>(null);
    return (
        <section aria-label="Personal links">
            <h2 className="text-base">Personal check-in links</h2>
            <p className="text-sm text-soft">
                Opens {kept.athlete.given_name}’s own page without an account.{' '}
                {kept.links.length === 0 ? 'None works now.' : ''}
            </p>
            <ul>
                {kept.links.map((link) => (
                    <li key={link.id} className="flex items-center justify-between border-t border-line">
                        <span>
                            {link.label} <span className="text-sm text-soft">until {dayName(link.expires_on)}</span>
                        </span>
                        <button
                            type="button"
                            className="btn btn-quiet"
                            onClick={() => {
                                api('POST', `/api/people/links/${link.id}/revoke`).then(reload, setProblem);
                            }}
                        >
                            Take back
                        </button>
                    </li>
                ))}
            </ul>
            <form
                className="mt-2 flex flex-wrap items-end gap-2"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    const label = typed(form, 'label');
                    const heldBy = chosen<'guardian' | 'athlete'>(form, 'held_by');
                    api('POST', `${path}/links`, { label, held_by: heldBy }).then((token) => {
                        setMade({ token, path: '/check-in', whom: label });
                        void reload();
                    }, setProblem);
                }}
            >
                <label className="grid grow gap-1">
                    <span className="label">For whom, for example “mother’s phone”</span>
                    <input className="field" name="label" required />
                </label>
                <Labelled label="Whose page">
                    <select className="field" name="held_by">
                        <Options
                            of={[
                                ['', 'not said'],
                                ['guardian', 'a guardian’s'],
                                ['athlete', 'the athlete’s own'],
                            ]}
                        />
                    </select>
                </Labelled>
                <button className="btn">Make a link</button>
            </form>
            <LinkShown made={made} onClose={() => setMade(null)} />
        </section>
    );
}

/** What is kept of the athlete, to take along or to erase. */
export function OwnData({ intake: { kept, path, problem, setProblem } }: { intake: Editing }) {
    const me = useMe();
    const [asking, setAsking] = useState(false);
    return (
        <>
            <section aria-label="Data">
                <h2 className="text-base">{kept.athlete.given_name}’s data</h2>
                <p className="text-sm text-soft">
                    Kept: name, birth date, sides, work, judged repetitions, reports of soreness, decisions, clearances,
                    what stands on this page. It leaves this machine only by a backup or an export.
                </p>
                <div className="mt-1 flex flex-wrap gap-2">
                    {['coach', 'athlete', 'guardian'].includes(me.role) && (
                        <>
                            <a className="btn" href={`${path}/export.zip`} download>
                                Export everything
                            </a>
                            <a className="btn btn-quiet" href={`${path}/export`} download>
                                as one JSON file
                            </a>
                        </>
                    )}
                    {me.decides && (
                        <button type="button" className="btn btn-quiet" onClick={() => setAsking(true)}>
                            Erase for good
                        </button>
                    )}
                </div>
            </section>{' '}
            <Sheetlet open={asking} onClose={() => setAsking(false)} title={`Erase ${kept.athlete.name} for good`}>
                <form
                    className="grid gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        api('POST', `${path}/erase`, {
                            name: typed(new FormData(event.currentTarget), 'name'),
                        }).then(() => window.location.assign('/'), setProblem);
                    }}
                >
                    <p>
                        Name, birth date, health, decisions, links and this page are gone for good. Counts and loads
                        stay under no name, so that the club’s totals stay true. Backups made before still hold
                        everything.
                    </p>
                    <LabelledInput label="Write the whole name to go on" name="name" required />
                    <Notice problem={problem} />
                    <button className="btn btn-main">Erase</button>
                </form>
            </Sheetlet>
        </>
    );
}
