import { useEffect, useState } from 'react';
import type { Film } from '../../api/client';
import { newId } from '../../offline/store';
import { Notice } from '../../parts/Notice';
import type { Point } from '../../rules/frame';
import {
    type FilmLadder,
    type KeptClip,
    landmark,
    marked,
    markOf,
    needsAt,
    nextPoint,
    pointed,
    said,
    toKeep,
} from './marks';
import { Measures } from './Measures';
import { Moments, PointChooser } from './Moments';
import { LINES, type LineName, Setup, withLine } from './Setup';
import { Stage } from './Stage';
import { Timeline } from './Timeline';
import { type OpenClip, useDraft, usePicture } from './useClip';

const MOST_REPS = 30;

/** One clip, looked at: moments marked, points put, what they say of the checkpoints. */
export function Review({
    film,
    ladder,
    clip,
    onKeep,
}: {
    film: Film;
    ladder: FilmLadder;
    clip: OpenClip;
    onKeep: (kept: KeptClip) => Promise<boolean>;
}) {
    const { source } = clip;
    const looking = usePicture(source);
    const marking = useDraft(film.athlete.id, clip.key, 'right');
    const { draft, change } = marking;
    const [rep, setRep] = useState(1);
    const [moment, setMoment] = useState(ladder.moments[0]?.id ?? '');
    const [wish, setWish] = useState<string | null>(null);
    const [line, setLine] = useState<{ name: LineName; from: Point | null } | null>(null);
    const [view, setView] = useState({ mirrored: false, zoom: 1 });
    const mark = markOf(draft, rep, moment);
    const isHere = mark?.no === looking.no;
    const point = isHere ? (wish ?? nextPoint(needsAt(ladder, moment), mark.points)) : null;
    const spreadPx = film.hand_spread_share * Math.max(source.width, source.height);
    useKeys(looking, () => change((now) => marked(now, rep, moment, looking.no)));

    const touch = (at: Point): void => {
        if (line) {
            if (line.from === null) return setLine({ ...line, from: at });
            const from = line.from;
            if (from[0] !== at[0] || from[1] !== at[1]) change((now) => withLine(now, line.name, [from, at]));
            return setLine(null);
        }
        if (point === null) return;
        change((now) => pointed(now, rep, moment, point, at));
        setWish(null);
    };
    const asked = line ? `${line.from ? LINES[line.name].to : LINES[line.name].from}` : point && landmark(point);
    const reps = Math.max(rep, ...draft.marks.map((each) => each.rep));
    return (
        <div className="grid gap-x-6 md:grid-cols-[minmax(0,1fr)_22rem]">
            <section aria-label="Picture" className="min-w-0">
                <Stage
                    source={source}
                    looking={looking}
                    points={isHere ? mark.points : {}}
                    lines={linesOf(draft.setting)}
                    asked={asked}
                    view={view}
                    onTouch={touch}
                    onMove={(name, at) => change((now) => pointed(now, rep, moment, name, at))}
                />
                <Timeline source={source} looking={looking} draft={draft} />
                <Setup
                    draft={draft}
                    change={change}
                    line={line?.name ?? null}
                    onLine={(name) => setLine(name && { name, from: null })}
                    view={view}
                    onView={setView}
                />
            </section>
            <section aria-label="What it says" className="min-w-0">
                <Reps rep={rep} reps={reps} onRep={setRep} />
                <Moments
                    ladder={ladder}
                    draft={draft}
                    rep={rep}
                    chosen={moment}
                    onChoose={(id) => {
                        setMoment(id);
                        setWish(null);
                    }}
                    onMark={(id) => {
                        setMoment(id);
                        change((now) => marked(now, rep, id, looking.no));
                    }}
                    onGo={looking.go}
                />
                <PointChooser ladder={ladder} mark={mark} moment={moment} asked={line ? null : point} onAsk={setWish} />
                {mark && (
                    <Measures
                        ladder={ladder}
                        mark={mark}
                        picture={{ points: mark.points, throwing: ladder.side, setting: draft.setting }}
                        spreadPx={spreadPx}
                        seen={draft.seen}
                        onSay={(checkpoint, verdict) => change((now) => said(now, rep, checkpoint, verdict))}
                    />
                )}
                <div className="flex flex-wrap gap-2 border-t border-line pt-3">
                    <button type="button" className="btn" disabled={!marking.canUndo} onClick={marking.undo}>
                        Undo
                    </button>
                    <Keep
                        clip={clip}
                        disabled={draft.marks.length === 0}
                        onKeep={async () => {
                            const about = { id: newId(), ladder, filmedOn: film.date, times: source.times, spreadPx };
                            if (await onKeep(toKeep(draft, about))) marking.sent();
                        }}
                    />
                </div>
                <p className="pt-3 text-sm text-soft">
                    One camera sees one plane: what turns towards it reads short. Film from the side, at hip height, and
                    stand still with it. The bands are example numbers: your school’s own go into a copy of the ladder.
                </p>
            </section>
        </div>
    );
}

const linesOf = ({ plumb, runway, scale }: Parameters<typeof withLine>[0]['setting']) => [
    ...(plumb ? [{ name: 'plumb', line: plumb }] : []),
    ...(runway ? [{ name: 'runway', line: runway }] : []),
    ...(scale ? [{ name: 'scale', line: scale.line }] : []),
];

function Reps({ rep, reps, onRep }: { rep: number; reps: number; onRep: (rep: number) => void }) {
    return (
        <div role="group" aria-label="Repetition" className="flex flex-wrap items-center gap-1 pb-2">
            <span className="label pr-1">Repetition</span>
            {Array.from({ length: reps }, (_, i) => i + 1).map((each) => (
                <button
                    key={each}
                    type="button"
                    aria-pressed={each === rep}
                    className={`btn min-h-9 min-w-9 px-1 ${each === rep ? 'btn-main' : ''}`}
                    onClick={() => onRep(each)}
                >
                    {each}
                </button>
            ))}
            {reps < MOST_REPS && (
                <button type="button" className="btn btn-quiet min-h-9" onClick={() => onRep(reps + 1)}>
                    The next one
                </button>
            )}
        </div>
    );
}

function Keep({ clip, disabled, onKeep }: { clip: OpenClip; disabled: boolean; onKeep: () => Promise<void> }) {
    const [busy, setBusy] = useState(false);
    if (clip.isDrawn) return <Notice problem={null}>Only to try: a drawn figure is nobody’s record.</Notice>;
    return (
        <button
            type="button"
            className="btn btn-main grow"
            disabled={disabled || busy}
            onClick={() => {
                setBusy(true);
                void onKeep().finally(() => setBusy(false));
            }}
        >
            Save what was measured
        </button>
    );
}

/** Arrow keys step, with Shift ten at a time; Space plays; M marks the moment. A field that is filled in keeps its keys. */
function useKeys(looking: ReturnType<typeof usePicture>, onMark: () => void): void {
    useEffect(() => {
        const press = (event: KeyboardEvent): void => {
            if (event.target instanceof HTMLElement && event.target.closest('input, select, textarea, button')) return;
            const by = event.shiftKey ? 10 : 1;
            if (event.key === 'ArrowLeft') looking.go(looking.no - by);
            else if (event.key === 'ArrowRight') looking.go(looking.no + by);
            else if (event.key === ' ') looking.setSpeed(looking.speed === null ? 1 : null);
            else if (event.key === 'm') onMark();
            else return;
            event.preventDefault();
        };
        document.addEventListener('keydown', press);
        return () => document.removeEventListener('keydown', press);
    });
}
