import { Labelled } from '../../parts/Labelled';
import type { CourtFile, CourtNumbers } from './files';
import { NumberField } from '../../parts/NumberField';

const HANGS = [
    ['middle_m', 'In the middle, m'],
    ['post_m', 'At the post, m'],
    ['post_across_m', 'Post from the middle, m'],
] as const;

/** The nets of each court, and what a serve is begun with where nothing is on record. */
export function CourtRows({
    file,
    names,
    onChange,
}: {
    file: CourtFile;
    names: Record<string, string>;
    onChange: (file: CourtFile) => void;
}) {
    return (
        <div className="mt-2 grid gap-x-10 gap-y-6 lg:grid-cols-2">
            {Object.entries(file.courts).map(([id, court]) => (
                <Court
                    key={id}
                    name={names[id] ?? id}
                    court={court}
                    onChange={(changed) => onChange({ ...file, courts: { ...file.courts, [id]: changed } })}
                />
            ))}
        </div>
    );
}

function Court({
    name,
    court,
    onChange,
}: {
    name: string;
    court: CourtNumbers;
    onChange: (court: CourtNumbers) => void;
}) {
    const sag = court.net_sag;
    const net = (at: number, changed: CourtNumbers['nets'][number] | null): void =>
        onChange({
            ...court,
            nets: court.nets.flatMap((each, i) => (i === at ? (changed ? [changed] : []) : [each])),
        });
    return (
        <section aria-label={name} className="border-t border-ink pt-2">
            <h3 className="text-base">{name}</h3>
            <div className="mt-1 flex flex-wrap gap-3">
                <Labelled label="Usual speed, m/s" tight>
                    <NumberField
                        label={`${name}, usual speed in metres a second`}
                        value={court.usual_speed_ms}
                        step={0.5}
                        onChange={(usual_speed_ms) => onChange({ ...court, usual_speed_ms })}
                    />
                </Labelled>
                <Labelled label="Contact, of the body’s height" tight>
                    <NumberField
                        label={`${name}, height of contact as a share of the body’s height`}
                        value={court.reach_share}
                        step={0.05}
                        onChange={(reach_share) => onChange({ ...court, reach_share })}
                    />
                </Labelled>
            </div>
            {sag && (
                <div className="mt-3 flex flex-wrap items-end gap-3">
                    <h4 className="w-full text-sm">The net as it hangs</h4>
                    {HANGS.map(([key, label]) => (
                        <Labelled key={key} label={label} tight>
                            <NumberField
                                label={`${name}, net: ${label}`}
                                value={sag[key]}
                                step={0.001}
                                onChange={(value) => onChange({ ...court, net_sag: { ...sag, [key]: value } })}
                            />
                        </Labelled>
                    ))}
                </div>
            )}
            <table className="mt-3 w-full">
                <thead>
                    <tr className="label text-left">
                        <th scope="col" className="w-full">
                            Net
                        </th>
                        <th scope="col">Height, m</th>
                        <td />
                    </tr>
                </thead>
                <tbody>
                    {court.nets.map((each, i) => (
                        <tr key={i} className="border-t border-line">
                            <td className="py-1 pr-3">
                                <input
                                    className="field w-full"
                                    aria-label={`${name}, name of net ${i + 1}`}
                                    maxLength={80}
                                    value={each.name}
                                    onChange={(event) => net(i, { ...each, name: event.target.value })}
                                />
                            </td>
                            <td className="py-1 pr-3">
                                <NumberField
                                    label={`${name}, height of net ${i + 1} in metres`}
                                    value={each.height_m}
                                    step={0.01}
                                    onChange={(height_m) => net(i, { ...each, height_m })}
                                />
                            </td>
                            <td className="py-1">
                                <button
                                    type="button"
                                    className="btn btn-quiet"
                                    disabled={court.nets.length === 1}
                                    aria-label={`Remove net ${i + 1} of ${name}`}
                                    onClick={() => net(i, null)}
                                >
                                    Remove
                                </button>
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <button
                type="button"
                className="btn btn-quiet mt-2"
                onClick={() =>
                    onChange({
                        ...court,
                        nets: [...court.nets, { name: 'Our own net', height_m: court.nets[0]?.height_m ?? 1 }],
                    })
                }
            >
                Add a net
            </button>
        </section>
    );
}
