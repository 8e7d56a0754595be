import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Load } from '../../api/client';
import { percent } from '../../api/words';
import { Notice } from '../../parts/Notice';
import { Stepper } from '../../parts/Stepper';
import { Tape } from '../../parts/Tape';
import { Options } from '../../parts/Labelled';

/** “Two more sets of eight at 80 %, on Thursday”: what it does to every limit it touches. */
export function WhatIf({ athleteId, load }: { athleteId: string; load: Load }) {
    const [dose, setDose] = useState({
        skill: load.skills[0]?.id ?? '',
        sets: 2,
        reps: 8,
        effort: 0.8,
        distance: '',
        day: load.date,
    });
    const set = (with_: Partial<typeof dose>): void => setDose({ ...dose, ...with_ });
    const asked = {
        skill: dose.skill,
        reps: dose.sets * dose.reps,
        effort: dose.effort,
        day: dose.day,
        distance_m: dose.distance || null,
    };
    const answer = useQuery({
        queryKey: ['what-if', athleteId, asked],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/what-if`, undefined, { query: asked }),
        placeholderData: (before) => before,
        retry: false,
    });
    return (
        <section aria-label="What if">
            <h2 className="border-b-2 border-ink pb-1 text-base">What if</h2>
            <div className="mt-2 grid gap-2">
                <div className="grid grid-cols-[1fr_9.5rem] gap-2">
                    <select
                        aria-label="Skill"
                        className="field"
                        value={dose.skill}
                        onChange={(event) => set({ skill: event.target.value })}
                    >
                        <Options of={load.skills} />
                    </select>
                    <input
                        aria-label="Day"
                        className="field"
                        type="date"
                        min={load.date}
                        value={dose.day}
                        onChange={(event) => {
                            if (event.target.value) set({ day: event.target.value });
                        }}
                    />
                </div>
                <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
                    <Stepper
                        label="sets"
                        value={dose.sets}
                        shown={`${dose.sets} sets`}
                        step={1}
                        least={1}
                        most={20}
                        onChange={(sets) => set({ sets })}
                    />
                    <Stepper
                        label="repetitions a set"
                        value={dose.reps}
                        shown={`of ${dose.reps}`}
                        step={1}
                        least={1}
                        most={25}
                        onChange={(reps) => set({ reps })}
                    />
                </div>
                <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
                    <Stepper
                        label="effort"
                        value={dose.effort}
                        shown={percent(dose.effort)}
                        step={0.05}
                        least={0.1}
                        most={1}
                        onChange={(effort) => set({ effort })}
                    />
                    <label className="flex items-center gap-1">
                        <input
                            className="field w-20"
                            inputMode="decimal"
                            placeholder="open"
                            value={dose.distance}
                            onChange={(event) => set({ distance: event.target.value })}
                        />
                        m
                    </label>
                </div>
            </div>
            <Notice problem={answer.error} />
            {answer.data && (
                <>
                    <p
                        role="status"
                        className={`my-2 border-l-4 pl-2 ${answer.data.fits ? 'border-full' : 'border-stop'}`}
                    >
                        {answer.data.sentence}
                    </p>
                    {answer.data.tapes.slice(0, 5).map((tape) => (
                        <div key={tape.limit_id} className="py-1">
                            <p className="flex justify-between gap-2">
                                <span className={tape.status === 'over' ? 'text-stop' : ''}>{tape.label}</span>
                                <span className="label">
                                    {tape.hard ? '' : 'advice · '}
                                    {tape.sentence}
                                </span>
                            </p>
                            <Tape tape={tape} />
                        </div>
                    ))}
                </>
            )}
        </section>
    );
}
