import { useRef, useState } from 'react';
import type { CheckInPage } from '../api/client';
import { dayName } from '../api/words';
import { newId } from '../offline/store';
import type { Body } from '../api/typed';
import { DoseFields } from './DoseFields';
import { Labelled } from './Labelled';
import { Notice } from './Notice';

type Week = CheckInPage['elsewhere'];
export type ToldWeek = Body<'POST', `/api/athletes/${string}/weeks-elsewhere`>;
type Entry = ToldWeek['entries'][number];

const TOLD: Record<NonNullable<Week['told']>, string> = {
    usual: 'as usual',
    other: 'other than usual, as entered',
    nothing: 'nothing',
};

/** Once a week: what was done elsewhere. One tap for as usual; what nobody says counts as usual. */
export function WeekElsewhere({
    of,
    tell,
    thumb = false,
}: {
    of: Week;
    tell: (week: ToldWeek) => Promise<unknown>;
    /** on a phone, in the sun */
    thumb?: boolean;
}) {
    const btn = thumb ? 'btn thumb grow' : 'btn';
    const id = useRef(newId());
    const [entries, setEntries] = useState<Entry[] | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    const span = `${dayName(of.week)} to ${dayName(of.days.at(-1) ?? of.week)}`;
    const say = (answer: ToldWeek['answer']): void => {
        setBusy(true);
        void tell({ id: id.current, week: of.week, answer, entries: answer === 'other' ? (entries ?? []) : [] })
            .then(() => setProblem(null), setProblem)
            .finally(() => setBusy(false));
    };
    if (of.told !== null)
        return (
            <p className="text-sm text-soft">
                Elsewhere, {span}: {TOLD[of.told]}.
            </p>
        );
    return (
        <section aria-label="Last week elsewhere" className="grid gap-2">
            <h2 className="text-base">Elsewhere, {span}</h2>
            {of.usual.length > 0 ? (
                <ul>
                    {of.usual.map((each) => (
                        <li key={each}>{each}</li>
                    ))}
                </ul>
            ) : (
                <p>Thrown, served or jumped at school, in another club, with friends?</p>
            )}
            {of.usual.length > 0 && (
                <p className="text-sm text-soft">Counted as usual until somebody says otherwise.</p>
            )}
            <Notice problem={problem} />
            {entries === null ? (
                <div className="flex flex-wrap gap-2">
                    {of.usual.length > 0 && (
                        <button
                            type="button"
                            className={`${btn} btn-main`}
                            disabled={busy}
                            onClick={() => say('usual')}
                        >
                            As usual
                        </button>
                    )}
                    <button type="button" className={btn} disabled={busy} onClick={() => say('nothing')}>
                        Nothing
                    </button>
                    <button type="button" className={btn} onClick={() => setEntries([blank(of)])}>
                        {of.usual.length > 0 ? 'Other than usual' : 'Yes'}
                    </button>
                </div>
            ) : (
                <form
                    className="grid gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        say('other');
                    }}
                >
                    {entries.map((entry) => (
                        <OneEntry
                            key={entry.id}
                            of={of}
                            entry={entry}
                            onChange={(next) => setEntries(entries.map((each) => (each.id === entry.id ? next : each)))}
                        />
                    ))}
                    <div className="flex flex-wrap gap-2">
                        <button type="button" className={btn} onClick={() => setEntries([...entries, blank(of)])}>
                            And also
                        </button>
                        <button type="button" className={btn} onClick={() => setEntries(null)}>
                            Cancel
                        </button>
                        <button className={`${btn} btn-main`} disabled={busy}>
                            Save
                        </button>
                    </div>
                </form>
            )}
        </section>
    );
}

const blank = (of: Week): Entry => ({
    id: newId(),
    day: of.days.at(-1) ?? of.week,
    skill: of.skills[0]?.id ?? 'overhand-throw',
    reps: 20,
    felt: null,
});

function OneEntry({ of, entry, onChange }: { of: Week; entry: Entry; onChange: (entry: Entry) => void }) {
    return (
        <fieldset className="grid gap-2 border-t border-line pt-2">
            <DoseFields dose={entry} skills={of.skills} most={1000} thumb onChange={onChange}>
                <Labelled label="Day">
                    <select
                        className="field"
                        value={entry.day}
                        onChange={(event) => onChange({ ...entry, day: event.target.value })}
                    >
                        {of.days.map((day) => (
                            <option key={day} value={day}>
                                {dayName(day, true)}
                            </option>
                        ))}
                    </select>
                </Labelled>
            </DoseFields>
        </fieldset>
    );
}
