import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { FIGURES, FINDS } from './asked';
import { type CheckpointDef, freshId, type LadderDef, leftOut, type MeasureDef, type MomentDef } from './definition';

/** The moments at which a picture is looked at, in the order they come. */
export function MomentsOf({ ladder, onChange }: { ladder: LadderDef; onChange: (next: LadderDef) => void }) {
    const moments = ladder.moments ?? [];
    const change = (next: MomentDef[]): void =>
        onChange(next.length === 0 ? withoutMoments(ladder) : { ...ladder, moments: next });
    return (
        <section aria-label="Moments on film">
            <h2 className="border-b-2 border-ink pb-1 text-base">Moments on film, in their order</h2>
            {moments.map((each, i) => {
                const about = each.name || 'new moment';
                const put = (next: MomentDef): void => change(moments.map((one, j) => (i === j ? next : one)));
                return (
                    <div key={each.id} className="grid gap-1.5 border-b border-line py-1.5 sm:grid-cols-[8rem_1fr]">
                        <input
                            aria-label={`Name of ${about}`}
                            placeholder="name"
                            className="field head"
                            value={each.name}
                            onChange={(event) => put({ ...each, name: event.target.value })}
                        />
                        <input
                            aria-label={`How to find it: ${about}`}
                            placeholder="how to find it"
                            className="field"
                            value={each.text}
                            onChange={(event) => put({ ...each, text: event.target.value })}
                        />
                        <div className="flex flex-wrap items-end gap-1.5 sm:col-span-2">
                            <Labelled label={`${about} is proposed where`} tight>
                                <select
                                    className="field"
                                    value={each.find ?? ''}
                                    onChange={(event) =>
                                        put(
                                            event.target.value === ''
                                                ? leftOut(each, 'find')
                                                : { ...each, find: event.target.value },
                                        )
                                    }
                                >
                                    <Options of={FINDS} />
                                </select>
                            </Labelled>
                            <button
                                type="button"
                                className="btn btn-quiet"
                                onClick={() => change(moments.filter((_, j) => j !== i))}
                            >
                                Take away
                            </button>
                        </div>
                    </div>
                );
            })}
            <button
                type="button"
                className="btn mt-2"
                onClick={() => change([...moments, { id: freshId('moment', moments), name: '', text: '' }])}
            >
                Add a moment
            </button>
        </section>
    );
}

/** Without moments no checkpoint can ask for one. */
const withoutMoments = (ladder: LadderDef): LadderDef => ({
    ...leftOut(ladder, 'moments'),
    checkpoints: ladder.checkpoints.map((each) => leftOut(each, 'measure')),
});

/** What a picture is asked for a checkpoint: a figure at a moment, right between two bounds. */
export function MeasureOf({
    each,
    moments,
    onChange,
}: {
    each: CheckpointDef;
    moments: MomentDef[];
    onChange: (next: CheckpointDef) => void;
}) {
    const about = each.name || 'new checkpoint';
    const { measure } = each;
    if (!measure) {
        const first = moments[0];
        return (
            first && (
                <button
                    type="button"
                    className="btn btn-quiet justify-self-start"
                    aria-label={`Ask a picture for ${about}`}
                    onClick={() =>
                        onChange({ ...each, measure: { moment: first.id, figure: 'throwing_elbow', low: 90 } })
                    }
                >
                    Ask a picture
                </button>
            )
        );
    }
    const put = (next: MeasureDef): void => onChange({ ...each, measure: next });
    const bound = (which: 'low' | 'high', text: string): void => {
        const value = Number(text);
        put(text.trim() === '' || Number.isNaN(value) ? leftOut(measure, which) : { ...measure, [which]: value });
    };
    return (
        <div className="flex flex-wrap items-end gap-1.5 pl-6">
            <Labelled label={`On film, ${about}: at`} tight>
                <select
                    className="field"
                    value={measure.moment}
                    onChange={(event) => put({ ...measure, moment: event.target.value })}
                >
                    <Options of={moments.map(({ id, name }) => [id, name || id] as const)} />
                </select>
            </Labelled>
            <Labelled label="what" tight>
                <select
                    className="field"
                    value={measure.figure}
                    onChange={(event) => put({ ...measure, figure: event.target.value })}
                >
                    <Options of={FIGURES} />
                </select>
            </Labelled>
            {(['low', 'high'] as const).map((which) => (
                <LabelledInput
                    key={which}
                    label={which === 'low' ? 'from' : 'to'}
                    className="w-20"
                    inputMode="decimal"
                    defaultValue={measure[which] ?? ''}
                    onBlur={(event) => bound(which, event.target.value)}
                    tight
                />
            ))}
            <button type="button" className="btn btn-quiet" onClick={() => onChange(leftOut(each, 'measure'))}>
                Take away
            </button>
        </div>
    );
}
