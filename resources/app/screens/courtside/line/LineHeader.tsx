import { Link } from '@tanstack/react-router';
import { ArrowLeft, ChevronDown } from 'lucide-react';
import { useState } from 'react';
import type { Courtside } from '../../../api/client';
import { Choice } from '../../../parts/Choice';
import { UnsentMark } from '../../../parts/KeptHere';
import { Opens } from '../../../parts/Opens';
import { Sheetlet } from '../../../parts/Sheetlet';
import type { Way } from '../../../rules/line';
import { Rotation } from '../Rotation';
import type { Line } from './useLine';
import { clsx } from 'clsx';

const WAYS: [Way, string][] = [
    ['turns', 'In turn'],
    ['pairs', 'Two at once'],
    ['free', 'By name'],
];

/** Who is in the line, how it is counted, and the warm-up all of them did. */
export function LineHeader({ opened, line }: { opened: Courtside; line: Line }) {
    const [warmUp, setWarmUp] = useState(false);
    const cold = line.order.filter((id) => line.statuses[id]?.warmed === false);
    return (
        <header className="flex items-center gap-1 border-b-2 border-ink px-2">
            <Link
                to="/sessions/$sessionId"
                params={{ sessionId: opened.session_id }}
                aria-label="Back to the session"
                className="grid h-14 w-11 shrink-0 place-items-center"
            >
                <ArrowLeft aria-hidden />
            </Link>
            <Opens
                label="Who is in the line"
                className="flex h-14 min-w-0 items-center gap-1"
                content={<Who opened={opened} line={line} />}
            >
                <h1 className="truncate text-xl">Line of {line.order.length}</h1>
                <ChevronDown size={18} aria-hidden />
            </Opens>
            <span className="grow text-right text-sm">
                <UnsentMark />
            </span>
            <Link
                to="/sessions/$sessionId/clock"
                params={{ sessionId: opened.session_id }}
                className="btn btn-quiet hidden min-h-12 sm:inline-flex"
            >
                Clock
            </Link>
            {opened.rotation && <Rotation rotation={opened.rotation} />}
            {cold.length > 0 && (
                <button
                    type="button"
                    className="btn min-h-12"
                    onClick={() => {
                        line.warmUpAll();
                        setWarmUp(true);
                    }}
                >
                    All warmed up
                </button>
            )}
            {line.way === 'pairs' && (
                <button type="button" className="btn min-h-12" onClick={line.skip}>
                    Next two
                </button>
            )}
            <Link
                to="/sessions/$sessionId/after"
                params={{ sessionId: opened.session_id }}
                className={clsx('btn min-h-12', line.order.every((id) => line.out.has(id)) && 'btn-main')}
            >
                Finish
            </Link>
            <Sheetlet
                open={warmUp}
                onClose={() => setWarmUp(false)}
                title="The warm-up is counted, each at their own dose"
            >
                <Warmed line={line} onClose={() => setWarmUp(false)} />
            </Sheetlet>
        </header>
    );
}

function Who({ opened, line }: { opened: Courtside; line: Line }) {
    return (
        <div className="grid gap-3">
            <Choice label="How it is counted" of={WAYS} value={line.way} onChange={line.by} columns={3} />
            <ul className="grid grid-cols-2 gap-1">
                {opened.neighbours.map((each) => {
                    const isIn = line.order.includes(each.sheet_id);
                    return (
                        <li key={each.sheet_id}>
                            <button
                                type="button"
                                aria-pressed={isIn}
                                className={clsx('btn w-full justify-between', isIn && 'btn-main')}
                                onClick={() => line.toggle(each.sheet_id)}
                            >
                                {each.name}
                                <span className="text-sm font-normal">
                                    {each.state === 'finished' ? 'finished' : each.group ? `place ${each.group}` : ''}
                                </span>
                            </button>
                        </li>
                    );
                })}
            </ul>
        </div>
    );
}

/** One of them did not: taken back for that one. */
function Warmed({ line, onClose }: { line: Line; onClose: () => void }) {
    return (
        <div className="grid gap-2">
            <p className="text-soft">Somebody did not do it? Take it back for that one.</p>
            <ul>
                {line.order.map((id) => {
                    const status = line.statuses[id];
                    return status === undefined ? null : (
                        <li key={id} className="flex items-center border-b border-line">
                            <span className="head grow">{status.name}</span>
                            {status.warmed === true ? (
                                <button
                                    type="button"
                                    className="btn btn-quiet"
                                    aria-label={`Take back the warm-up of ${status.name}`}
                                    onClick={() => line.acts.get(id)?.takeBackWarmUp()}
                                >
                                    Take back
                                </button>
                            ) : (
                                <span className="py-2 text-soft">
                                    {status.warmed === null ? 'none today' : 'not counted'}
                                </span>
                            )}
                        </li>
                    );
                })}
            </ul>
            <button type="button" className="btn btn-main" onClick={onClose}>
                To the line
            </button>
        </div>
    );
}
