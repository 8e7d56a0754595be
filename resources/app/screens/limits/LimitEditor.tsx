import { useState } from 'react';
import { agesInWords, inWords, type LimitDef, type TableRow, type Values, withOptional } from './limitKinds';
import { LimitDetails } from './LimitDetails';

const tableText = (rows: TableRow[] | undefined): string =>
    (rows ?? []).map((row) => `${row.at_least}→${row.rest_days}`).join(', ');
const tableOf = (text: string): TableRow[] =>
    text.split(',').flatMap((part) => {
        const [at, days] = part.split(/→|->|:/).map((each) => Number(each.trim()));
        return at && days !== undefined && !Number.isNaN(days) ? [{ at_least: at, rest_days: days }] : [];
    });

/** One limit of a rule set: what it says at each age, how firm it is, and who says so. */
export function LimitEditor({ limit, onChange }: { limit: LimitDef; onChange: (limit: LimitDef | null) => void }) {
    const bands = limit.by_age ?? [];
    return (
        <fieldset className="grid gap-1.5 border-t border-line py-2.5">
            <div className="flex flex-wrap items-center gap-2">
                <input
                    aria-label={`Name of ${limit.id}`}
                    className="field head w-60"
                    required
                    value={limit.label}
                    onChange={(event) => onChange({ ...limit, label: event.target.value })}
                />
                <select
                    aria-label={`How firm ${limit.label} is`}
                    className="field w-28"
                    value={limit.severity}
                    onChange={(event) => onChange({ ...limit, severity: event.target.value as LimitDef['severity'] })}
                >
                    <option value="hard">hard</option>
                    <option value="advise">advice</option>
                </select>
                <input
                    aria-label={`Source of ${limit.label}`}
                    className="field w-48"
                    placeholder="source, if another"
                    value={limit.source ?? ''}
                    onChange={(event) => onChange(withOptional(limit, 'source', event.target.value))}
                />
                <span className="label grow">
                    {inWords(limit)}
                    {limit.per_side ? ', each side apart' : ''}
                </span>
                <button type="button" className="btn btn-quiet" onClick={() => onChange(null)}>
                    Take away
                </button>
            </div>
            <div className="flex flex-wrap gap-x-4 gap-y-1.5">
                {(bands.length === 0 || hasOwn(limit, bands)) && (
                    <ValueFields
                        key={limit.kind}
                        limit={limit}
                        values={limit}
                        name={bands.length === 0 && limit.ages ? agesInWords(limit.ages) : 'every age'}
                        onChange={(values) => onChange({ ...limit, ...values })}
                    />
                )}
                {bands.map((band, i) => (
                    <ValueFields
                        key={`${limit.kind} ${i} ${band.ages.join(' ')}`}
                        limit={limit}
                        values={band}
                        name={agesInWords(band.ages)}
                        onChange={(values) =>
                            onChange({
                                ...limit,
                                by_age: bands.map((each, j) => (i === j ? { ...each, ...values } : each)),
                            })
                        }
                    />
                ))}
            </div>
            <LimitDetails limit={limit} onChange={onChange} />
        </fieldset>
    );
}

/** What stands on the limit itself, beside what differs by age. */
const hasOwn = (limit: LimitDef, bands: Values[]): boolean =>
    (['max', 'max_increase', 'floor', 'max_days', 'at_least', 'low', 'min_days'] as const).some(
        (key) => limit[key] !== undefined && bands.every((band) => band[key] === undefined),
    );

function ValueFields({
    limit,
    values,
    name,
    onChange,
}: {
    limit: LimitDef;
    values: Values;
    name: string;
    onChange: (values: Values) => void;
}) {
    const field = (
        key: 'max' | 'floor' | 'max_days' | 'at_least' | 'low' | 'high' | 'stop' | 'min_days' | 'min_chronic',
        prefix = '',
    ) =>
        values[key] === undefined ? null : (
            <Figure
                label={`${limit.label}, ${name}${prefix ? `, ${prefix}` : ''}`}
                prefix={prefix}
                value={values[key] ?? 0}
                onChange={(value) => onChange({ [key]: value })}
            />
        );
    return (
        <div className="flex items-center gap-1.5">
            <span className="label">{name}</span>
            {field('max')}
            {values.max_increase === undefined ? null : (
                <Figure
                    label={`${limit.label}, ${name}, rise in percent`}
                    prefix="+%"
                    value={Math.round(1000 * values.max_increase) / 10}
                    onChange={(value) => onChange({ max_increase: value / 100 })}
                />
            )}
            {field('floor', values.max_increase === undefined ? '' : 'floor')}
            {field('max_days')}
            {field('low', 'low')}
            {field('high', 'high')}
            {field('stop', 'stop')}
            {field('at_least', 'from')}
            {field('min_days', 'days on record')}
            {field('min_chronic', 'weeks before at least')}
            {values.table && (
                <TableText
                    label={`${limit.label}, ${name}: work → rest days`}
                    rows={values.table}
                    onChange={(table) => onChange({ table })}
                />
            )}
        </div>
    );
}

/** What is typed stays as typed until it is a number. */
function Figure({
    label,
    prefix,
    value,
    onChange,
}: {
    label: string;
    prefix: string;
    value: number;
    onChange: (value: number) => void;
}) {
    const [text, setText] = useState(String(value));
    return (
        <label className="flex items-center gap-1">
            {prefix && <span className="text-sm text-soft">{prefix}</span>}
            <input
                aria-label={label}
                className="field figure w-16 px-1 text-center"
                inputMode="decimal"
                value={text}
                onChange={(event) => {
                    setText(event.target.value);
                    const number = Number(event.target.value);
                    if (event.target.value !== '' && !Number.isNaN(number)) onChange(number);
                }}
            />
        </label>
    );
}

function TableText({
    label,
    rows,
    onChange,
}: {
    label: string;
    rows: TableRow[];
    onChange: (rows: TableRow[]) => void;
}) {
    const [text, setText] = useState(tableText(rows));
    return (
        <input
            aria-label={label}
            className="field figure w-56 px-2"
            value={text}
            onChange={(event) => {
                setText(event.target.value);
                onChange(tableOf(event.target.value));
            }}
        />
    );
}
