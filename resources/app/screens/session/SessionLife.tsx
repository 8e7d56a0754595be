import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { api, type Session } from '../../api/client';
import { dayName } from '../../api/words';
import { Choice } from '../../parts/Choice';
import { useMe } from '../../parts/Frame';
import { figure, typed } from '../../parts/forms';
import { LabelledInput } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';

type Scope = 'one' | 'after';

/** Another day or hour, called off, one athlete more: what becomes of a session, each with its way back. */
export function SessionLife({ kept, onDeleted }: { kept: Session; onDeleted: () => void }) {
    const queries = useQueryClient();
    const [open, setOpen] = useState<'change' | 'off' | 'who' | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const close = (): void => {
        setOpen(null);
        setProblem(null);
    };
    const done = (job: Promise<unknown>, then: () => void = close): void => {
        void job.then(() => {
            then();
            return queries.invalidateQueries();
        }, setProblem);
    };
    const takeOut = (id: string): void =>
        done(api('POST', `/api/sessions/${kept.id}/athletes/take-out`, { athlete_id: id }), () => null);
    const { life } = kept;
    const me = useMe();
    if (!me.records) return null;
    return (
        <>
            {life.state === 'planned' && (
                <>
                    {life.may_change && (
                        <button type="button" className="btn" onClick={() => setOpen('change')}>
                            Move or change
                        </button>
                    )}
                    <button type="button" className="btn" onClick={() => setOpen('who')}>
                        Who is in it
                    </button>
                </>
            )}
            {life.may_change && (
                <button type="button" className="btn" onClick={() => setOpen('off')}>
                    {life.counted ? 'Close it' : life.state === 'planned' ? 'Call it off' : 'Delete it'}
                </button>
            )}
            <ChangeForm
                kept={kept}
                open={open === 'change'}
                problem={problem}
                onClose={close}
                onSave={(given) => done(api('POST', `/api/sessions/${kept.id}/change`, given))}
            />
            <WhoIsInIt
                kept={kept}
                open={open === 'who'}
                problem={problem}
                onClose={close}
                onAdd={(id) => done(api('POST', `/api/sessions/${kept.id}/athletes`, { athlete_id: id }), () => null)}
                onTakeOut={life.may_change ? takeOut : null}
            />
            {life.counted ? (
                <CloseIt
                    open={open === 'off'}
                    problem={problem}
                    onClose={close}
                    onCloseIt={() => done(api('POST', `/api/sessions/${kept.id}/close`, { version: kept.version }))}
                />
            ) : (
                <OffForm
                    kept={kept}
                    open={open === 'off'}
                    problem={problem}
                    onClose={close}
                    onOff={(scope, reason) =>
                        done(
                            api('POST', `/api/sessions/${kept.id}/call-off`, { scope, reason }),
                            reason === null ? onDeleted : close,
                        )
                    }
                />
            )}
        </>
    );
}

const SCOPES = [
    ['one', 'This one'],
    ['after', 'This one and all after'],
] as const;

/** One of many, or all that follow: asked only where there are many. */
function ScopeChoice({ scope, onChange }: { scope: Scope; onChange: (scope: Scope) => void }) {
    return (
        <div>
            <Choice label="It repeats every week. Which?" of={SCOPES} value={scope} onChange={onChange} columns={2} />
            {scope === 'after' && (
                <p className="mt-1 text-sm text-soft">
                    Those changed on their own, counted or called off stay as they are.
                </p>
            )}
        </div>
    );
}

type Change = {
    version: number;
    scope: Scope;
    day: string;
    starts_at: string;
    title: string;
    minutes: number | null;
    place: string | null;
};

function ChangeForm({
    kept,
    open,
    problem,
    onClose,
    onSave,
}: {
    kept: Session;
    open: boolean;
    problem: unknown;
    onClose: () => void;
    onSave: (given: Change) => void;
}) {
    const me = useMe();
    const [scope, setScope] = useState<Scope>('one');
    const save = (event: FormEvent<HTMLFormElement>): void => {
        event.preventDefault();
        const form = new FormData(event.currentTarget);
        onSave({
            version: kept.version,
            scope,
            day: typed(form, 'day') || kept.day,
            starts_at: typed(form, 'starts_at'),
            title: typed(form, 'title'),
            minutes: figure(form, 'minutes'),
            place: typed(form, 'place') || null,
        });
    };
    return (
        <Sheetlet open={open} onClose={onClose} title="Move or change">
            <form className="grid gap-3" onSubmit={save}>
                {kept.life.repeats && <ScopeChoice scope={scope} onChange={setScope} />}
                <div className="grid grid-cols-2 gap-2">
                    <LabelledInput
                        label="Day"
                        type="date"
                        name="day"
                        required
                        min={kept.day < me.today ? kept.day : me.today}
                        defaultValue={kept.day}
                        disabled={kept.life.counted}
                    />
                    <LabelledInput
                        label="Starts at"
                        type="time"
                        name="starts_at"
                        required
                        defaultValue={kept.starts_at}
                    />
                </div>
                {kept.life.counted && <p className="text-soft">Somebody has counted in it: it stays on its day.</p>}
                <div className="grid grid-cols-[1fr_7rem] gap-2">
                    <LabelledInput label="What it is called" name="title" required defaultValue={kept.title} />
                    <LabelledInput
                        label="Minutes, if cut"
                        name="minutes"
                        inputMode="numeric"
                        defaultValue={kept.life.minutes_planned ?? ''}
                    />
                </div>
                <LabelledInput label="Where" name="place" maxLength={80} defaultValue={kept.life.place ?? ''} />
                <Notice problem={problem} />
                <button className="btn btn-main">Save</button>
            </form>
        </Sheetlet>
    );
}

