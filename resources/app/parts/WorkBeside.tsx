import { useState } from 'react';
import { clsx } from 'clsx';
import type { CheckInPage } from '../api/client';
import type { Body } from '../api/typed';
import { dayName } from '../api/words';
import { newId } from '../offline/store';
import { Notice } from './Notice';

export type ToldWork = Body<'POST', '/api/link/work-beside'>;

/** Strength, bands and sprints of the last days: done or not, one touch each. */
export function WorkBeside({
    of,
    today,
    tell,
    thumb = false,
}: {
    of: CheckInPage['beside'];
    today: string;
    tell: (work: ToldWork) => Promise<unknown>;
    /** on a phone, in the sun */
    thumb?: boolean;
}) {
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    const btn = clsx('btn', thumb && 'thumb grow');
    const say = (fixture: string, done: boolean): void => {
        setBusy(true);
        void tell({ id: newId(), fixture, done })
            .then(() => setProblem(null), setProblem)
            .finally(() => setBusy(false));
    };
    if (of.length === 0) return null;
    return (
        <section aria-label="Strength, bands, sprints" className="grid gap-2">
            <h2 className="text-base">Strength, bands, sprints</h2>
            <Notice problem={problem} />
            <ul>
                {of.map((each) => (
                    <li key={each.id} className="grid gap-1 border-t border-line py-2">
                        <span>
                            <span className="head">{each.title}</span>{' '}
                            <span className="label">{each.day === today ? 'today' : dayName(each.day)}</span>
                            <span className="block text-sm text-soft">{each.sentence}</span>
                        </span>
                        {each.not_today && <strong className="border-l-4 border-reduced pl-2">{each.not_today}</strong>}
                        <span className="flex flex-wrap gap-2">
                            <button
                                type="button"
                                className={clsx(btn, each.not_today === null && 'btn-main')}
                                aria-label={`Done: ${each.title}, ${dayName(each.day)}`}
                                disabled={busy}
                                onClick={() => say(each.id, true)}
                            >
                                Done
                            </button>
                            <button
                                type="button"
                                className={btn}
                                aria-label={`Not done: ${each.title}, ${dayName(each.day)}`}
                                disabled={busy}
                                onClick={() => say(each.id, false)}
                            >
                                Not done
                            </button>
                        </span>
                    </li>
                ))}
            </ul>
            <p className="text-sm text-soft">Counted as planned until somebody says otherwise.</p>
        </section>
    );
}
