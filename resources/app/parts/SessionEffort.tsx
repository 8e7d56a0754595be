/** How hard a session was as a whole, 0 to 10; touched again, nothing is said. */
export function SessionEffort({
    value,
    onChange,
    label = 'How hard was the session, 0 rest to 10 all out? May be left open.',
}: {
    value: number | null;
    onChange: (value: number | null) => void;
    label?: string;
}) {
    return (
        <fieldset>
            <legend className="label mb-1">{label}</legend>
            <div className="grid grid-cols-11 gap-0.5">
                {Array.from({ length: 11 }, (_, each) => (
                    <button
                        key={each}
                        type="button"
                        aria-pressed={value === each}
                        onClick={() => onChange(value === each ? null : each)}
                        className={`head border-y-2 border-ink text-lg ${value === each ? 'bg-ink text-chalk' : ''}`}
                        style={{ minHeight: '3.5rem' }}
                    >
                        {each}
                    </button>
                ))}
            </div>
        </fieldset>
    );
}
