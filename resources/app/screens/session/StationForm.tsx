import { useState } from 'react';
import type { Session } from '../../api/client';
import { Sheetlet } from '../../parts/Sheetlet';
import { Stepper } from '../../parts/Stepper';
import { LabelledInput, Options } from '../../parts/Labelled';
import type { StationSet } from './SessionScreen';

const KINDS = [
    ['rehearsal', 'rehearsal'],
    ['part', 'part'],
    ['whole', 'whole'],
    ['target', 'target'],
    ['game_like', 'game-like'],
    ['other_side', 'other side'],
] as const;
const SURFACES = [
    ['soft', 'soft'],
    ['sprung', 'sprung'],
    ['firm', 'firm'],
    ['hard', 'hard'],
] as const;

/**
 * Each station: which blocks, how long the area, how many fit, whether an adult stands there, floor, gloves and
 * balls.
 */
export function StationForm({
    stations,
    kept,
    onClose,
    onKeep,
}: {
    stations: StationSet[] | null;
    kept: Session;
    onClose: () => void;
    onKeep: (stations: StationSet[], adults: number, balls: number) => void;
}) {
    return (
        <Sheetlet open={stations !== null} onClose={onClose} title="Stations" wide>
            {stations && <Stations stations={stations} kept={kept} onKeep={onKeep} />}
        </Sheetlet>
    );
}

function Stations({
    stations,
    kept,
    onKeep,
}: {
    stations: StationSet[];
    kept: Session;
    onKeep: (stations: StationSet[], adults: number, balls: number) => void;
}) {
    const [rows, setRows] = useState(stations);
    const [adults, setAdults] = useState(kept.adults);
    const [balls, setBalls] = useState(kept.balls);
    return (
        <form
            className="grid gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                onKeep(rows, adults, balls);
            }}
        >
            <div className="flex flex-wrap gap-6">
                <div>
                    <span className="label block">Adults at stations</span>
                    <Stepper
                        label="adults"
                        value={adults}
                        shown={String(adults)}
                        step={1}
                        least={0}
                        most={20}
                        onChange={setAdults}
                    />
                </div>
                <div>
                    <span className="label block">Balls in all</span>
                    <Stepper
                        label="balls"
                        value={balls}
                        shown={String(balls)}
                        step={5}
                        least={0}
                        most={300}
                        onChange={setBalls}
                    />
                </div>
            </div>
            {rows.map((row, i) => (
                <StationRow
                    key={row.id}
                    row={row}
                    onChange={(with_) => setRows(rows.map((each, j) => (i === j ? { ...each, ...with_ } : each)))}
                    onTakeAway={() => setRows(rows.filter((_, j) => j !== i))}
                />
            ))}
            <div className="flex gap-2">
                <button
                    type="button"
                    className="btn"
                    onClick={() =>
                        setRows([
                            ...rows,
                            {
                                id: `station-${Date.now()}`,
                                title: 'New station',
                                kinds: ['part'],
                                length_m: 15,
                                capacity: 8,
                                needs_adult: false,
                                surface: null,
                                gloves: false,
                                balls_each: 2,
                            },
                        ])
                    }
                >
                    Add a station
                </button>
                <span className="grow" />
                <button className="btn btn-main">Save the stations</button>
            </div>
        </form>
    );
}

function StationRow({
    row,
    onChange,
    onTakeAway,
}: {
    row: StationSet;
    onChange: (with_: Partial<StationSet>) => void;
    onTakeAway: () => void;
}) {
    return (
        <fieldset className="grid gap-1.5 border-t border-line pt-2">
            <div className="grid grid-cols-[1fr_6rem_6rem_6rem] gap-2">
                <LabelledInput
                    label="Name"
                    tight
                    required
                    value={row.title}
                    onChange={(event) => onChange({ title: event.target.value })}
                />
                <LabelledInput
                    label="Length, m"
                    tight
                    inputMode="decimal"
                    required
                    value={row.length_m}
                    onChange={(event) => onChange({ length_m: Number(event.target.value) || 0 })}
                />
                <LabelledInput
                    label="Room for"
                    tight
                    inputMode="numeric"
                    required
                    value={row.capacity}
                    onChange={(event) => onChange({ capacity: Number(event.target.value) || 0 })}
                />
                <LabelledInput
                    label="Balls each"
                    tight
                    inputMode="numeric"
                    value={row.balls_each}
                    onChange={(event) => onChange({ balls_each: Number(event.target.value) || 0 })}
                />
            </div>
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
                <span className="label">Blocks</span>
                {KINDS.map(([kind, label]) => (
                    <label key={kind} className="flex items-center gap-1">
                        <input
                            type="checkbox"
                            checked={row.kinds.includes(kind)}
                            onChange={(event) =>
                                onChange({
                                    kinds: event.target.checked
                                        ? [...row.kinds, kind]
                                        : row.kinds.filter((each) => each !== kind),
                                })
                            }
                        />
                        {label}
                    </label>
                ))}
            </div>
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
                <label className="flex items-center gap-1">
                    <input
                        type="checkbox"
                        checked={row.needs_adult}
                        onChange={(event) => onChange({ needs_adult: event.target.checked })}
                    />
                    an adult stands here
                </label>
                <label className="flex items-center gap-1">
                    <input
                        type="checkbox"
                        checked={row.gloves}
                        onChange={(event) => onChange({ gloves: event.target.checked })}
                    />
                    gloves to catch with
                </label>
                <label className="flex items-center gap-1">
                    floor{' '}
                    <select
                        className="field w-32"
                        value={row.surface ?? ''}
                        onChange={(event) =>
                            onChange({ surface: (event.target.value || null) as StationSet['surface'] })
                        }
                    >
                        <option value="">not known</option>
                        <Options of={SURFACES} />
                    </select>
                </label>
                <span className="grow" />
                <button type="button" className="btn btn-quiet" onClick={onTakeAway}>
                    Take away
                </button>
            </div>
        </fieldset>
    );
}
