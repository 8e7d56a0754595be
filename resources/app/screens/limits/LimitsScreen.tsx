import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Limits } from '../../api/client';
import { dayName, percent } from '../../api/words';
import { typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { TapeRow } from '../../parts/Reasons';
import { SquadChoice } from '../../parts/SquadChoice';
import { SaveList } from '../../parts/SaveList';
import { Waiting } from '../../parts/Waiting';
import { Labelled, LabelledInput } from '../../parts/Labelled';
import { clsx } from 'clsx';

type Order = 'closest' | 'name';

const TITLES = ['Name', 'Limit', 'From whom', 'Done', 'Planned', 'At most', 'Left', 'Unit', 'Hard'];

const listed = (rows: Limits['rows']) =>
    rows.flatMap((row) =>
        row.tapes.map((tape) => [
            row.athlete.name,
            tape.label,
            tape.source,
            tape.used,
            tape.planned,
            tape.max,
            tape.remaining,
            tape.unit,
            tape.hard ? 'yes' : 'no',
        ]),
    );

/** Which bounds, from whom, and who is close to what? */
export function LimitsScreen() {
    const [squad, setSquad] = useState<number | null>(null);
    const me = useMe();
    const [order, setOrder] = useState<Order>('closest');
    const query = useQuery({
        queryKey: ['limits', squad],
        queryFn: () => api('GET', '/api/limits', undefined, { query: { squad } }),
    });
    if (!query.data) return <Waiting query={query} what="the limits" />;
    const limits = query.data;
    const { rules } = limits;
    const rows =
        order === 'closest'
            ? limits.rows
            : [...limits.rows].sort((a, b) => a.athlete.name.localeCompare(b.athlete.name));
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="py-3">
                <p className="float-right">
                    <SaveList name={`limits ${limits.date}`} titles={TITLES} rows={() => listed(rows)} />
                </p>
                <h1 className="text-2xl">
                    Limits, <SquadChoice squad={limits.squad} squads={limits.squads} onChange={setSquad} />,{' '}
                    {dayName(limits.date)}
                </h1>
                <p className="mt-1 max-w-prose">
                    <span className="head">
                        {limits.rule_set}, version {limits.version}.
                    </span>{' '}
                    {limits.notice}{' '}
                    <Link to="/rule-sets" className="underline decoration-dotted underline-offset-4">
                        Read, copy, edit and compare rule sets
                    </Link>
                </p>
            </header>
            <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[1fr_1.1fr]">
                <section aria-label="Who is close to what">
                    <div className="flex items-baseline justify-between border-b-2 border-ink pb-1">
                        <h2 className="text-base">Who is close to what</h2>
                        <OrderChoice order={order} onChange={setOrder} />
                    </div>
                    {rows.map((row) => (
                        <div
                            key={row.athlete.id}
                            className="grid grid-cols-[9rem_1fr] items-baseline gap-3 border-b border-line py-1"
                        >
                            <Link
                                to="/athletes/$athleteId"
                                params={{ athleteId: row.athlete.id }}
                                className="head truncate hover:underline"
                            >
                                {row.athlete.name}
                            </Link>
                            <details>
                                <summary className="grid grid-cols-[1fr_3.5rem] items-baseline gap-3">
                                    <span
                                        className={clsx(
                                            'truncate',
                                            row.fullness > 0.9 ? 'font-bold text-reduced' : 'text-soft',
                                        )}
                                    >
                                        {row.tapes[0]
                                            ? `${row.tapes[0].label}: ${row.tapes[0].sentence}`
                                            : 'no limit in play'}
                                    </span>
                                    <span className="figure text-right text-lg">
                                        {row.tapes[0] ? percent(row.fullness) : ''}
                                    </span>
                                </summary>
                                {row.tapes.map((tape) => (
                                    <TapeRow key={tape.limit_id} tape={tape} athleteId={row.athlete.id} />
                                ))}
                            </details>
                        </div>
                    ))}
                </section>
                <div className="grid content-start gap-8">
                    {me.decides && <OneAthlete limits={limits} />}
                    <section aria-label="Rules">
                        <h2 className="border-b-2 border-ink pb-1 text-base">What each limit says</h2>
                        {rules.map((rule) => (
                            <article key={rule.label + rule.about} className="border-b border-line py-2">
                                <h3 className="text-base">
                                    {rule.label}{' '}
                                    <span className="label">
                                        {rule.hard ? 'hard' : 'advice'}
                                        {rule.per_side ? ', each side apart' : ''}
                                    </span>
                                </h3>
                                <p className="text-sm text-soft">
                                    {rule.about}. Source: {rule.source}.
                                </p>
                                <dl className="mt-1 flex flex-wrap gap-x-5 gap-y-0.5">
                                    {rule.bands.map((band) => (
                                        <div key={band.ages} className="flex gap-1.5">
                                            <dt className="label">{band.ages}</dt>
                                            <dd className="figure">{band.value}</dd>
                                        </div>
                                    ))}
                                </dl>
                            </article>
                        ))}
                    </section>
                </div>
            </div>
        </main>
    );
}

