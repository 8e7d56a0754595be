import { Toggle } from './Toggle';

/** What is there, when not everything is; null: all of it. */
export function AtHand({
    kit,
    objects,
    onChange,
}: {
    kit: { id: string; name: string }[];
    objects: string[] | null;
    onChange: (objects: string[] | null) => void;
}) {
    return (
        <details
            open={objects !== null}
            onToggle={(event) => onChange(event.currentTarget.open ? (objects ?? kit.map((each) => each.id)) : null)}
        >
            <summary className="opens">Not everything is at hand</summary>
            <div className="mt-2 flex flex-wrap gap-1.5">
                {kit.map((each) => (
                    <Toggle
                        key={each.id}
                        on={objects?.includes(each.id) ?? true}
                        onChange={(on) =>
                            onChange(
                                on ? [...(objects ?? []), each.id] : (objects ?? []).filter((id) => id !== each.id),
                            )
                        }
                    >
                        {each.name}
                    </Toggle>
                ))}
            </div>
        </details>
    );
}
