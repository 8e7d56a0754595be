import { memo, useEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import type { Courtside } from '../../../api/client';
import { Strip } from '../../../parts/Strip';
import { useWide } from '../../../parts/useWide';
import { WordMark } from '../../../parts/WordMark';
import { tally } from '../../../rules/count';
import { Dialogs } from '../Dialogs';
import type { Court } from '../useCourtside';
import { useKeys } from '../useKeys';
import { PairSide } from './PairSide';
import { Up } from './Up';
import type { Line, Status } from './useLine';
import { useMember } from './useMember';
import { clsx } from 'clsx';

const AFTER_INK_MS = 50;

type Given = {
    pack: Courtside;
    line: Line;
    /** Where they are judged on while it is their turn; null while it is not. */
    panel: HTMLElement | null;
    /** Where a panel stands that is not up. */
    home: HTMLElement | null;
};

/**
 * One of the line: a row that tells how they stand, and, when it is their turn, the panel to judge on. Whoever waits is
 * drawn anew only when something of their own changed: a tap for one of twelve is no work for the other eleven.
 */
export const Member = memo(InTheLine, waitsAsBefore);

const isUpIn = ({ pack, line }: Given): boolean => line.up.includes(pack.sheet_id);

function waitsAsBefore(before: Given, now: Given): boolean {
    return (
        !isUpIn(before) &&
        !isUpIn(now) &&
        before.pack === now.pack &&
        before.panel === now.panel &&
        before.home === now.home &&
        before.line.way === now.line.way &&
        before.line.mine === now.line.mine
    );
}

function InTheLine({ pack, line, panel, home }: Given) {
    const member = useMember(pack, line);
    const { court, status } = member;
    const isUp = line.up[0] === pack.sheet_id;
    useKeys(court, (letter) => byLetter(line, letter), isUp);
    const wide = useWide();
    const stands = useWhereItStands(panel, home);
    return (
        <>
            {wide ? (
                <Row court={court} status={status} line={line} />
            ) : (
                <Chip sheetId={pack.sheet_id} status={status} line={line} />
            )}
            {stands !== null &&
                createPortal(
                    <div hidden={panel === null} className={panel === null ? '' : 'contents'}>
                        <Panel member={member} line={line} shown={panel !== null} />
                    </div>,
                    stands,
                )}
            <Dialogs court={court} />
        </>
    );
}

/** As it was last seen, for as long as it is hidden. */
const Panel = memo(
    function Panel({ member, line }: { member: ReturnType<typeof useMember>; line: Line; shown: boolean }) {
        return line.way === 'pairs' ? <PairSide member={member} /> : <Up member={member} line={line} />;
    },
    (_, now) => !now.shown,
);

/**
 * Built once, while nobody taps, and hidden until their turn: drawing it anew at every turn takes longer than a tap
 * may.
 */
function useWhereItStands(panel: HTMLElement | null, home: HTMLElement | null): HTMLElement | null {
    const [stood, setStood] = useState(panel);
    if (panel !== null && panel !== stood) setStood(panel);
    useEffect(() => {
        const build = (): void => setStood((now) => now ?? home);
        // Where nothing tells when the page is idle, it is built at the first turn.
        const idle = 'requestIdleCallback' in window ? window.requestIdleCallback(build) : null;
        return () => {
            if (idle !== null) window.cancelIdleCallback(idle);
        };
    }, [home]);
    return panel ?? stood;
}

/** Whoever is up is in sight. */
function useInSight(isUp: boolean) {
    const at = useRef<HTMLButtonElement>(null);
    useEffect(() => {
        if (!isUp) return;
        // Once the turn is drawn: scrolling asks for the layout of the whole page, and the mark comes first.
        const timer = window.setTimeout(
            () => at.current?.scrollIntoView({ block: 'nearest', inline: 'center' }),
            AFTER_INK_MS,
        );
        return () => window.clearTimeout(timer);
    }, [isUp]);
    return at;
}

function beside(status: Status): string {
    if (status.out !== null) return '';
    if (status.done) return 'done';
    return status.look === null ? '' : 'look';
}

/** The next of the line whose name begins so. */
function byLetter(line: Line, letter: string): void {
    const named = line.order.filter((id) => line.statuses[id]?.name.toLowerCase().startsWith(letter));
    const here = named.indexOf(line.up[0] ?? '');
    const to = named[(here + 1) % Math.max(1, named.length)];
    if (to !== undefined) line.choose(to);
}

/** On a phone: the name and what is left of the set; touched, it is their turn. */
const Chip = memo(function Chip({ sheetId, status, line }: { sheetId: string; status: Status; line: Line }) {
    const at = useInSight(line.up.includes(sheetId));
    return (
        <button
            ref={at}
            type="button"
            aria-pressed={line.up.includes(sheetId)}
            onClick={() => line.choose(sheetId)}
            className={clsx(
                'head flex min-h-14 shrink-0 flex-col items-center justify-center',
                'border-r border-line px-3 leading-tight',
                line.up.includes(sheetId) && 'bg-ink text-chalk',
            )}
        >
            <span className={clsx(status.out !== null && 'line-through decoration-2')}>{status.name}</span>
            <span className="text-sm font-normal">{inShort(status)}</span>
        </button>
    );
});

function inShort(status: Status): string {
    if (status.out !== null) return 'out';
    if (status.look !== null) return 'look';
    return status.done ? 'done' : `${status.left} left`;
}

function Row({ court, status, line }: { court: Court; status: Status; line: Line }) {
    const { pack } = court;
    const { good, seen, marks } = tally(pack, court.judged);
    const isUp = line.up.includes(pack.sheet_id);
    const at = useInSight(isUp);
    return (
        <button
            ref={at}
            type="button"
            aria-pressed={isUp}
            onClick={() => line.choose(pack.sheet_id)}
            className={clsx(
                'grid w-full grid-cols-[1fr_auto] items-center gap-x-3 border-b border-line px-3 py-1.5 text-left',
                isUp && 'bg-ink text-chalk',
            )}
        >
            <span className="flex min-w-0 items-center gap-2">
                <span className={clsx('head truncate text-lg', status.out !== null && 'line-through decoration-2')}>
                    {pack.athlete.given_name}
                </span>
                {pack.word !== 'full' && !isUp && <WordMark word={pack.word} size={12} />}
            </span>
            <span className="figure text-2xl">{status.out !== null || status.done ? '' : status.left}</span>
            <span className="flex min-w-0 items-center gap-2 text-sm">
                {status.out === null ? (
                    <>
                        <Strip marks={marks} height={16} />
                        {seen > 0 ? `${good} of ${seen}` : court.here?.block.title}
                    </>
                ) : (
                    <span className="leading-tight">{status.out}</span>
                )}
            </span>
            <span className="text-sm">{beside(status)}</span>
            {court.pattern && status.out === null && (
                <span className="col-span-2 truncate text-sm">
                    {court.pattern.times} of {court.pattern.of}: {court.pattern.fault.name.toLowerCase()}
                </span>
            )}
        </button>
    );
}
