import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useState } from 'react';
import { api, type Session } from '../../api/client';
import { answerOrKept } from '../../offline/store';
import { Choice } from '../../parts/Choice';
import { LabelledStepper } from '../../parts/LabelledStepper';
import { useAwake } from '../../parts/useAwake';
import { Waiting } from '../../parts/Waiting';
import { inMinutes, type Phase, rounds, sets } from '../../rules/clock';
import { type GroupClock, useGroupClock } from './useGroupClock';
import { clsx } from 'clsx';

type Kind = 'rounds' | 'sets' | 'hold';

const KINDS: [Kind, string][] = [
    ['rounds', 'Rounds'],
    ['sets', 'Work and rest'],
    ['hold', 'Hold'],
];
const READY_S = 5;

/** One clock for everybody, seen from five metres: what now, how long still, what next. */
export function ClockScreen() {
    const { sessionId } = useParams({ from: '/frame/sessions/$sessionId/clock' });
    useAwake();
    const path = `/api/sessions/${sessionId}` as const;
    const session = useQuery({
        queryKey: ['session', sessionId],
        queryFn: () => answerOrKept(path, () => api('GET', path)),
        refetchOnWindowFocus: false,
    });
    if (!session.data) return <Waiting query={session} what="the session" />;
    return <Clock session={session.data} />;
}

function Clock({ session }: { session: Session }) {
    const [kind, setKind] = useState<Kind>(session.rounds.length > 0 ? 'rounds' : 'sets');
    const [set, setSet] = useState({ count: 4, workS: 40, restS: 20 });
    const [hold, setHold] = useState({ count: 3, workS: 10, restS: 10 });
    const phases = phasesOf(kind, session, set, hold);
    const clock = useGroupClock(phases);
    return (
        <main className="courtside flex h-dvh flex-col overflow-hidden bg-chalk text-ink">
            <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-ink px-3 py-2">
                <h1 className="text-xl">
                    <Link to="/sessions/$sessionId" params={{ sessionId: session.id }} className="hover:underline">
                        {session.title}
                    </Link>
                </h1>
                {clock.running || (
                    <div className="min-w-72 grow">
                        <Choice label="Clock" of={KINDS} value={kind} onChange={setKind} columns={3} />
                    </div>
                )}
            </header>
            <Face clock={clock} first={phases[0] ?? null} />
            {!clock.running && kind !== 'rounds' && (
                <Lengths
                    of={kind === 'sets' ? set : hold}
                    onChange={kind === 'sets' ? setSet : setHold}
                    work={kind === 'sets' ? 'Work' : 'Hold'}
                />
            )}
            <Acts clock={clock} empty={phases.length === 0} />
        </main>
    );
}

type LengthsOf = { count: number; workS: number; restS: number };

function phasesOf(kind: Kind, session: Session, set: LengthsOf, hold: LengthsOf): Phase[] {
    if (kind === 'rounds')
        return rounds(
            session.rounds.map((round, i) => ({
                ...round,
                what: `Round ${i + 1} of ${session.rounds.length}: ${titles(round)}`,
            })),
        );
    const { count, workS, restS } = kind === 'sets' ? set : hold;
    return [{ kind: 'rest', what: 'Get ready', seconds: READY_S }, ...sets(count, workS, restS)];
}

const titles = (round: Session['rounds'][number]): string => round.places.map((place) => place.title).join(', ');

/** The seconds as large as they go; work is dark, rest is light. */
function Face({ clock, first }: { clock: GroupClock; first: Phase | null }) {
    const { now } = clock;
    const shown = now?.phase ?? (clock.running ? null : first);
    return (
        <div
            className={clsx(
                'flex min-h-0 grow flex-col items-center justify-center px-4 text-center',
                now?.phase.kind === 'work' && clock.running && 'bg-ink text-chalk',
            )}
        >
            <p className="head text-4xl md:text-6xl" aria-live="assertive">
                {shown?.what ?? 'Done'}
            </p>
            <p role="timer" className="figure text-[28vw] leading-none md:text-[22vw]">
                {shown === null ? '0:00' : inMinutes(now?.leftS ?? shown.seconds)}
            </p>
            <p className="min-h-10 text-2xl md:text-4xl">{now?.next ? `Next: ${now.next.what}` : ''}</p>
        </div>
    );
}

function Lengths({ of, onChange, work }: { of: LengthsOf; onChange: (to: LengthsOf) => void; work: string }) {
    return (
        <div className="flex flex-wrap justify-center gap-x-8 gap-y-2 px-3 py-2">
            <LabelledStepper
                label="Sets"
                value={of.count}
                step={1}
                least={1}
                most={30}
                onChange={(count) => onChange({ ...of, count })}
            />
            <LabelledStepper
                label={`${work}, s`}
                value={of.workS}
                step={5}
                least={5}
                most={600}
                onChange={(workS) => onChange({ ...of, workS })}
            />
            <LabelledStepper
                label="Rest, s"
                value={of.restS}
                step={5}
                least={0}
                most={600}
                onChange={(restS) => onChange({ ...of, restS })}
            />
        </div>
    );
}

function Acts({ clock, empty }: { clock: GroupClock; empty: boolean }) {
    if (!clock.running)
        return (
            <div className="grid p-3">
                <button type="button" className="btn btn-main thumb text-xl" disabled={empty} onClick={clock.start}>
                    Start the clock
                </button>
            </div>
        );
    return (
        <div className="grid grid-cols-3 gap-2 p-3">
            <button type="button" className="btn thumb" onClick={clock.pause}>
                {clock.paused ? 'Go on' : 'Pause'}
            </button>
            <button type="button" className="btn thumb" disabled={clock.now === null} onClick={clock.skip}>
                Next now
            </button>
            <button type="button" className="btn thumb" onClick={clock.stop}>
                Stop
            </button>
        </div>
    );
}
