import type { ReactNode } from 'react';
import type { SizeNumbers } from '../../api/client';
import { Options } from '../../parts/Labelled';
import { NumberField } from '../../parts/NumberField';
import type { SizeTable } from './files';

/** One kind of object: a row an age, the size of everybody older, and what a small hand can hold. */
export function SizeRows({
    kind: { name, sizes },
    table,
    onChange,
}: {
    kind: SizeNumbers['tables'][number];
    table: SizeTable;
    onChange: (table: SizeTable) => void;
}) {
    const size = (label: string, value: string, change: (object: string) => void): ReactNode => (
        <select
            className="field w-52"
            aria-label={`${name}, ${label}`}
            value={value}
            onChange={(event) => change(event.target.value)}
        >
            <Options of={sizes} />
        </select>
    );
    const smallest = sizes[0]?.id ?? table.grown;
    const [lastAge, lastHand] = [table.ages.at(-1), table.hands.at(-1)];
    const ages = (to: SizeTable['ages']): void => onChange({ ...table, ages: to });
    const hands = (to: SizeTable['hands']): void => onChange({ ...table, hands: to });
    return (
        <section aria-label={name}>
            <h3 className="border-b border-ink text-base">{name}</h3>
            {table.ages.map((row, at) => (
                <Row key={at} onRemove={() => ages(table.ages.filter((_, i) => i !== at))} what={`age ${at + 1}`}>
                    <span>up to</span>
                    <NumberField
                        label={`${name}, age ${at + 1}: up to years`}
                        value={row.to_age}
                        step={1}
                        onChange={(to_age) => ages(put(table.ages, at, { ...row, to_age }))}
                    />
                    <span className="grow">years</span>
                    {size(`age ${at + 1}`, row.object, (object) => ages(put(table.ages, at, { ...row, object })))}
                </Row>
            ))}
            <Row>
                <span className="grow">{table.ages.length > 0 ? 'older' : 'at every age'}</span>
                {size('everybody else', table.grown, (grown) => onChange({ ...table, grown }))}
            </Row>
            {table.hands.map((row, at) => (
                <Row key={at} onRemove={() => hands(table.hands.filter((_, i) => i !== at))} what={`hand ${at + 1}`}>
                    <span>hand below</span>
                    <NumberField
                        label={`${name}, hand ${at + 1}: spans less than, centimetres`}
                        value={row.below_cm}
                        step={0.5}
                        onChange={(below_cm) => hands(put(table.hands, at, { ...row, below_cm }))}
                    />
                    <span className="grow">cm: at most</span>
                    {size(`hand ${at + 1}`, row.object, (object) => hands(put(table.hands, at, { ...row, object })))}
                </Row>
            ))}
            <p className="flex gap-2 border-t border-line py-1">
                <button
                    type="button"
                    className="btn btn-quiet"
                    aria-label={`${name}: add an age`}
                    onClick={() =>
                        ages([
                            ...table.ages,
                            { to_age: (lastAge?.to_age ?? 9) + 2, object: lastAge?.object ?? smallest },
                        ])
                    }
                >
                    Add an age
                </button>
                <button
                    type="button"
                    className="btn btn-quiet"
                    aria-label={`${name}: add a hand`}
                    onClick={() =>
                        hands([
                            ...table.hands,
                            { below_cm: (lastHand?.below_cm ?? 14) + 1, object: lastHand?.object ?? smallest },
                        ])
                    }
                >
                    Add a hand
                </button>
            </p>
        </section>
    );
}

const put = <T,>(rows: T[], at: number, row: T): T[] => rows.map((each, i) => (i === at ? row : each));

/** One line of a table; without a way to remove it, its place stays empty, so that sizes stand below each other. */
function Row({ children, what, onRemove }: { children: ReactNode; what?: string; onRemove?: () => void }) {
    return (
        <div className="flex flex-wrap items-center gap-2 border-t border-line py-1">
            {children}
            <span className="w-24 text-right">
                {onRemove && (
                    <button
                        type="button"
                        className="btn btn-quiet"
                        aria-label={`Remove ${what ?? 'this'}`}
                        onClick={onRemove}
                    >
                        Remove
                    </button>
                )}
            </span>
        </div>
    );
}
