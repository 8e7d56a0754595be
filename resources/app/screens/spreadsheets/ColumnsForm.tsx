import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Import } from '../../api/client';
import { Labelled, Options } from '../../parts/Labelled';
import { type Choices, choicesOf } from './choices';

type Column = Choices['columns'][number];

/** What each column is: guessed by its title, put right by whoever knows the file. */
export function ColumnsForm({
    file,
    onChosen,
    onLeave,
}: {
    file: Import;
    onChosen: (choices: Choices) => void;
    onLeave: (() => void) | null;
}) {
    const [choices, setChoices] = useState(() => choicesOf(file));
    const change = (some: Partial<Choices>): void => setChoices({ ...choices, ...some });
    const set = (at: number, column: Column): void =>
        change({ columns: choices.columns.map((each, i) => (i === at ? column : each === column ? null : each)) });
    return (
        <form
            onSubmit={(event) => {
                event.preventDefault();
                onChosen(choices);
            }}
        >
            <table className="mt-2 w-full max-w-4xl">
                <caption className="sr-only">Columns of the file</caption>
                <thead>
                    <tr className="label border-b border-line text-left">
                        <th className="py-1">In the file</th>
                        <th>First cells</th>
                        <th className="w-56">Is</th>
                    </tr>
                </thead>
                <tbody>
                    {file.columns.map((column, at) => (
                        <tr key={column.title + at} className="border-b border-line">
                            <th scope="row" className="py-1 pr-4 text-left font-bold">
                                {column.title}
                            </th>
                            <td className="max-w-0 truncate pr-4 text-soft sm:w-1/2">{column.samples.join(' · ')}</td>
                            <td className="py-1">
                                <select
                                    className="field"
                                    aria-label={`${column.title} is`}
                                    value={choices.columns[at] ?? ''}
                                    onChange={(event) => set(at, (event.target.value || null) as Column)}
                                >
                                    <option value="">Passed over</option>
                                    <Options of={file.may_be} />
                                </select>
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <div className="flex flex-wrap items-end gap-4 py-4">
                {choices.columns.some((each) => each === 'day' || each === 'birth_date') && (
                    <Labelled label="Dates like 3/4/2026">
                        <select
                            className="field w-52"
                            value={choices.date_order ?? ''}
                            onChange={(event) =>
                                change({ date_order: (event.target.value || null) as Choices['date_order'] })
                            }
                        >
                            <option value="">as the other dates tell</option>
                            <option value="day first">begin with the day</option>
                            <option value="month first">begin with the month</option>
                        </select>
                    </Labelled>
                )}
                {choices.columns.includes('distance') && (
                    <Labelled label="Distances are in">
                        <select
                            className="field w-36"
                            required
                            value={choices.distance_unit ?? ''}
                            onChange={(event) =>
                                change({ distance_unit: (event.target.value || null) as Choices['distance_unit'] })
                            }
                        >
                            <option value="">Say which</option>
                            <option value="m">metres</option>
                            <option value="ft">feet</option>
                            <option value="yd">yards</option>
                        </select>
                    </Labelled>
                )}
                {file.kind === 'athletes' && <OfAthletes choices={choices} onChange={change} />}
                <button className="btn btn-main">Look at the rows</button>
                {onLeave && (
                    <button type="button" className="btn" onClick={onLeave}>
                        Cancel
                    </button>
                )}
            </div>
            {file.kind === 'work' && (
                <p className="max-w-[75ch] text-sm text-soft">
                    A row without an effort counts as full effort: what is not known is never taken for easy.
                </p>
            )}
        </form>
    );
}

function OfAthletes({ choices, onChange }: { choices: Choices; onChange: (some: Partial<Choices>) => void }) {
    const roster = useQuery({ queryKey: ['roster'], queryFn: () => api('GET', '/api/athletes') });
    return (
        <>
            <Labelled label="They come into">
                <select
                    className="field w-52"
                    required
                    value={choices.squad_id ?? ''}
                    onChange={(event) => onChange({ squad_id: event.target.value ? Number(event.target.value) : null })}
                >
                    <option value="">Choose a squad</option>
                    <Options of={roster.data?.squads ?? []} />
                </select>
            </Labelled>
            <Labelled label="Where no throwing side stands">
                <select
                    className="field w-52"
                    value={choices.throwing_side ?? ''}
                    onChange={(event) =>
                        onChange({ throwing_side: (event.target.value || null) as Choices['throwing_side'] })
                    }
                >
                    <option value="">the row cannot be used</option>
                    <option value="right">right</option>
                    <option value="left">left</option>
                </select>
            </Labelled>
        </>
    );
}
