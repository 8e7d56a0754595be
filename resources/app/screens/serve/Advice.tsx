import { useMutation } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { api, type Serve } from '../../api/client';
import { percent } from '../../api/words';
import { Notice } from '../../parts/Notice';
import type { Ask } from './ServeScreen';

type Change = Serve['alone'][number];

/** Each thing alone, the cheapest mixture, and what becomes of it as pace comes off. */
export function Advice({ serve, onAsk }: { serve: Serve; onAsk: Ask }) {
    const put = useMutation({
        mutationFn: (change: Change) =>
            api('POST', `/api/athletes/${serve.athlete.id}/serve-target`, {
                sheet_id: serve.sheet_id ?? '',
                skill: serve.asked.skill,
                topspin_now_rpm: serve.asked.topspin_rpm,
                pace: change.pace,
                topspin_rpm: change.topspin_rpm,
                higher_m: change.higher_m,
                aimed: change.aimed,
            }),
    });
    const others = serve.alone.filter(({ said }) => said !== serve.cheapest?.said);
    if (serve.no_advice !== null) {
        return <p className="max-w-prose border-l-4 border-tape pl-3">{serve.no_advice}</p>;
    }
    const tryIt = (change: Change): void =>
        onAsk({
            speed_ms: (serve.asked.speed_ms * change.pace).toFixed(1),
            topspin_rpm: String(serve.asked.topspin_rpm + change.topspin_rpm),
            height_m: (serve.asked.height_m + change.higher_m).toFixed(2),
        });
    return (
        <section aria-label={`What would bring it to ${percent(serve.asked.goal)}`}>
            <h2 className="text-lg">What would bring it to {percent(serve.asked.goal)}</h2>
            <table className="w-full max-w-3xl">
                <tbody>
                    {serve.cheapest && (
                        <Row change={serve.cheapest} serve={serve} onPut={put.mutate} onTry={tryIt} lead="Cheapest: " />
                    )}
                    {others.map((change) => (
                        <Row
                            key={change.said}
                            change={change}
                            serve={serve}
                            onPut={put.mutate}
                            onTry={tryIt}
                            lead="Alone: "
                        />
                    ))}
                </tbody>
            </table>
            {!serve.cheapest && <p>No mixture of these reaches it: a narrower scatter does, and that is practice.</p>}
            {serve.left_out.map((each) => (
                <p key={each} className="text-sm text-soft">
                    {each}
                </p>
            ))}
            <Notice problem={put.error} />
            {put.isSuccess && serve.sheet_id !== null && (
                <p role="status">
                    On the next sheet, instead of some of its serves.{' '}
                    <Link to="/sheets/$sheetId" params={{ sheetId: serve.sheet_id }} className="underline">
                        Look at it
                    </Link>
                </p>
            )}
            <h3 className="mt-4">As pace comes off</h3>
            <table className="max-w-lg">
                <tbody>
                    <tr>
                        {serve.less_pace.map((change) => (
                            <th key={change.pace} scope="col" className="label pr-6 text-left font-normal">
                                {percent(change.pace)} pace
                            </th>
                        ))}
                    </tr>
                    <tr>
                        {serve.less_pace.map((change) => (
                            <td key={change.pace} className="figure pr-6 text-lg">
                                {percent(change.share)}
                            </td>
                        ))}
                    </tr>
                </tbody>
            </table>
            {serve.two && (
                <p className="mt-4 max-w-prose">
                    {serve.two.said} Points won on one’s own serve: {percent(serve.two.won)}; with the second serve
                    twice {percent(serve.two.won_with_second_twice)}.
                </p>
            )}
        </section>
    );
}

function Row({
    change,
    serve,
    lead,
    onPut,
    onTry,
}: {
    change: Change;
    serve: Serve;
    lead: string;
    onPut: (change: Change) => void;
    onTry: (change: Change) => void;
}) {
    return (
        <tr className="border-t border-line">
            <td className="py-1.5 pr-4">
                <span className="text-soft">{lead}</span>
                {change.said}
            </td>
            <td className={`figure pr-4 ${change.reaches ? '' : 'text-soft'}`}>
                {percent(change.share)}
                {!change.reaches && ' at most'}
            </td>
            <td className="whitespace-nowrap py-1 text-right">
                {change.aimed === 0 && (
                    <button type="button" className="btn btn-quiet min-h-9 px-2" onClick={() => onTry(change)}>
                        Look at it
                    </button>
                )}
                {serve.sheet_id !== null && change.share > (serve.share ?? 1) && (
                    <button type="button" className="btn min-h-9 px-2" onClick={() => onPut(change)}>
                        Put on the next sheet
                    </button>
                )}
            </td>
        </tr>
    );
}
