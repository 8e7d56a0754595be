import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { useParams } from '@tanstack/react-router';
import { useEffect, useEffectEvent, useState } from 'react';
import { api, type Courtside } from '../../../api/client';
import { deviceId } from '../../../offline/person';
import { takeAlong } from '../../../offline/store';
import { useAwake } from '../../../parts/useAwake';
import { Waiting } from '../../../parts/Waiting';
import { LineHeader } from './LineHeader';
import { LastGiven } from './LastGiven';
import { Member } from './Member';
import { useLine } from './useLine';
import { clsx } from 'clsx';

const LISTEN_MS = 10_000;

/** Who is up, was it good, who must stop? */
export function LineScreen() {
    const { sheetId } = useParams({ from: '/frame/sheets/$sheetId/line' });
    useAwake();
    const pack = useQuery({ queryKey: ['courtside', sheetId], queryFn: () => takeAlong(sheetId) });
    if (!pack.data) return <Waiting query={pack} what="the line" />;
    return <Running key={pack.data.session_id} opened={pack.data} />;
}

function Running({ opened }: { opened: Courtside }) {
    const line = useLine(opened);
    const packs = useQueries({
        queries: line.order.map((id) => ({ queryKey: ['courtside', id], queryFn: () => takeAlong(id) })),
    });
    const known = packs.flatMap((pack) => (pack.data ? [pack.data] : []));
    useNews(opened.session_id, known);
    const missing = line.order.filter((id) => !known.some((pack) => pack.sheet_id === id));
    const [left, setLeft] = useState<HTMLElement | null>(null);
    const [right, setRight] = useState<HTMLElement | null>(null);
    const panels = [left, right];
    const two = line.up.length > 1;
    return (
        <main className="courtside flex h-dvh flex-col overflow-hidden bg-chalk text-ink">
            <LineHeader opened={opened} line={line} />
            <Trouble line={line} />
            <div className="flex min-h-0 w-full grow flex-col md:grid md:grid-cols-[22rem_1fr]">
                <section
                    aria-label="The line"
                    className={clsx(
                        'flex shrink-0 overflow-x-auto border-b border-line',
                        'md:block md:overflow-y-auto md:border-b-0 md:border-r',
                    )}
                >
                    {inOrder(known, line).map((pack) => (
                        <Member
                            key={pack.sheet_id}
                            pack={pack}
                            line={line}
                            panel={panels[line.up.indexOf(pack.sheet_id)] ?? null}
                            home={left}
                        />
                    ))}
                    {missing.length > 0 && packs.every((pack) => !pack.isLoading) && (
                        <p className="p-2 text-sm text-stop">
                            {missing.length} of the line {missing.length === 1 ? 'is' : 'are'} not on this device. Open
                            Today once with a connection.
                        </p>
                    )}
                </section>
                <div className="flex min-h-0 grow flex-col">
                    <LastGiven line={line} />
                    <div className={clsx('grid min-h-0 grow', two && 'grid-cols-2 divide-x-2 divide-ink')}>
                        <section
                            ref={setLeft}
                            aria-label={two ? 'Left' : 'Up'}
                            className="flex min-h-0 min-w-0 flex-col"
                        />
                        <section
                            ref={setRight}
                            aria-label="Right"
                            hidden={!two}
                            className="flex min-h-0 min-w-0 flex-col"
                        />
                    </div>
                </div>
            </div>
        </main>
    );
}

/** As the turns go; whoever is out of the line stands at its end. */
function inOrder(packs: Courtside[], line: ReturnType<typeof useLine>): Courtside[] {
    const place = (pack: Courtside): number =>
        line.order.indexOf(pack.sheet_id) + (line.statuses[pack.sheet_id]?.out == null ? 0 : line.order.length);
    return [...packs].sort((a, b) => place(a) - place(b));
}

/** Whoever has to be looked at comes forward. */
function Trouble({ line }: { line: ReturnType<typeof useLine> }) {
    const those = line.order.flatMap((id) => {
        const status = line.statuses[id];
        const why = status?.look ?? status?.near;
        return status && why && status.out === null
            ? [{ id, name: status.name, why, isLook: status.look !== null }]
            : [];
    });
    if (those.length === 0) return null;
    return (
        <ul aria-label="To look at" className="flex gap-2 overflow-x-auto border-b-2 border-stop px-2 py-1">
            {those.map((each) => (
                <li key={each.id} className="shrink-0">
                    <button type="button" className="btn min-h-12 text-left" onClick={() => line.choose(each.id)}>
                        <strong>{each.name}</strong> {each.isLook ? each.why.split(':')[0]?.toLowerCase() : each.why}
                    </button>
                </li>
            ))}
        </ul>
    );
}

/** What another device counted or heard of anybody of the line is asked for anew. */
function useNews(sessionId: string, packs: Courtside[]): void {
    const queries = useQueryClient();
    const heard = useQuery({
        queryKey: ['line-heard', sessionId],
        queryFn: () => api('GET', `/api/sessions/${sessionId}/heard`, undefined, { query: { device: deviceId() } }),
        refetchInterval: LISTEN_MS,
        refetchIntervalInBackground: true,
        retry: false,
    });
    const ask = useEffectEvent(() => {
        for (const news of heard.data ?? []) {
            const pack = packs.find((each) => each.sheet_id === news.sheet_id);
            if (pack === undefined) continue;
            const others = pack.events.filter((event) => event.device !== deviceId()).length;
            if (news.health !== pack.health || news.others !== others)
                void queries.invalidateQueries({ queryKey: ['courtside', news.sheet_id] });
        }
    });
    useEffect(() => ask(), [heard.dataUpdatedAt]);
}
