import { useState } from 'react';
import { Opens } from '../../parts/Opens';

const GROUPS: [kind: string, choices: string[]][] = [
    ['Grip', ['looser grip', 'firmer grip']],
    ['Stance', ['wider stance', 'narrower stance']],
    ['Feed', ['own toss', 'partner feed', 'machine feed']],
];
/** As the server reads it: what is tried together. */
const AND = ' + ';

/** What is being tried from the next repetition on: a cue, a grip, a stance, a feed. One thing at a time. */
export function Trying({
    now,
    cues,
    grips,
    onTry,
}: {
    now: string;
    cues: string[];
    grips: string[];
    onTry: (note: string) => void;
}) {
    const groups = GROUPS.map(([kind, choices]): [string, string[]] =>
        kind === 'Grip' ? [kind, [...grips.slice(0, 4).map((grip) => `grip: ${grip}`), ...choices]] : [kind, choices],
    );
    const [own, setOwn] = useState('');
    const tried = now === '' ? [] : now.split(AND);
    const toggle = (what: string): void =>
        onTry((tried.includes(what) ? tried.filter((each) => each !== what) : [...tried, what]).join(AND));
    const choice = (what: string) => (
        <button
            key={what}
            type="button"
            aria-pressed={tried.includes(what)}
            className={`btn ${tried.includes(what) ? 'btn-main' : ''}`}
            onClick={() => toggle(what)}
        >
            {what}
        </button>
    );
    return (
        <Opens
            label="What is being tried"
            className={`btn btn-quiet min-w-0 shrink overflow-hidden ${tried.length > 0 ? 'font-bold' : ''}`}
            content={
                <div className="grid gap-3">
                    <p className="head">From the next repetition on</p>
                    {tried.length > 1 && (
                        <p role="alert" className="border-l-4 border-reduced pl-2">
                            Two things at once: afterwards nobody can say which one it was.
                        </p>
                    )}
                    <div>
                        <p className="label">Cue</p>
                        <div className="mt-1 flex flex-wrap gap-1.5">
                            {[...new Set(cues)].slice(0, 5).map((cue) => choice(`cue: ${cue}`))}
                        </div>
                    </div>
                    {groups.map(([kind, choices]) => (
                        <div key={kind}>
                            <p className="label">{kind}</p>
                            <div className="mt-1 flex flex-wrap gap-1.5">{choices.map(choice)}</div>
                        </div>
                    ))}
                    {tried
                        .filter(
                            (each) =>
                                !each.startsWith('cue: ') && !groups.some(([, choices]) => choices.includes(each)),
                        )
                        .map(choice)}
                    <form
                        className="flex gap-2"
                        onSubmit={(event) => {
                            event.preventDefault();
                            const what = own.replaceAll(AND, ', ').trim();
                            if (what !== '') {
                                toggle(what);
                                setOwn('');
                            }
                        }}
                    >
                        <input
                            aria-label="Something else"
                            className="field"
                            maxLength={60}
                            placeholder="something else"
                            value={own}
                            onChange={(event) => setOwn(event.target.value)}
                        />
                        <button className="btn">Try</button>
                    </form>
                    {tried.length > 0 && (
                        <button type="button" className="btn" onClick={() => onTry('')}>
                            As before
                        </button>
                    )}
                </div>
            }
        >
            <span className="truncate">{tried.length === 0 ? 'Try' : tried.join(' + ')}</span>
        </Opens>
    );
}
