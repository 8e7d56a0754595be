import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate, useParams } from '@tanstack/react-router';
import { useEffect, useEffectEvent } from 'react';
import { api, type Courtside } from '../../api/client';
import { takeAlong } from '../../offline/store';
import { CheckIn } from '../../parts/CheckIn';
import { Sheetlet } from '../../parts/Sheetlet';
import { useAwake } from '../../parts/useAwake';
import { Waiting } from '../../parts/Waiting';
import { Count } from './Count';
import { DoseAndLimits } from './DoseAndLimits';
import { DoseForm } from './DoseForm';
import { FinishForm } from './FinishForm';
import { Header } from './Header';
import { Landed } from './Landed';
import { LookAgain } from './LookAgain';
import { Notices } from './Notices';
import { type Court, type Here, useCourtside } from './useCourtside';
import { KEYS, useKeys } from './useKeys';
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
    useKeys(court);
    return (
        <main className="courtside flex h-dvh flex-col overflow-hidden bg-chalk text-ink">
            <Header court={court} />
            <Notices court={court} />
            {court.here === null ? (
                <div className="grow p-6">
                    <p className="head text-xl">{pack.stop}</p>
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
            {court.dialog?.name === 'sore' && (
                <CheckIn athlete={pack.athlete} moment="during" onDone={court.heardOf} onClose={court.close} />
            )}
            {court.here && <AboutTheLast court={court} here={court.here} />}
            {court.here && <ChangeDose court={court} here={court.here} />}
            <Sheetlet open={court.dialog?.name === 'keys'} onClose={court.close} title="Keys">
                <dl className="grid grid-cols-[9rem_1fr] gap-y-1">
                    {KEYS.map(([key, does]) => (
                        <div key={key} className="contents">
                            <dt className="head">{key}</dt>
                            <dd>{does}</dd>
                        </div>
                    ))}
                </dl>
            </Sheetlet>
            <Finish court={court} />
        </main>
    );
}

/** What the last repetition really was, and where it landed. */
function AboutTheLast({ court, here }: { court: Court; here: Here }) {
    const { pack, dialog, close, taps } = court;
    const { block, dose } = here;
    const naming = dialog?.name === 'correct' ? dialog.rep : null;
    const landing = dialog?.name === 'landed' ? dialog.rep : null;
    return (
        <>
            <Sheetlet open={naming !== null} onClose={close} title="What was the last one really?">
                {naming && (
                    <LookAgain
                        key={naming.id}
                        pack={pack}
                        rep={naming}
                        onCorrect={(verdict, fault, seen) => {
                            const of = { set_no: naming.set_no, side: naming.side, target_id: naming.id };
                            taps.add(block, dose, { kind: 'correct', ...of, verdict, fault, seen });
                            close();
                        }}
                    />
                )}
            </Sheetlet>
            <Sheetlet open={landing !== null} onClose={close} title="Where did the last one land?">
                {landing && (
                    <Landed
                        points={here.reps.flatMap((rep) => {
                            const place = taps.landed.get(rep.id);
                            return place ? [place] : [];
                        })}
                        onTouch={(place) => {
                            const of = { set_no: landing.set_no, side: landing.side, target_id: landing.id };
                            taps.add(block, dose, { kind: 'landed', ...of, note: place.join(' ') });
                            close();
                        }}
                    />
                )}
            </Sheetlet>
        </>
    );
}

function ChangeDose({ court, here }: { court: Court; here: Here }) {
    const queries = useQueryClient();
    const { block, dose, feltSet } = here;
    return (
        <Sheetlet open={court.dialog?.name === 'dose'} onClose={court.close} title="Change the dose">
            <DoseForm
                pack={court.pack}
                block={block}
                reps={court.taps.reps}
                dose={dose}
                side={court.onSide}
                setNo={feltSet}
                felt={court.taps.felt.get(`${block.id}|${feltSet}`) ?? null}
                onDose={court.moveDose}
                onFelt={(effort) =>
                    court.taps.add(block, { ...dose, effort }, { kind: 'felt', set_no: feltSet, side: court.onSide })
                }
                onPace={() => {
                    court.forgetDoses();
                    void queries.invalidateQueries({ queryKey: ['courtside'] });
                }}
            />
        </Sheetlet>
    );
}

function Finish({ court: { pack, reps, dialog, close } }: { court: Court }) {
    const queries = useQueryClient();
    const navigate = useNavigate();
    return (
        <Sheetlet open={dialog?.name === 'finish'} onClose={close} title="Finish the session">
            <FinishForm
                pack={pack}
                reps={reps}
                onFinished={() => {
                    void queries.invalidateQueries();
                    void navigate({ to: '/sheets/$sheetId/after', params: { sheetId: pack.sheet_id } });
                }}
            />
        </Sheetlet>
    );
}
