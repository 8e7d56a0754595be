import { Link } from '@tanstack/react-router';
import { ArrowLeft, ChevronDown } from 'lucide-react';
import type { Courtside } from '../../api/client';
import { UnsentMark } from '../../parts/KeptHere';
import { Opens } from '../../parts/Opens';
import type { Court } from './useCourtside';
import { clsx } from 'clsx';

/** Who is counted, who is next, and the three things that must be one touch away. */
export function Header({ court }: { court: Court }) {
    const { pack } = court;
    return (
        <header className="flex items-center gap-1 border-b-2 border-ink px-2">
            <Link
                to="/sheets/$sheetId"
                params={{ sheetId: pack.sheet_id }}
                aria-label="Back to the sheet"
                className="grid h-14 w-11 place-items-center"
            >
                <ArrowLeft aria-hidden />
            </Link>
            <Opens
                label="Another athlete"
                className="flex h-14 min-w-0 items-center gap-1"
                content={<Athletes court={court} />}
            >
                <h1 className="truncate text-xl">{pack.athlete.given_name}</h1>
                <ChevronDown size={18} aria-hidden />
            </Opens>
            <InLine pack={pack} />
            <span className="grow text-right text-sm">
                <UnsentMark />
            </span>
            {pack.emergency && (
                <Opens
                    label={`Emergency: whom to call for ${pack.athlete.given_name}`}
                    className="btn btn-quiet min-h-12"
                    content={<p className="whitespace-pre-line text-lg">{pack.emergency}</p>}
                >
                    SOS
                </Opens>
            )}
            <button type="button" className="btn min-h-12" onClick={() => court.open({ name: 'sore' })}>
                Sore
            </button>
            <button
                type="button"
                className={`btn min-h-12 ${court.allDone ? 'btn-main' : ''}`}
                onClick={() => court.open({ name: 'finish' })}
            >
                Finish
            </button>
        </header>
    );
}

function Athletes({ court: { pack, second, judgeAlong } }: { court: Court }) {
    return (
        <div className="grid gap-3">
            <ul className="grid grid-cols-2 gap-1">
                {pack.neighbours.map((each) => (
                    <li key={each.sheet_id}>
                        <Link
                            to="/sheets/$sheetId/courtside"
                            params={{ sheetId: each.sheet_id }}
                            className={clsx(
                                'btn w-full justify-between',
                                each.sheet_id === pack.sheet_id && 'btn-main',
                            )}
                        >
                            <span>
                                {each.name}
                                {each.state === 'finished' ? ', finished' : ''}
                            </span>
                            {each.group === null ? null : (
                                <span className="text-sm font-normal">group {each.group}</span>
                            )}
                        </Link>
                    </li>
                ))}
            </ul>
            <Link to="/sheets/$sheetId/line" params={{ sheetId: pack.sheet_id }} className="btn btn-main w-full">
                Count the line
            </Link>
            <div className="border-t border-line pt-3">
                <button
                    type="button"
                    aria-pressed={second}
                    className={`btn w-full ${second ? 'btn-main' : ''}`}
                    onClick={judgeAlong}
                >
                    {second ? 'Count again myself' : 'Judge along, as a second pair of eyes'}
                </button>
                <p className="mt-1 text-sm text-soft">
                    For two who watch the same repetitions: one counts, one judges along. Afterwards Gates shows whether
                    they see the same.
                </p>
            </div>
        </div>
    );
}

function InLine({ pack }: { pack: Courtside }) {
    return (
        <nav
            aria-label="Athletes of this session"
            className="ml-3 hidden h-14 min-w-0 items-stretch overflow-x-auto border-l border-line pl-2 md:flex"
        >
            {pack.neighbours
                .filter((each) => each.sheet_id !== pack.sheet_id)
                .map((each) => (
                    <Link
                        key={each.sheet_id}
                        to="/sheets/$sheetId/courtside"
                        params={{ sheetId: each.sheet_id }}
                        className={clsx(
                            'head flex items-center px-2 hover:underline',
                            each.state === 'finished' && 'text-soft line-through decoration-1',
                        )}
                    >
                        {each.name}
                    </Link>
                ))}
        </nav>
    );
}
