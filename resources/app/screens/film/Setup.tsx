import { useState } from 'react';
import { Labelled, Options } from '../../parts/Labelled';
import { Toggle } from '../../parts/Toggle';
import type { Segment } from '../../rules/frame';
import type { Draft } from './marks';

export type LineName = 'plumb' | 'runway' | 'scale';
/** What two touches draw: a line, or the corners of a box. */
export type Drawing = LineName | 'athlete';

/** Lines that are drawn on the picture, by their ends. */
export const DRAWINGS: Record<Drawing, { name: string; from: string; to: string }> = {
    plumb: { name: 'Upright', from: 'top of something upright', to: 'bottom of it' },
    runway: { name: 'Run-up line', from: 'run-up line, at its beginning', to: 'run-up line, towards the target' },
    scale: { name: 'Known length', from: 'one end of something whose length you know', to: 'other end' },
    athlete: { name: 'Box round the athlete', from: 'corner above the athlete', to: 'corner below, across' },
};
const LINES: LineName[] = ['plumb', 'runway', 'scale'];

const ONE_METRE = 1;

export function withLine(draft: Draft, name: LineName, line: Segment | null): Draft {
    const scale = line && { line, metres: draft.setting.scale?.metres ?? ONE_METRE };
    return { ...draft, setting: { ...draft.setting, [name]: name === 'scale' ? scale : line } };
}

const RATES = [
    ['', 'not known: angles only'],
    ['25', '25'],
    ['30', '30'],
    ['60', '60'],
    ['120', '120'],
    ['240', '240'],
] as const;
const ZOOMS = [1, 2, 3];

/** How the clip was taken, and how it is looked at. */
export function Setup({
    draft,
    change,
    line,
    onLine,
    view,
    onView,
}: {
    draft: Draft;
    change: (to: (draft: Draft) => Draft) => void;
    line: Drawing | null;
    onLine: (name: LineName | null) => void;
    view: { mirrored: boolean; zoom: number };
    onView: (view: { mirrored: boolean; zoom: number }) => void;
}) {
    const { setting } = draft;
    return (
        <div className="grid gap-2 border-t border-line pt-2 text-sm">
            <div className="flex flex-wrap items-end gap-3">
                <Labelled label="Filmed at how many a second?" tight>
                    <select
                        className="field w-52"
                        value={draft.rate ?? ''}
                        onChange={(event) =>
                            change((now) => ({
                                ...now,
                                rate: event.target.value === '' ? null : Number(event.target.value),
                            }))
                        }
                    >
                        <Options of={RATES} />
                    </select>
                </Labelled>
                <Labelled label="The target lies" tight>
                    <select
                        className="field w-40"
                        value={setting.target}
                        onChange={(event) =>
                            change((now) => ({
                                ...now,
                                setting: { ...now.setting, target: event.target.value as 'left' | 'right' },
                            }))
                        }
                    >
                        <Options
                            of={[
                                ['right', 'to the right'],
                                ['left', 'to the left'],
                            ]}
                        />
                    </select>
                </Labelled>
                <Toggle on={view.mirrored} onChange={(mirrored) => onView({ ...view, mirrored })}>
                    Mirror
                </Toggle>
                <button
                    type="button"
                    className="btn"
                    aria-label={`Zoom, now ${view.zoom} times`}
                    onClick={() => onView({ ...view, zoom: (view.zoom % ZOOMS.length) + 1 })}
                >
                    {view.zoom}×
                </button>
            </div>
            <div className="flex flex-wrap items-center gap-2">
                {LINES.map((name) => (
                    <span key={name} className="inline-flex items-center">
                        <Toggle on={line === name} onChange={(on) => onLine(on ? name : null)}>
                            {setting[name] ? `${DRAWINGS[name].name} ✓` : DRAWINGS[name].name}
                        </Toggle>
                        {setting[name] && (
                            <button
                                type="button"
                                className="btn btn-quiet"
                                aria-label={`Take away: ${DRAWINGS[name].name}`}
                                onClick={() => change((now) => withLine(now, name, null))}
                            >
                                Take away
                            </button>
                        )}
                    </span>
                ))}
                {setting.scale && (
                    <Metres
                        metres={setting.scale.metres}
                        onMetres={(metres) =>
                            change((now) => ({
                                ...now,
                                setting: {
                                    ...now.setting,
                                    scale: now.setting.scale && { ...now.setting.scale, metres },
                                },
                            }))
                        }
                    />
                )}
            </div>
            {line && (
                <p aria-live="polite">
                    Touch the {DRAWINGS[line].from}, then the {DRAWINGS[line].to}.
                </p>
            )}
        </div>
    );
}

/** How long the line is that was drawn along something known; what is no length is not taken. */
function Metres({ metres, onMetres }: { metres: number; onMetres: (metres: number) => void }) {
    const [text, setText] = useState(String(metres));
    return (
        <label className="inline-flex items-center gap-1">
            <input
                className="field w-20"
                inputMode="decimal"
                aria-label="Known length in metres"
                value={text}
                onChange={(event) => {
                    setText(event.target.value);
                    const given = Number(event.target.value.replace(',', '.'));
                    if (given > 0 && given <= 200) onMetres(given);
                }}
            />
            m
        </label>
    );
}
