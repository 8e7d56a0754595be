import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { useRef, useState, type FormEvent } from 'react';
import { api, type Tests } from '../../api/client';
import type { Body } from '../../api/typed';
import { dayName, n } from '../../api/words';
import { newId } from '../../offline/store';
import { figure, typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';

type BodyMeasure = Body<'POST', `/api/athletes/${string}/tests/measures`>;
type Test = Tests['tests'][number];
type Side = Tests['sides'][number];
type Measured = Test['measured'][number];

/** How far, how fast, how high; how strong and how far either side goes; and when is it asked again? */
export function TestsScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/tests' });
    const tests = useQuery({
        queryKey: ['tests', athleteId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/tests`),
    });
    if (!tests.data) return <Waiting query={tests} what="the tests" />;
    return <Shown tests={tests.data} />;
}

function Shown({ tests }: { tests: Tests }) {
    const { problem, keep, takeBack } = useMeasuring(tests.athlete.id);
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b-2 border-ink py-3">
                <p className="label">
                    <Link
                        to="/athletes/$athleteId"
                        params={{ athleteId: tests.athlete.id }}
                        className="hover:underline"
                    >
                        {tests.athlete.name}
                    </Link>
                    , {tests.athlete.age ?? 'age not known'}
                </p>
                <h1 className="text-2xl">Tests</h1>
            </header>
            <Notice problem={problem} />
            {tests.tests.map((test) => (
                <TestOf
                    key={`${test.ladder_name} ${test.name}`}
                    athleteId={tests.athlete.id}
                    test={test}
                    onKeep={keep}
                    onTakeBack={takeBack}
                />
            ))}
            <section aria-label="Both sides" className="pt-5">
                <h2 className="text-lg">Both sides</h2>
                <div className="grid gap-x-10 lg:grid-cols-2">
                    {tests.sides.map((side) => (
                        <SideOf key={side.id} side={side} onKeep={keep} onTakeBack={takeBack} />
                    ))}
                </div>
            </section>
            <p className="mt-6 max-w-prose text-soft">
                A test is met fresh, with the word Full, and counts as load like any other work. Pain ends it. A
                difference between the sides is no diagnosis. Numbers of the protocol: {tests.source}
            </p>
        </main>
    );
}

/** Sends what was measured; sent twice, it is kept once. */
function useMeasuring(athleteId: string) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const heard = async (ask: () => Promise<Tests>): Promise<boolean> => {
        try {
            setProblem(null);
            queries.setQueryData(['tests', athleteId], await ask());
            await queries.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'tests' });
            return true;
        } catch (error) {
            setProblem(error);
            return false;
        }
    };
    const keep: Keep = (what) =>
        heard(async () => {
            if (!('skill' in what)) {
                return api('POST', `/api/athletes/${athleteId}/tests/measures`, {
                    id: what.id,
                    what: what.what as BodyMeasure['what'],
                    side: what.side,
                    value: what.value,
                    measured_on: what.on,
                });
            }
            await api('POST', `/api/athletes/${athleteId}/marks`, {
                skill: what.skill,
                longest_throw_m: what.measures === 'longest_throw_m' ? what.value : null,
                reference_speed_ms: what.measures === 'reference_speed_ms' ? what.value : null,
                measured_on: what.on,
            });
            return api('GET', `/api/athletes/${athleteId}/tests`);
        });
    const takeBack = (id: string): void =>
        void heard(() => api('POST', `/api/athletes/${athleteId}/tests/measures/${id}/withdraw`));
    return { problem, keep, takeBack };
}

type Keep = (
    what:
        | { skill: Test['skill']; measures: Test['measures']; value: number; on: string }
        | { id: string; what: string; side: 'left' | 'right' | null; value: number; on: string },
) => Promise<boolean>;

function TestOf({
    athleteId,
    test,
    onKeep,
    onTakeBack,
}: {
    athleteId: string;
    test: Test;
    onKeep: Keep;
    onTakeBack: (id: string) => void;
}) {
    const me = useMe();
    const jump = test.measures === 'jump_cm';
    const [best] = [...test.measured].sort((a, b) => b.value - a.value);
    return (
        <section
            aria-label={`${test.ladder_name}: ${test.name}`}
            className="grid gap-x-10 gap-y-2 border-b border-line py-4 lg:grid-cols-[1fr_1.1fr]"
        >
            <div>
                <h2 className="text-lg">
                    {test.ladder_name}: {test.name}
                </h2>
                <p className={test.lapsed ? 'font-bold text-reduced' : ''}>{test.due}</p>
                <p className="max-w-prose text-sm text-soft">{test.text}</p>
            </div>
            <div>
                <List measured={test.measured} unit={test.unit} onTakeBack={jump && me.decides ? onTakeBack : null} />
                {best && test.measured.length > 1 && (
                    <p className="text-sm text-soft">
                        Best: {n(best.value)} {test.unit}, {dayName(best.date)}
                    </p>
                )}
                {me.decides && !jump && test.measured.length > 0 && (
                    <p className="text-sm text-soft">
                        A wrong one is taken back under{' '}
                        <Link to="/athletes/$athleteId/intake" params={{ athleteId }} className="underline">
                            Intake
                        </Link>
                        .
                    </p>
                )}
                <Measure
                    label={`Measured, ${test.unit}`}
                    onKeep={(value, on, id) =>
                        onKeep(
                            jump
                                ? { id, what: 'jump_cm', side: null, value, on }
                                : { skill: test.skill, measures: test.measures, value, on },
                        )
                    }
                />
            </div>
        </section>
    );
}

function SideOf({ side, onKeep, onTakeBack }: { side: Side; onKeep: Keep; onTakeBack: (id: string) => void }) {
    const me = useMe();
    return (
        <section aria-label={side.name} className="border-b border-line py-3">
            <h3 className="text-base">{side.name}</h3>
            <p className="text-sm text-soft">{side.text}</p>
            {side.differs && <p className="border-l-4 border-reduced pl-2 font-bold">{side.differs}</p>}
            <List measured={side.measured} unit={side.unit} onTakeBack={me.decides ? onTakeBack : null} />
            <Measure
                label={`${side.name}, ${side.unit}`}
                bothSides
                onKeep={(value, on, id, of) => onKeep({ id, what: side.id, side: of, value, on })}
            />
        </section>
    );
}

/** A figure and its day; sent again after an answer that got lost, it is the same one. */
function Measure({
    label,
    bothSides = false,
    onKeep,
}: {
    label: string;
    bothSides?: boolean;
    onKeep: (value: number, on: string, id: string, side: 'left' | 'right') => Promise<boolean>;
}) {
    const me = useMe();
    const id = useRef(newId());
    if (!me.decides) return null;
    const submit = (event: FormEvent<HTMLFormElement>): void => {
        event.preventDefault();
        const field = event.currentTarget;
        const form = new FormData(field);
        const value = figure(form, 'value');
        if (value === null) return;
        const side = bothSides && typed(form, 'side') === 'left' ? 'left' : 'right';
        void onKeep(value, typed(form, 'on'), id.current, side).then((kept) => {
            if (!kept) return;
            id.current = newId();
            field.reset();
        });
    };
    return (
        <form className="mt-2 flex flex-wrap items-end gap-2" onSubmit={submit}>
            {bothSides && (
                <Labelled label="Side">
                    <select className="field" name="side">
                        <Options
                            of={[
                                ['left', 'left'],
                                ['right', 'right'],
                            ]}
                        />
                    </select>
                </Labelled>
            )}
            <LabelledInput label={label} name="value" inputMode="decimal" required />
            <LabelledInput label="on" type="date" name="on" max={me.today} defaultValue={me.today} required />
            <button className="btn">Add</button>
        </form>
    );
}

function List({
    measured,
    unit,
    onTakeBack,
}: {
    measured: Measured[];
    unit: string;
    onTakeBack: ((id: string) => void) | null;
}) {
    if (measured.length === 0) return <p className="text-soft">Nothing measured yet.</p>;
    return (
        <ul>
            {measured.map((each) => (
                <li key={each.id} className="flex items-baseline gap-3">
                    <span className="figure w-20 text-right">
                        {n(each.value)} {unit}
                    </span>
                    <span className="text-sm">
                        {each.side && `${each.side}, `}
                        {dayName(each.date)}
                    </span>
                    {onTakeBack && (
                        <button
                            type="button"
                            className="opens text-sm"
                            aria-label={`Take back ${n(each.value)} ${unit}`}
                            onClick={() => onTakeBack(each.id)}
                        >
                            Take back
                        </button>
                    )}
                </li>
            ))}
        </ul>
    );
}
