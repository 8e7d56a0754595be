import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useEffect, useState } from 'react';
import { api, type Serve } from '../../api/client';
import { percent } from '../../api/words';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { Advice } from './Advice';
import { Asked } from './Asked';
import { FromAbove } from './FromAbove';
import { FromTheSide } from './FromTheSide';

/** What is asked, by the name it has in the address of the question. */
export type Asking = Record<string, string>;

/** What is asked anew; null: as usual again. */
export type Ask = (more: Record<string, string | null>) => void;

const SETTLED_MS = 350;

/** Why do the serves miss, and what would bring more of them in? */
export function ServeScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/serve' });
    const [asking, setAsking] = useState<Asking>({});
    const settled = useSettled(asking);
    const serve = useQuery({
        queryKey: ['serve-window', athleteId, settled],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/serve-window`, undefined, { query: settled }),
        placeholderData: keepPreviousData,
    });
    const ask: Ask = (more) =>
        setAsking((before) =>
            Object.fromEntries(
                Object.entries({ ...before, ...more }).filter((each): each is [string, string] => each[1] !== null),
            ),
        );
    if (!serve.data) return <Waiting query={serve} what="the serve window" />;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b-2 border-ink py-3">
                <p className="label">
                    <Link to="/athletes/$athleteId" params={{ athleteId }} className="hover:underline">
                        {serve.data.athlete.name}
                    </Link>
                </p>
                <h1 className="text-2xl">Serve window</h1>
            </header>
            <Notice problem={serve.error} />
            <div className="grid gap-x-10 gap-y-6 pt-4 lg:grid-cols-[19rem_1fr]">
                <Asked serve={serve.data} asking={asking} onAsk={ask} />
                <Found serve={serve.data} busy={serve.isPlaceholderData} onAsk={ask} />
            </div>
        </main>
    );
}

/** What was typed last, once nothing more was for a while. */
function useSettled(asking: Asking): Asking {
    const [settled, setSettled] = useState(asking);
    useEffect(() => {
        const timer = window.setTimeout(() => setSettled(asking), SETTLED_MS);
        return () => window.clearTimeout(timer);
    }, [asking]);
    return settled;
}

function Found({ serve, busy, onAsk }: { serve: Serve; busy: boolean; onAsk: Ask }) {
    return (
        <div aria-busy={busy} className="grid content-start gap-5">
            <Headline serve={serve} />
            <FromTheSide serve={serve} />
            <FromAbove serve={serve} />
            <Advice serve={serve} onAsk={onAsk} />
            <p className="max-w-prose text-sm text-soft">
                Still air at 15 °C. The spread of the angles is held to stay what it is, and the net to be cleared by
                the same angle as now. {serve.source}.{' '}
                <Link to="/library/flight" className="underline">
                    Balls and courts
                </Link>
            </p>
        </div>
    );
}

/** The share that should be in, and why the others are not. */
function Headline({ serve }: { serve: Serve }) {
    const { up_deg: up } = serve;
    return (
        <section aria-label="What it comes to" className="max-w-prose">
            {serve.share !== null && (
                <p className="text-lg">
                    With such a scatter <strong className="figure">{percent(serve.share)}</strong> should be in.
                </p>
            )}
            {serve.said.map((each) => (
                <p key={each}>{each}</p>
            ))}
            <p className="text-soft">
                {up === null
                    ? 'No angle is over the net and in.'
                    : `Over the net and in: from ${degrees(up[0])} to ${degrees(up[1])}, ` +
                      `a window of ${degrees((up[1] ?? 0) - (up[0] ?? 0))}.`}
            </p>
        </section>
    );
}

const degrees = (angle = 0): string => `${angle.toFixed(1).replace('-', '−')}°`;
