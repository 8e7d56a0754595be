import { useState } from 'react';
import { api, type Courtside, type CourtsideBlock, type Dose, type RepEvent } from '../../api/client';
import { n, percent } from '../../api/words';
import { Notice } from '../../parts/Notice';
import { Stepper } from '../../parts/Stepper';
import { budget, doseOf } from '../../rules/doses';
import { clsx } from 'clsx';

const FELT = [0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];
const ascending = (a: number, b: number): number => a - b;

/** Effort and distance moved inside the limits, and how hard the set really felt. */
export function DoseForm({
    pack,
    block,
    reps,
    dose,
    side,
    setNo,
    felt,
    onDose,
    onFelt,
    onPace,
}: {
    pack: Courtside;
    block: CourtsideBlock;
    reps: RepEvent[];
    dose: Dose;
    side: string;
    setNo: number;
    felt: number | null;
    onDose: (dose: Dose) => void;
    onFelt: (effort: number) => void;
    onPace: () => void;
}) {
    const efforts = [...new Set(block.doses.map((each) => each.effort))].sort(ascending);
    const distances = [
        ...new Set(
            block.doses
                .map((each) => each.distance_m)
                .filter((each): each is number => each !== null && each !== undefined),
        ),
    ].sort(ascending);
    const choice = (each: Dose, title: string, chosen: boolean, away = '') => {
        const left = budget(pack, reps, each, side);
        return (
            <button
                key={title}
                type="button"
                aria-pressed={chosen}
                disabled={each.blocked !== null || left?.repsLeft === 0}
                className={`btn min-h-16 flex-col gap-0 px-1 ${chosen ? 'btn-main' : ''}`}
                onClick={() => onDose(each)}
            >
                <span className="text-lg">{title}</span>
                {away && <span className="text-xs">{away}</span>}
                <span className="text-xs font-normal">
                    {each.blocked !== null ? 'not today' : left === null ? 'no limit' : `${left.repsLeft} left`}
                </span>
            </button>
        );
    };
    const asked = block.distance_m ?? null;
    const paces = (metres: number): string => {
        const steps = asked === null ? 0 : Math.round((metres - asked) / pack.pace_m);
        return steps === 0 ? 'planned' : `${Math.abs(steps)} ${steps > 0 ? 'back' : 'nearer'}`;
    };
    const blocked = block.doses.find((each) => each.blocked !== null)?.blocked;
    return (
        <div className="grid gap-4">
            <section aria-label="Effort asked">
                <h3 className="label">Effort asked</h3>
                <div className="mt-1 grid grid-cols-5 gap-1.5">
                    {efforts.map((effort) =>
                        choice(
                            doseOf(block, { effort, distance_m: dose.distance_m }),
                            percent(effort),
                            effort === dose.effort,
                        ),
                    )}
                </div>
            </section>
            {distances.length > 1 && (
                <section aria-label="Distance">
                    <h3 className="label">Distance, in paces of {n(pack.pace_m)} m</h3>
                    <div className="mt-1 grid grid-cols-5 gap-1.5">
                        {distances.map((metres) =>
                            choice(
                                doseOf(block, { effort: dose.effort, distance_m: metres }),
                                `${n(metres)} m`,
                                metres === dose.distance_m,
                                paces(metres),
                            ),
                        )}
                    </div>
                </section>
            )}
            {blocked && <p className="text-sm text-soft">{blocked}</p>}
            <section aria-label="Effort felt">
                <h3 className="label">How hard did set {setNo} feel?</h3>
                <div className="mt-1 grid grid-cols-8 gap-0.5">
                    {FELT.map((effort) => (
                        <button
                            key={effort}
                            type="button"
                            aria-pressed={felt === effort}
                            className={clsx(
                                'head min-h-12 border-y-2 border-ink',
                                felt === effort && 'bg-ink text-chalk',
                            )}
                            onClick={() => onFelt(effort)}
                        >
                            {Math.round(100 * effort)}
                        </button>
                    ))}
                </div>
            </section>
            {distances.length > 1 && <PaceLength paceM={pack.pace_m} onKept={onPace} />}
        </div>
    );
}

/** Set once: how far one pace takes this coach. */
function PaceLength({ paceM, onKept }: { paceM: number; onKept: () => void }) {
    const [metres, setMetres] = useState(paceM);
    const [problem, setProblem] = useState<unknown>(null);
    return (
        <div className="grid gap-2 border-t border-line pt-3">
            <div className="flex flex-wrap items-center gap-3">
                <Stepper
                    label="length of a pace"
                    value={Math.round(100 * metres)}
                    shown={`your pace: ${n(metres)} m`}
                    step={5}
                    least={30}
                    most={150}
                    onChange={(cm) => setMetres(cm / 100)}
                />
                {metres !== paceM && (
                    <button
                        type="button"
                        className="btn"
                        onClick={() => {
                            api('POST', '/api/me/pace', { pace_m: metres }).then(onKept, setProblem);
                        }}
                    >
                        Keep
                    </button>
                )}
            </div>
            <Notice problem={problem} />
        </div>
    );
}
