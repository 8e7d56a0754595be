import { useState } from 'react';
import type { Courtside, RepEvent } from '../../api/client';
import type { Verdict } from '../../rules/fold';
import { verdictOf } from '../../rules/pattern';
import { clsx } from 'clsx';

/** Empty: not seen. */
type Look = 'right' | 'wrong' | '';

const WORDS: ReadonlyArray<readonly [look: Look, label: string]> = [
    ['right', 'Right'],
    ['wrong', 'Wrong'],
    ['', 'Not seen'],
];

/** How the word that was given reads. */
const chosen = (value: string): string => (value === 'wrong' ? 'bg-stop text-chalk' : 'bg-ink text-chalk');

/** What the last tap said about each checkpoint: all were right, or the one whose fault was named was wrong. */
function implied(pack: Courtside, rep: RepEvent): Record<string, Look> {
    if (rep.seen) return rep.seen;
    if (rep.verdict === 'good') return Object.fromEntries(pack.checkpoints.map((each) => [each.id, 'right']));
    const fault = pack.faults.find((each) => each.id === rep.fault);
    return fault ? { [fault.checkpoint]: 'wrong' } : {};
}

/**
 * The last repetition once more: another verdict by one tap, or checkpoint by checkpoint. What was not seen is no
 * pass.
 */
export function LookAgain({
    pack,
    rep,
    onCorrect,
}: {
    pack: Courtside;
    rep: RepEvent;
    onCorrect: (verdict: Verdict, fault: string | null, seen: RepEvent['seen']) => void;
}) {
    const [seen, setSeen] = useState(() => implied(pack, rep));
    const verdict = verdictOf(
        pack.checkpoints.map((each) => each.id),
        seen,
    );
    const kept = Object.fromEntries(
        Object.entries(seen).filter((each): each is [string, 'right' | 'wrong'] => each[1] !== ''),
    );
    // The fault that was named stays while its checkpoint is still wrong.
    const named = pack.faults.find((each) => each.id === rep.fault);
    const fault = named && kept[named.checkpoint] === 'wrong' ? named.id : null;
    const words: { id: string; name: string; verdict: Verdict }[] = [
        { id: '', name: 'Good', verdict: 'good' },
        ...pack.faults.map(({ id, name }) => ({ id, name, verdict: 'not_good' as const })),
        { id: '', name: 'Not seen', verdict: 'unobserved' },
    ];
    return (
        <div className="grid gap-4">
            <div className="grid grid-cols-2 gap-1.5">
                {words.map((each) => (
                    <button
                        key={each.name}
                        type="button"
                        className="btn min-h-14 justify-start whitespace-normal text-left leading-tight"
                        onClick={() => onCorrect(each.verdict, each.id === '' ? null : each.id, null)}
                    >
                        {each.name}
                    </button>
                ))}
            </div>
            <section aria-label="By checkpoint" className="grid gap-2 border-t border-line pt-3">
                <h3 className="label">Or checkpoint by checkpoint</h3>
                {pack.checkpoints.map((each) => (
                    <div
                        key={each.id}
                        role="group"
                        aria-label={each.name}
                        className="flex items-center justify-between gap-3"
                    >
                        <span className="head">{each.name}</span>
                        <span className="flex">
                            {WORDS.map(([value, label]) => (
                                <button
                                    key={label}
                                    type="button"
                                    aria-pressed={(seen[each.id] ?? '') === value}
                                    className={clsx(
                                        'head min-h-12 border-y-2 border-ink px-3 text-sm',
                                        (seen[each.id] ?? '') === value ? chosen(value) : '',
                                    )}
                                    onClick={() => setSeen({ ...seen, [each.id]: value })}
                                >
                                    {label}
                                </button>
                            ))}
                        </span>
                    </div>
                ))}
                <button
                    type="button"
                    className="btn btn-main min-h-14"
                    disabled={Object.keys(kept).length === 0}
                    onClick={() => onCorrect(verdict, fault, kept)}
                >
                    Keep:{' '}
                    {verdict === 'good'
                        ? 'good'
                        : verdict === 'not_good'
                          ? 'not good'
                          : 'not all seen, counts as load only'}
                </button>
            </section>
        </div>
    );
}
