import type { Body } from '../../api/typed';
import { useState } from 'react';
import { KINDS } from '../../api/words';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { Labelled, LabelledInput } from '../../parts/Labelled';
import type { Editing } from './useIntake';
import { chosen, picked, typed } from '../../parts/forms';

type Condition = Body<'POST', `/api/athletes/${string}/conditions`>;

const SITES = [
    'shoulder',
    'upper_arm',
    'elbow',
    'forearm',
    'wrist',
    'hand',
    'finger',
    'neck',
    'chest',
    'back',
    'side',
    'hip',
    'thigh',
    'knee',
    'shin',
    'ankle',
    'foot',
];

/** What is known and watched; only a clinician sets it. */
export function Conditions({ intake }: { intake: Editing }) {
    const me = useMe();
    const { kept } = intake;
    const [asking, setAsking] = useState(false);
    return (
        <section aria-label="Known conditions">
            <h2 className="text-base">Known conditions</h2>
            <p className="text-sm text-soft">
                A report within one counts as reduced, not as news. Only a clinician sets them.
            </p>
            <ul>
                {kept.conditions.map((condition) => (
                    <li
                        key={condition.id}
                        className={`border-t border-line py-1 ${condition.ended ? 'text-soft line-through' : ''}`}
                    >
                        {condition.sentence}
                    </li>
                ))}
            </ul>
            {me.role === 'clinician' && (
                <button type="button" className="btn mt-1" onClick={() => setAsking(true)}>
                    Set a condition
                </button>
            )}
            <SetCondition intake={intake} open={asking} onClose={() => setAsking(false)} />
        </section>
    );
}

function SetCondition({
    intake: { problem, send, nextId },
    open,
    onClose,
}: {
    intake: Editing;
    open: boolean;
    onClose: () => void;
}) {
    const me = useMe();
    return (
        <Sheetlet open={open} onClose={onClose} title="Set a known condition">
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    void send(
                        'POST',
                        '/conditions',
                        {
                            id: nextId(),
                            site: picked<Condition['site']>(form, 'site'),
                            side: chosen<'left' | 'right'>(form, 'side'),
                            kind: picked<Condition['kind']>(form, 'kind'),
                            up_to_score: Number(typed(form, 'up_to_score')),
                            until_day: typed(form, 'until_day'),
                            note: typed(form, 'note') || null,
                        },
                        'The condition is set.',
                    ).then((is) => is && onClose());
                }}
            >
                <div className="grid grid-cols-2 gap-2">
                    <Labelled label="Place">
                        <select className="field" name="site">
                            {SITES.map((site) => (
                                <option key={site} value={site}>
                                    {site.replace('_', ' ')}
                                </option>
                            ))}
                        </select>
                    </Labelled>
                    <Labelled label="Side">
                        <select className="field" name="side">
                            <option value="">either</option>
                            <option value="left">left</option>
                            <option value="right">right</option>
                        </select>
                    </Labelled>
                </div>
                <div className="grid grid-cols-2 gap-2">
                    <Labelled label="Kind">
                        <select className="field" name="kind">
                            {KINDS.filter(([kind]) => kind !== 'head').map(([kind, label]) => (
                                <option key={kind} value={kind}>
                                    {label}
                                </option>
                            ))}
                        </select>
                    </Labelled>
                    <Labelled label="Up to a score of">
                        <select className="field" name="up_to_score">
                            {[1, 2, 3, 4, 5, 6, 7].map((score) => (
                                <option key={score}>{score}</option>
                            ))}
                        </select>
                    </Labelled>
                </div>
                <LabelledInput label="Until" type="date" name="until_day" min={me.today} required />
                <LabelledInput label="Note, may be left open" name="note" />
                <Notice problem={problem} />
                <button className="btn btn-main">Set it in my name</button>
            </form>
        </Sheetlet>
    );
}
