export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** The days of the week that are trained on. */
export function Weekdays({ value, onChange }: { value: number[]; onChange: (days: number[]) => void }) {
    return (
        <div role="group" aria-label="Training days" className="inline-grid grid-cols-7 border border-ink">
            {WEEKDAYS.map((name, i) => {
                const day = i + 1;
                const on = value.includes(day);
                return (
                    <button
                        key={name}
                        type="button"
                        aria-pressed={on}
                        onClick={() => onChange(on ? value.filter((each) => each !== day) : [...value, day].sort())}
                        className={`head min-h-10 px-2 not-first:border-l border-line ${on ? 'bg-ink text-chalk' : ''}`}
                    >
                        {name}
                    </button>
                );
            })}
        </div>
    );
}