function OffForm({
    kept,
    open,
    problem,
    onClose,
    onOff,
}: {
    kept: Session;
    open: boolean;
    problem: unknown;
    onClose: () => void;
    onOff: (scope: Scope, reason: string | null) => void;
}) {
    const [scope, setScope] = useState<Scope>('one');
    const planned = kept.life.state === 'planned';
    return (
        <Sheetlet open={open} onClose={onClose} title={planned ? 'Call it off' : 'Delete it'}>
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    onOff(scope, typed(new FormData(event.currentTarget), 'reason'));
                }}
            >
                {kept.life.repeats && planned && <ScopeChoice scope={scope} onChange={setScope} />}
                {planned && (
                    <>
                        <LabelledInput
                            label="Why, for everybody who looks at the calendar"
                            name="reason"
                            required
                            maxLength={200}
                            placeholder="The hall is closed"
                        />
                        <Notice problem={problem} />
                        <button className="btn btn-main">Call it off</button>
                    </>
                )}
                <p className="text-soft">
                    Planned by mistake? Deleted, it is on the calendar no more. Either way nothing of it is planned for
                    anybody, and it can be undone.
                </p>
                <button type="button" className="btn" onClick={() => onOff(scope, null)}>
                    Delete it
                </button>
            </form>
        </Sheetlet>
    );
}

function CloseIt({
    open,
    problem,
    onClose,
    onCloseIt,
}: {
    open: boolean;
    problem: unknown;
    onClose: () => void;
    onCloseIt: () => void;
}) {
    return (
        <Sheetlet open={open} onClose={onClose} title="Close it">
            <div className="grid gap-3">
                <p>What was counted stays as it is. Whoever was counted is finished, whoever was not is taken out.</p>
                <Notice problem={problem} />
                <button type="button" className="btn btn-main" onClick={onCloseIt}>
                    Close it
                </button>
            </div>
        </Sheetlet>
    );
}

function WhoIsInIt({
    kept,
    open,
    problem,
    onClose,
    onAdd,
    onTakeOut,
}: {
    kept: Session;
    open: boolean;
    problem: unknown;
    onClose: () => void;
    onAdd: (id: string) => void;
    onTakeOut: ((id: string) => void) | null;
}) {
    const inIt = [...kept.members.map((member) => member.athlete), ...kept.absent].sort((a, b) =>
        a.name.localeCompare(b.name),
    );
    return (
        <Sheetlet open={open} onClose={onClose} title={`Who is in it, ${dayName(kept.day)} ${kept.starts_at}`}>
            <div className="grid gap-4">
                <Notice problem={problem} />
                <Names
                    label="In it"
                    empty={
                        kept.life.has_sheets ? 'Nobody.' : 'Everybody of the squad, once the day is a fortnight away.'
                    }
                    of={inIt}
                    act="Take out"
                    onAct={onTakeOut}
                />
                <Names label="Not in it" empty="Everybody is in it." of={kept.life.not_in} act="Add" onAct={onAdd} />
            </div>
        </Sheetlet>
    );
}

function Names({
    label,
    empty,
    of,
    act,
    onAct,
}: {
    label: string;
    empty: string;
    of: Session['absent'];
    act: string;
    onAct: ((id: string) => void) | null;
}) {
    return (
        <section aria-label={label}>
            <h3 className="border-b border-ink pb-1 text-base">{label}</h3>
            {of.length === 0 && <p className="py-1.5 text-soft">{empty}</p>}
            <ul className="grid sm:grid-cols-2 sm:gap-x-6">
                {of.map((athlete) => (
                    <li key={athlete.id} className="flex items-center border-b border-line">
                        <span className="head grow truncate">{athlete.name}</span>
                        {onAct && (
                            <button
                                type="button"
                                className="btn btn-quiet"
                                aria-label={`${act} ${athlete.name}`}
                                onClick={() => onAct(athlete.id)}
                            >
                                {act}
                            </button>
                        )}
                    </li>
                ))}
            </ul>
        </section>
    );
}
