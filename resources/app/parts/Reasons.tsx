import { useQuery } from '@tanstack/react-query';
import { api, type Channel, type Tape as TapeData } from '../api/client';
import { dayName, n, percent } from '../api/words';
import { Loading, Notice } from './Notice';
import { Opens } from './Opens';
import { Tape } from './Tape';
import { WordMark, WordShape } from './WordMark';

/** Why the word is what it is, channel by channel. */
export function WordReasons({ channels }: { channels: Channel[] }) {
    return (
        <dl className="grid gap-2">
            {channels.map((channel) => (
                <div
                    key={channel.channel}
                    className="grid grid-cols-[5.5rem_1fr] gap-x-3 border-t border-line pt-2 first:border-0 first:pt-0"
                >
                    <dt>
                        <span className="label block">
                            {channel.channel === 'landing'
                                ? 'Landings'
                                : channel.channel[0]?.toUpperCase() + channel.channel.slice(1)}
                        </span>
                        <WordMark word={channel.word} size={14} />
                    </dt>
                    <dd>
                        {channel.reasons.map((reason, i) => (
                            <p key={i} className="flex gap-1.5">
                                <span className="mt-1">
                                    <WordShape word={reason.word} size={11} />
                                </span>
                                <span>{reason.sentence}</span>
                            </p>
                        ))}
                    </dd>
                </div>
            ))}
        </dl>
    );
}

/** A tape with its name and sentence; it opens to the sets behind the figure. */
export function TapeRow({ tape, athleteId }: { tape: TapeData; athleteId: string }) {
    return (
        <div className="py-1.5">
            <div className="flex flex-wrap items-baseline justify-between gap-x-3">
                <Opens
                    label={`${tape.label}: the sets behind this figure`}
                    content={<WhyRows athleteId={athleteId} limitId={tape.limit_id} />}
                >
                    <span className={tape.status === 'over' ? 'text-stop' : ''}>{tape.label}</span>
                </Opens>
                <span className={`label whitespace-nowrap ${tape.status === 'over' ? 'text-stop' : ''}`}>
                    {tape.hard ? '' : 'advice · '}
                    {tape.status === 'near' ? 'near · ' : ''}
                    {tape.sentence}
                </span>
            </div>
            <div className="mt-1.5">
                <Tape tape={tape} />
            </div>
        </div>
    );
}

export function WhyRows({ athleteId, limitId }: { athleteId: string; limitId: string }) {
    const why = useQuery({
        queryKey: ['why', athleteId, limitId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/limits/${encodeURIComponent(limitId)}`),
    });
    if (why.error) return <Notice problem={why.error} />;
    if (!why.data) return <Loading what="the sets behind this figure" />;
    const { tape, rows } = why.data;
    return (
        <div>
            <p className="head">{tape.label}</p>
            <p className="my-1">{tape.sentence}</p>
            <p className="text-sm text-soft">{why.data.explains}</p>
            {rows.length > 0 && (
                <table className="mt-2 w-full text-sm">
                    <thead>
                        <tr className="label text-left">
                            <th className="pr-2">Day</th>
                            <th className="pr-2">What</th>
                            <th className="pr-2 text-right">Reps</th>
                            <th className="pr-2 text-right">Dose</th>
                            <th className="text-right">{tape.unit}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {rows.map((row, i) => (
                            <tr key={i} className="border-t border-line align-top">
                                <td className="whitespace-nowrap pr-2">{dayName(row.date)}</td>
                                <td className="pr-2">
                                    {row.what}
                                    {row.side === 'other' ? ', other side' : ''}
                                </td>
                                <td className="pr-2 text-right">{row.reps}</td>
                                <td className="whitespace-nowrap pr-2 text-right">
                                    {row.effort === null ? 'effort not known' : percent(row.effort)}
                                    {row.distance_m === null ? '' : `, ${n(row.distance_m)} m`}
                                </td>
                                <td className="text-right">{n(row.amount)}</td>
                            </tr>
                        ))}
                        <tr className="border-t-2 border-ink">
                            <td colSpan={4} className="head">
                                Done
                            </td>
                            <td className="head text-right">{n(why.data.total)}</td>
                        </tr>
                    </tbody>
                </table>
            )}
            <p className="mt-2 text-sm text-soft">Source: {tape.source}.</p>
        </div>
    );
}
