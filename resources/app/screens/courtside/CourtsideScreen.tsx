import { useQuery } from '@tanstack/react-query';
import { useParams } from '@tanstack/react-router';
import { useEffect, useEffectEvent } from 'react';
import { api, type Courtside } from '../../api/client';
import { takeAlong } from '../../offline/store';
import { useAwake } from '../../parts/useAwake';
import { Waiting } from '../../parts/Waiting';
import { Count } from './Count';
import { Dialogs } from './Dialogs';
import { DoseAndLimits } from './DoseAndLimits';
import { Header } from './Header';
import { Notices } from './Notices';
import { useCourtside } from './useCourtside';
import { useKeys, useToAthlete } from './useKeys';
import { clsx } from 'clsx';

/** Next rep: how many left, what goes wrong, stop? */
export function CourtsideScreen() {
    const { sheetId } = useParams({ from: '/frame/sheets/$sheetId/courtside' });
    useAwake();
    const pack = useQuery({ queryKey: ['courtside', sheetId], queryFn: () => takeAlong(sheetId) });
    useHeard(sheetId, pack.data?.health, () => void pack.refetch());
    if (!pack.data) return <Waiting query={pack} what="the session" />;
    return <Running key={sheetId} pack={pack.data} />;
}

const LISTEN_MS = 10_000;

/**
 * A report made on another device of the session stops here as well: what is known of the athlete is asked for anew
 * when it has changed.
 */
function useHeard(sheetId: string, known: string | undefined, onNews: () => void): void {
    const heard = useQuery({
        queryKey: ['heard', sheetId],
        queryFn: () => api('GET', `/api/sheets/${sheetId}/heard`),
        enabled: known !== undefined,
        refetchInterval: LISTEN_MS,
        refetchIntervalInBackground: true,
        retry: false,
    });
    const news = known !== undefined && heard.data !== undefined && heard.data.health !== known;
    const tell = useEffectEvent(onNews);
    useEffect(() => {
        if (news) tell();
    }, [news, heard.dataUpdatedAt]);
}
function Running({ pack }: { pack: Courtside }) {
    const court = useCourtside(pack);
    useKeys(court, useToAthlete(court));
    return (
        <main className="courtside flex h-dvh flex-col overflow-hidden bg-chalk text-ink">
            <Header court={court} />
            <Notices court={court} />
            {court.here === null ? (
                <div className="grow p-6">
                    <p className="head text-xl">{pack.stop}</p>
                    <button
                        type="button"
                        className="btn btn-main thumb mt-4"
                        onClick={() => court.open({ name: 'swap' })}
                    >
                        What {pack.athlete.given_name} can do today
                    </button>
                </div>
            ) : (
                <div
                    className={clsx(
                        'mx-auto grid min-h-0 w-full max-w-6xl grow grid-rows-[auto_1fr] gap-x-10 px-3',
                        'md:grid-cols-[1fr_1.1fr] md:grid-rows-1 md:items-center',
                    )}
                >
                    <DoseAndLimits court={court} here={court.here} />
                    <Count court={court} here={court.here} />
                </div>
            )}
            <Dialogs court={court} />
        </main>
    );
}
