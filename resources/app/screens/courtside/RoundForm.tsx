import { useState } from 'react';
import { Choice } from '../../parts/Choice';
import { FIGURES, gameName, GOAL } from '../../parts/games';
import { LabelledInput } from '../../parts/Labelled';
import { LabelledStepper } from '../../parts/LabelledStepper';
import { codeOf, readSetup, type Setup, setupOf } from '../../rules/round';
import type { Kind } from '../../rules/score';
import type { Court, Here } from './useCourtside';

type Game = NonNullable<Here['block']['game']>;

/** What is scored from the next repetition on; where the coach left it last time. */
export function RoundForm({ court, game, onDone }: { court: Court; game: Game; onDone: () => void }) {
    const { games } = court.pack;
    const [setup, setSetup] = useState<Setup>(() => readSetup(game.usual));
    const before = games.find((each) => each.setup === setupOf(setup));
    const [goal, setGoal] = useState<string | null>(null);
    const { unit, scale } = GOAL[setup.kind];
    const shown = goal ?? (before?.goal == null ? '' : String(Math.round(before.goal * scale * 100) / 100));
    const figure = Number(shown.replace(',', '.'));
    const wrong = shown !== '' && !(figure > 0 && figure <= 10_000);
    const offered = game.offered.map(readSetup);
    const choose = (kind: Kind): void => {
        const begun = offered.find((each) => each.kind === kind);
        if (begun) setSetup({ ...begun, on: setup.on ?? begun.on });
        setGoal(null);
    };
    const play = (begin: ((code: string) => void) | null): void => {
        begin?.(codeOf({ ...setup, goal: shown === '' ? null : figure / scale }));
        onDone();
    };
    return (
        <div className="grid gap-4">
            <Choice
                label="From the next repetition on"
                of={offered.map(({ kind }) => [kind, gameName(kind)] as const)}
                value={setup.kind}
                onChange={choose}
                columns={2}
            />
            {game.court !== null && (
                <label className="grid gap-0.5">
                    <span className="label">Aimed at</span>
                    <select
                        className="field"
                        value={setup.on?.[1] ?? ''}
                        onChange={(event) => setSetup({ ...setup, on: [game.court?.id ?? '', event.target.value] })}
                    >
                        {game.court.boxes.map((box) => (
                            <option key={box.id} value={box.id}>
                                {box.name}
                            </option>
                        ))}
                    </select>
                </label>
            )}
            <div className="flex flex-wrap gap-4">
                {FIGURES[setup.kind].map(({ name, label, most }) => (
                    <LabelledStepper
                        key={name}
                        label={label}
                        value={setup.figures[name] ?? 1}
                        step={1}
                        least={1}
                        most={most}
                        onChange={(to) => setSetup({ ...setup, figures: { ...setup.figures, [name]: to } })}
                    />
                ))}
            </div>
            <LabelledInput
                label={`Goal, ${unit}; may stay empty`}
                inputMode="decimal"
                value={shown}
                onChange={(event) => setGoal(event.target.value)}
            />
            {wrong && <p role="alert">A goal is a number above 0.</p>}
            {before && (
                <p className="text-soft">
                    So far: best {before.best}, last {before.last}.
                </p>
            )}
            <p className="text-sm text-soft">
                One touch says how it came out and counts the repetition. A score advances nobody by itself.
            </p>
            <button type="button" className="btn btn-main thumb" disabled={wrong} onClick={() => play(court.playRound)}>
                Play
            </button>
            {court.playAll !== null && (
                <button type="button" className="btn thumb" disabled={wrong} onClick={() => play(court.playAll)}>
                    Play, everybody in the line
                </button>
            )}
        </div>
    );
}