/** A limit more or less for one athlete: less without a word, more with a reason. */
function OneAthlete({ limits }: { limits: Limits }) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const [share, setShare] = useState('80');
    const send = (athlete: string, limit: string, of: number, reason: string | null): Promise<void> =>
        api('POST', `/api/athletes/${athlete}/limit-shares`, { limit_id: limit, share: of, reason }).then(() => {
            setProblem(null);
            void queries.invalidateQueries();
        }, setProblem);
    return (
        <section aria-label="For one athlete">
            <h2 className="border-b-2 border-ink pb-1 text-base">For one athlete</h2>
            {limits.shares.map((each) => (
                <p
                    key={each.athlete_id + each.limit_id}
                    className="flex items-baseline gap-3 border-b border-line py-1"
                >
                    <span className="grow">
                        <span className="head">{each.athlete_name}</span>: {each.label} at {percent(each.share)}{' '}
                        <span className="text-soft">
                            {each.by}, {dayName(each.day)}
                            {each.reason ? `: ${each.reason}` : ''}
                        </span>
                    </span>
                    <button
                        type="button"
                        className="btn btn-quiet"
                        onClick={() => void send(each.athlete_id, each.limit_id, 1, null)}
                    >
                        Take back
                    </button>
                </p>
            ))}
            <details className="py-1">
                <summary className="opens">
                    {limits.shares.length === 0 ? 'Nobody has a limit of their own. Set one' : 'Set another'}
                </summary>
                <form
                    className="mt-2 grid gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const form = new FormData(event.currentTarget);
                        void send(
                            typed(form, 'athlete'),
                            typed(form, 'limit'),
                            (Number(share) || 0) / 100,
                            typed(form, 'reason') || null,
                        );
                    }}
                >
                    <div className="grid gap-2 sm:grid-cols-[1fr_1fr_6rem]">
                        <Labelled label="Athlete">
                            <select className="field" name="athlete">
                                {[...limits.rows]
                                    .sort((a, b) => a.athlete.name.localeCompare(b.athlete.name))
                                    .map((row) => (
                                        <option key={row.athlete.id} value={row.athlete.id}>
                                            {row.athlete.name}
                                        </option>
                                    ))}
                            </select>
                        </Labelled>
                        <Labelled label="Limit">
                            <select className="field" name="limit">
                                {[
                                    ...new Map(
                                        limits.rules
                                            .filter((rule) => rule.scalable)
                                            .map((rule) => [rule.id, rule.label]),
                                    ).entries(),
                                ].map(([id, label]) => (
                                    <option key={id} value={id}>
                                        {label}
                                    </option>
                                ))}
                            </select>
                        </Labelled>
                        <LabelledInput
                            label="Share, %"
                            inputMode="numeric"
                            value={share}
                            onChange={(event) => setShare(event.target.value)}
                        />
                    </div>
                    <LabelledInput
                        label={
                            <>
                                {Number(share) > 100
                                    ? 'Why more, in a sentence: it is kept with your name'
                                    : 'Why, may be left open'}
                            </>
                        }
                        name="reason"
                    />
                    <Notice problem={problem} />
                    <button className="btn justify-self-start">Save</button>
                </form>
            </details>
        </section>
    );
}

function OrderChoice({ order, onChange }: { order: Order; onChange: (order: Order) => void }) {
    return (
        <span role="group" aria-label="Order" className="flex gap-3 text-sm">
            {(
                [
                    ['closest', 'closest first'],
                    ['name', 'by name'],
                ] as const
            ).map(([value, label]) => (
                <button
                    key={value}
                    type="button"
                    aria-pressed={order === value}
                    className={order === value ? 'border-b-2 border-ink font-bold' : 'text-soft'}
                    onClick={() => onChange(value)}
                >
                    {label}
                </button>
            ))}
        </span>
    );
}
