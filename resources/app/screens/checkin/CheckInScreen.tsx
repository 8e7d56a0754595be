import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type CheckInPage } from '../../api/client';
import { nowWithOffset } from '../../api/words';
import { newId, type Report } from '../../offline/store';
import { Loading, Notice } from '../../parts/Notice';
import { SoreForm } from '../../parts/SoreForm';
import { FilmAsk } from './FilmAsk';
import { ScoresShown } from './ScoresShown';
import { Practised } from './Practised';
import { WeekElsewhere } from '../../parts/WeekElsewhere';
import { WorkBeside } from '../../parts/WorkBeside';
import { WordMark } from '../../parts/WordMark';

type Wellness = { sleep: number | null; energy: number | null; ill: 'no' | 'cold' | 'fever' | null };

const ILL: ReadonlyArray<readonly [ill: Wellness['ill'], label: string]> = [
    ['no', 'No'],
    ['cold', 'A cold'],
    ['fever', 'Fever'],
];

/**
 * The page behind a personal link, on a phone, in the sun: done in a few taps. The token stands after the #, which
 * browsers send to nobody.
 */
export function CheckInScreen() {
    const [token] = useState(() => window.location.hash.slice(1));
    const page = useQuery({
        queryKey: ['check-in', token],
        queryFn: () => api('GET', '/api/link/check-in', undefined, { linkToken: token }),
        staleTime: Infinity,
        refetchOnWindowFocus: false,
    });
    if (page.error)
        return (
            <main className="mx-auto max-w-md p-6">
                <h1 className="text-2xl">Augendo</h1>
                <Notice problem={page.error}>
                    <button type="button" className="btn mt-2" onClick={() => void page.refetch()}>
                        Try again
                    </button>
                </Notice>
            </main>
        );
    if (!page.data)
        return (
            <main>
                <Loading what="your page" />
            </main>
        );
    return <Page about={page.data} token={token} />;
}

function Page({ about, token }: { about: CheckInPage; token: string }) {
    const [reports, setReports] = useState<Report[] | null>(null);
    const [wellness, setWellness] = useState<Wellness>({ sleep: null, energy: null, ill: null });
    const [done, setDone] = useState<CheckInPage | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    const send = (given: Report[], extra: Wellness | null): void => {
        setBusy(true);
        const asked = extra !== null && (extra.sleep !== null || extra.energy !== null || extra.ill !== null);
        api(
            'POST',
            '/api/link/check-in',
            { reports: given, wellness: asked ? { id: newId(), at: nowWithOffset(), ...extra } : null },
            { linkToken: token },
        )
            .then((answer) => {
                setDone(answer);
                setProblem(null);
            }, setProblem)
            .finally(() => setBusy(false));
    };
    const kept = (given: Report[]): void => {
        setReports(given);
        if (!about.asks_wellness) send(given, null);
    };

    return (
        <main className="mx-auto min-h-dvh max-w-md px-4 pb-8">
            <header className="flex items-baseline justify-between border-b-2 border-ink py-3">
                <h1 className="text-2xl">{about.given_name}</h1>
                <span className="label">Augendo</span>
            </header>
            <Notice problem={problem}>
                {reports !== null && done === null && (
                    <button type="button" className="btn mt-2" onClick={() => send(reports, wellness)}>
                        Send again
                    </button>
                )}
            </Notice>
            {done !== null ? (
                <Done
                    about={about}
                    done={done}
                    onMore={() => {
                        setDone(null);
                        setReports(null);
                        setWellness({ sleep: null, energy: null, ill: null });
                    }}
                />
            ) : reports === null ? (
                <section aria-label="How are you?" className="py-3">
                    <p className="mb-3 text-lg leading-snug">{about.morning_after ?? 'How is the body, and where?'}</p>
                    {about.asks_growth && (
                        <p className="mb-3 border-l-4 border-tape pl-3">
                            You are growing fast. Do the knees, the heels or the elbow hurt? Touch them below.
                        </p>
                    )}
                    <SoreForm
                        young={about.young}
                        moment={about.morning_after !== null || new Date().getHours() < 12 ? 'morning' : 'before'}
                        onKeep={kept}
                    />
                    {about.today.length > 0 && (
                        <p className="mt-3 text-sm text-soft">Reported today: {about.today.join('; ')}.</p>
                    )}
                    <Practised about={about} token={token} />
                    <Beside about={about} token={token} />
                    <Elsewhere about={about} token={token} />
                    <FilmAsk about={about} token={token} />
                    <ScoresShown about={about} token={token} />
                </section>
            ) : (
                <ThreeMore
                    reports={reports}
                    wellness={wellness}
                    busy={busy}
                    onChange={setWellness}
                    onSend={() => send(reports, wellness)}
                    onBack={() => setReports(null)}
                />
            )}
        </main>
    );
}

