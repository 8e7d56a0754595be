import { useState } from 'react';
import type { Session } from '../../api/client';
import { Sheetlet } from '../../parts/Sheetlet';
import { LabelledStepper } from '../../parts/LabelledStepper';
import { LabelledInput, Options } from '../../parts/Labelled';
import type { SpaceSet } from './useSession';

const SURFACES = [
    ['soft', 'soft'],
    ['sprung', 'sprung'],
    ['firm', 'firm'],
    ['hard', 'hard'],
] as const;

/** Each space: how long, how many side by side, which floor, and whether something may fly far in it. */
export function SpaceForm({
    spaces,
    kept,
    onClose,
    onKeep,
}: {
    spaces: SpaceSet[] | null;
    kept: Session;
    onClose: () => void;
    onKeep: (spaces: SpaceSet[], adults: number, balls: number) => void;
}) {
    return (
        <Sheetlet open={spaces !== null} onClose={onClose} title="Spaces" wide>
            {spaces && <Spaces spaces={spaces} kept={kept} onKeep={onKeep} />}
        </Sheetlet>
    );
}

function Spaces({
    spaces,
    kept,
    onKeep,
}: {
    spaces: SpaceSet[];
    kept: Session;
    onKeep: (spaces: SpaceSet[], adults: number, balls: number) => void;
}) {
    const [rows, setRows] = useState(spaces);
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
                <LabelledStepper label="Adults" value={adults} step={1} least={0} most={20} onChange={setAdults} />
                <LabelledStepper label="Balls in all" value={balls} step={5} least={0} most={300} onChange={setBalls} />
            </div>
            {rows.map((row, i) => (
                <SpaceRow
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
                                id: `space-${Date.now()}`,
                                title: 'New space',
                                length_m: 15,
                                lanes: 4,
                                surface: null,
                                sector: false,
                            },
                        ])
                    }
                >
                    Add a space
                </button>
                <span className="grow" />
                <button className="btn btn-main">Save the spaces</button>
            </div>
        </form>
    );
}

function SpaceRow({
    row,
    onChange,
    onTakeAway,
}: {
    row: SpaceSet;
    onChange: (with_: Partial<SpaceSet>) => void;
    onTakeAway: () => void;
}) {
    return (
        <fieldset className="grid gap-1.5 border-t border-line pt-2">
            <div className="grid grid-cols-[1fr_6rem_6rem] gap-2">
                <LabelledInput
                    label="Name"
                    tight
                    required
                    maxLength={60}
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
                    label="Lanes"
                    tight
                    inputMode="numeric"
                    required
                    value={row.lanes}
                    onChange={(event) => onChange({ lanes: Number(event.target.value) || 0 })}
                />
            </div>
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
                <label className="flex items-center gap-1">
                    <input
                        type="checkbox"
                        checked={row.sector}
                        onChange={(event) => onChange({ sector: event.target.checked })}
                    />
                    sector kept free: javelin, shot and discus may land in it
                </label>
                <label className="flex items-center gap-1">
                    floor{' '}
                    <select
                        className="field w-44"
                        value={row.surface ?? ''}
                        onChange={(event) => onChange({ surface: (event.target.value || null) as SpaceSet['surface'] })}
                    >
                        <option value="">as the session’s</option>
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
