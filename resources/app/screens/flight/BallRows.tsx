import type { BallFile, BallNumbers } from './files';
import { NumberField } from '../../parts/NumberField';

/** One line a ball: how wide, how much the air holds it back, and where that comes from. */
export function BallRows({
    file,
    names,
    onChange,
}: {
    file: BallFile;
    names: Record<string, string>;
    onChange: (file: BallFile) => void;
}) {
    const change = (id: string, ball: BallNumbers): void => onChange({ ...file, balls: { ...file.balls, [id]: ball } });
    return (
        <table className="mt-2 w-full">
            <thead>
                <tr className="label text-left">
                    <th scope="col">Ball</th>
                    <th scope="col">Diameter, m</th>
                    <th scope="col">Drag coefficient</th>
                    <th scope="col" className="w-1/2">
                        Where that comes from
                    </th>
                </tr>
            </thead>
            <tbody>
                {Object.entries(file.balls).map(([id, ball]) => {
                    const name = names[id] ?? id;
                    return (
                        <tr key={id} className="border-t border-line">
                            <th scope="row" className="py-1 pr-3 text-left font-normal">
                                {name}
                            </th>
                            <td className="py-1 pr-3">
                                <NumberField
                                    label={`${name}, diameter in metres`}
                                    value={ball.diameter_m}
                                    step={0.001}
                                    onChange={(diameter_m) => change(id, { ...ball, diameter_m })}
                                />
                            </td>
                            <td className="py-1 pr-3">
                                <NumberField
                                    label={`${name}, drag coefficient`}
                                    value={ball.drag_coefficient}
                                    step={0.01}
                                    onChange={(drag_coefficient) => change(id, { ...ball, drag_coefficient })}
                                />
                            </td>
                            <td className="py-1">
                                <input
                                    className="field w-full"
                                    aria-label={`${name}, where that comes from`}
                                    maxLength={300}
                                    value={ball.source}
                                    onChange={(event) => change(id, { ...ball, source: event.target.value })}
                                />
                            </td>
                        </tr>
                    );
                })}
            </tbody>
        </table>
    );
}