function Beside({ about, token }: { about: CheckInPage; token: string }) {
    const queries = useQueryClient();
    if (about.beside.length === 0) return null;
    return (
        <div className="mt-4 border-t border-line pt-3">
            <WorkBeside
                thumb
                of={about.beside}
                today={about.date}
                tell={(work) =>
                    api('POST', '/api/link/work-beside', work, { linkToken: token }).then((answer) => {
                        queries.setQueryData(['check-in', token], answer);
                    })
                }
            />
        </div>
    );
}

function Elsewhere({ about, token }: { about: CheckInPage; token: string }) {
    const queries = useQueryClient();
    return (
        <div className="mt-4 border-t border-line pt-3">
            <WeekElsewhere
                thumb
                of={about.elsewhere}
                tell={(week) =>
                    api('POST', '/api/link/elsewhere', week, { linkToken: token }).then((answer) => {
                        queries.setQueryData(['check-in', token], answer);
                    })
                }
            />
        </div>
    );
}

function Scale({
    label,
    ends,
    value,
    onChange,
}: {
    label: string;
    ends: [string, string];
    value: number | null;
    onChange: (value: number) => void;
}) {
    return (
        <div role="group" aria-label={label}>
            <p className="label mb-1 flex justify-between">
                <span>
                    {label}: {ends[0]}
                </span>
                <span>{ends[1]}</span>
            </p>
            <div className="grid grid-cols-5 gap-1.5">
                {[1, 2, 3, 4, 5].map((each) => (
                    <button
                        key={each}
                        type="button"
                        aria-pressed={value === each}
                        className={`btn thumb ${value === each ? 'btn-main' : ''}`}
                        onClick={() => onChange(each)}
                    >
                        {each}
                    </button>
                ))}
            </div>
        </div>
    );
}

function Done({ about, done, onMore }: { about: CheckInPage; done: CheckInPage; onMore: () => void }) {
    return (
        <section aria-label="Done" className="grid gap-3 py-6">
            <p className="head text-3xl">Thank you, {about.given_name}.</p>
            <p className="flex items-center gap-2 text-lg">
                <WordMark word={done.word as never} /> <span className="text-soft">today</span>
            </p>
            <ul className="border-t border-line">
                {done.today.map((each, i) => (
                    <li key={i} className="border-b border-line py-1.5">
                        {each}
                    </li>
                ))}
            </ul>
            {(done.word === 'refer' || done.word === 'none') && (
                <p className="border-l-4 border-stop pl-3 text-lg">
                    {done.word === 'refer'
                        ? 'Do not train on this. Show it to a doctor or physiotherapist; your coach knows.'
                        : 'What hurts rests today. Your coach knows.'}
                </p>
            )}
            {done.next && (
                <p>
                    <span className="label block">Next session</span>
                    {done.next}
                </p>
            )}
            <button type="button" className="btn mt-2 justify-self-start" onClick={onMore}>
                Report something else
            </button>
        </section>
    );
}

function ThreeMore({
    reports,
    wellness,
    busy,
    onChange,
    onSend,
    onBack,
}: {
    reports: Report[];
    wellness: Wellness;
    busy: boolean;
    onChange: (wellness: Wellness) => void;
    onSend: () => void;
    onBack: () => void;
}) {
    return (
        <section aria-label="Three more" className="grid gap-4 py-4">
            <p className="text-lg">
                {reports[0]?.site === 'none'
                    ? 'Nothing sore.'
                    : `${reports.length} ${reports.length === 1 ? 'place' : 'places'} named.`}{' '}
                Three more, if you like:
            </p>
            <Scale
                label="Sleep"
                ends={['bad', 'very good']}
                value={wellness.sleep}
                onChange={(sleep) => onChange({ ...wellness, sleep })}
            />
            <Scale
                label="Energy"
                ends={['none', 'full']}
                value={wellness.energy}
                onChange={(energy) => onChange({ ...wellness, energy })}
            />
            <div role="group" aria-label="Ill">
                <p className="label mb-1">Ill?</p>
                <div className="grid grid-cols-3 gap-1.5">
                    {ILL.map(([value, label]) => (
                        <button
                            key={value}
                            type="button"
                            aria-pressed={wellness.ill === value}
                            className={`btn thumb ${wellness.ill === value ? 'btn-main' : ''}`}
                            onClick={() => onChange({ ...wellness, ill: value })}
                        >
                            {label}
                        </button>
                    ))}
                </div>
            </div>
            <button type="button" className="btn btn-main thumb text-lg" disabled={busy} onClick={onSend}>
                {busy ? 'Sending…' : 'Done'}
            </button>
            <button type="button" className="btn btn-quiet justify-self-start" onClick={onBack}>
                Back to the body
            </button>
        </section>
    );
}
