import type { Body } from '../api/typed';
import { Options } from './Labelled';
/** Null: nobody said. */
export type Floor = Body<'PUT', `/api/sessions/${string}/floor`>['floor'];

export const FLOORS: ReadonlyArray<readonly [floor: string, label: string]> = [
    ['', 'not said: counts as hard'],
    ['soft', 'soft (mat, sand)'],
    ['sprung', 'sprung (hall)'],
    ['firm', 'firm (grass, track)'],
    ['hard', 'hard (concrete)'],
];

/** The floor that is landed on. What nobody said counts as the hardest. */
export function FloorChoice({
    floor,
    label,
    onChange,
}: {
    floor: Floor;
    label: string;
    onChange: (floor: Floor) => void;
}) {
    return (
        <label className="flex items-center gap-2 text-sm">
            <span className="text-soft">{label}</span>
            <select
                className="border-b border-soft bg-transparent py-1"
                value={floor ?? ''}
                onChange={(event) => onChange((event.target.value || null) as Floor)}
            >
                <Options of={FLOORS} />
            </select>
        </label>
    );
}
