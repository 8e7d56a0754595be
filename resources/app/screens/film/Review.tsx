import { useEffect, useState } from 'react';
import type { Film } from '../../api/client';
import type { KeptClip } from '../../offline/clips';
import { newId } from '../../offline/store';
import { Labelled, Options } from '../../parts/Labelled';
import { limbLengths, type Point } from '../../rules/frame';
import {
    counted,
    type Draft,
    type FilmLadder,
    type Mark,
    landmark,
    marked,
    markOf,
    needsAt,
    nextPoint,
    pointed,
    proposed,
    repsAt,
    said,
    toKeep,
    withProposed,
} from './marks';
import type { Box } from './finder';
import { savedPicture } from './cutOut';
import { FindMoments } from './FindMoments';
import { FindPoints } from './FindPoints';
import { type Limbs, Measures } from './Measures';
import { Moments, PointChooser } from './Moments';
import { pairsByTime } from './pairs';
import { type Drawing, DRAWINGS, Setup, withLine } from './Setup';
import { Stage } from './Stage';
import { Timeline } from './Timeline';
import { type Marking, type OpenClip, useDraft, usePicture } from './useClip';

const MOST_REPS = 30;
const MOST_PICTURES = 30;

/** Which repetition and moment is looked at, what the next touch puts, and what was put so far. */
function useReview(film: Film, ladder: FilmLadder, clip: OpenClip) {
    const looking = usePicture(clip.source);
    const marking = useDraft(film.athlete.id, clip.key, 'right');
    const { draft, change } = marking;
    const [rep, setRep] = useState(1);
    const [moment, setMoment] = useState(ladder.moments[0]?.id ?? '');
    const [wish, setWish] = useState<string | null>(null);
    const [line, setLine] = useState<Line | null>(null);
    const [box, setBox] = useState<Box | null>(null);
    const mark = markOf(draft, rep, moment);
    const here = mark?.no === looking.no ? mark : null;
    const point = here && (wish ?? nextPoint(needsAt(ladder, moment), here.points));
    const longest = Math.max(clip.source.width, clip.source.height);
    const markHere = (id: string): void => {
        setMoment(id);
        change((now) => marked(now, rep, id, looking.no));
    };
    useKeys(looking, () => markHere(moment));
    const drawn = (at: Point, { name, from }: Line): void => {
        if (from === null) return setLine({ name, from: at });
        setLine(null);
        if (from[0] === at[0] && from[1] === at[1]) return;
        if (name === 'athlete') setBox([from, at]);
        else change((now) => withLine(now, name, [from, at]));
    };
    return {
        looking,
        marking,
        rep,
        setRep,
        moment,
        mark,
        here,
        point,
        line,
        setLine,
        markHere,
        setWish,
        asked: line ? DRAWINGS[line.name][line.from ? 'to' : 'from'] : point && landmark(point),
        box,
        limbs: limbsOf(film, draft),
        spreads: { handPx: film.hand_spread_share * longest, modelPx: film.model_spread_share * longest },
        choose: (id: string): void => {
            setMoment(id);
            setWish(null);
        },
        touch: (at: Point): void => {
            if (line) return drawn(at, line);
            if (point === null) return;
            change((now) => pointed(now, rep, moment, point, at));
            setWish(null);
        },
    };
}

/** The longest of what was saved, and of what is marked on this clip. */
function limbsOf(film: Film, { marks }: Draft): Limbs {
    const longest: Record<string, number> = { ...film.longest_limbs };
    for (const { points } of marks)
        for (const [limb, length] of Object.entries(limbLengths(points)))
            longest[limb] = Math.max(longest[limb] ?? 0, length);
    return { longest, turnedFromDeg: film.turned_from_deg };
}

type Line = { name: Drawing; from: Point | null };
type Reviewing = ReturnType<typeof useReview>;

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
    const review = useReview(film, ladder, clip);
    const { looking, marking, rep, moment, here, line } = review;
    const { draft, change } = marking;
    const [view, setView] = useState({ mirrored: false, zoom: 1 });
    return (
        <div className="grid gap-x-6 md:grid-cols-[minmax(0,1fr)_22rem]">
            <section aria-label="Picture" className="min-w-0">
                <Stage
                    source={clip.source}
                    looking={looking}
                    points={here?.points ?? {}}
                    lines={linesOf(draft.setting)}
                    box={review.box}
                    proposed={here?.proposed ?? []}
                    asked={review.asked}
                    view={view}
                    onTouch={review.touch}
                    onMove={(name, at) => change((now) => pointed(now, rep, moment, name, at))}
                />
                <Timeline source={clip.source} looking={looking} draft={draft} />
            </section>
            <section aria-label="What it says" className="min-w-0 md:col-start-2 md:row-span-2 md:row-start-1">
                <Says landmarks={film.landmarks} ladder={ladder} clip={clip} review={review} />
                <div className="flex flex-wrap gap-2 border-t border-line pt-3">
                    <button type="button" className="btn" disabled={!marking.canUndo} onClick={marking.undo}>
                        Undo
                    </button>
                    <Keep
                        clip={clip}
                        pictures={film.may_keep_pictures}
                        disabled={draft.marks.length === 0}
                        onKeep={async (withPictures) => {
                            const { spreads } = review;
                            const { times } = clip.source;
                            const pictures = withPictures ? await picturesOf(draft.marks, clip) : [];
                            const about = { id: newId(), ladder, filmedOn: film.date, times, spreads, pictures };
                            if (await onKeep(toKeep(draft, about))) marking.sent();
                        }}
                    />
                </div>
                <p className="pt-3 text-sm text-soft">
                    One camera sees one plane: what turns towards it reads short. Film from the side, at hip height, the
                    athlete filling the picture, and stand still with it. The bands are example numbers: those of your
                    school go into a copy of the ladder.
                </p>
            </section>
            <section aria-label="How it was filmed" className="min-w-0">
                <Setup
                    draft={draft}
                    change={change}
                    line={line?.name ?? null}
                    onLine={(name) => review.setLine(name && { name, from: null })}
                    view={view}
                    onView={setView}
                />
            </section>
        </div>
    );
}

/** The repetition, its moments, the points each asks for, and what they say of the checkpoints. */
function Says({
    landmarks,
    ladder,
    clip,
    review,
}: {
    landmarks: string[];
    ladder: FilmLadder;
    clip: OpenClip;
    review: Reviewing;
}) {
    const { rep, moment, mark, looking, marking } = review;
    const { draft, change } = marking;
    return (
        <>
            <Reps rep={rep} reps={Math.max(rep, ...draft.marks.map((each) => each.rep))} onRep={review.setRep} />
            {!clip.isDrawn && ladder.counted.length > 0 && (
                <OnCourt clip={clip} ladder={ladder} rep={rep} marking={marking} />
            )}
            <FindMoments
                clip={clip}
                ladder={ladder}
                draft={draft}
                box={review.box}
                onFound={(marks) => change((now) => withProposed(now, marks))}
            />
            <Moments
                ladder={ladder}
                draft={draft}
                rep={rep}
                chosen={moment}
                onChoose={review.choose}
                onMark={review.markHere}
                onGo={looking.go}
            />
            <PointChooser
                landmarks={landmarks}
                ladder={ladder}
                mark={mark}
                moment={moment}
                asked={review.line ? null : review.point}
                onAsk={review.setWish}
            />
            {review.here && (
                <FindPoints
                    picture={looking.picture}
                    box={review.box}
                    onBox={() => review.setLine({ name: 'athlete', from: null })}
                    onFound={(found) => change((now) => proposed(now, rep, moment, found))}
                />
            )}
            {mark && (
                <Measures
                    ladder={ladder}
                    mark={mark}
                    picture={{ points: mark.points, throwing: ladder.side, setting: draft.setting }}
                    spreads={review.spreads}
                    limbs={review.limbs}
                    seen={draft.seen}
                    onSay={(checkpoint, verdict) => change((now) => said(now, rep, checkpoint, verdict))}
                />
            )}
        </>
    );
}

/** Which repetition on court this one was: chosen, or proposed by the clock. */
function OnCourt({
    clip,
    ladder,
    rep,
    marking: { draft, change },
}: {
    clip: OpenClip;
    ladder: FilmLadder;
    rep: number;
    marking: Marking;
}) {
    const [said, setSaid] = useState<string | null>(null);
    const { endedMs, source } = clip;
    const pair = (ended: number): void => {
        const reps = repsAt(draft, source.times, ended);
        const taps = ladder.counted.map(({ id, at }) => ({ id, atMs: Date.parse(at) }));
        const found = pairsByTime(reps, taps);
        change((now) => Object.entries(found).reduce((to, [each, id]) => counted(to, Number(each), id), now));
        setSaid(`${Object.keys(found).length} of ${reps.length} paired by the clock: look at each.`);
    };
    return (
        <div className="mb-2 flex flex-wrap items-end gap-1.5">
            <Labelled label="On court it was" tight>
                <select
                    className="field"
                    value={draft.counted[rep] ?? ''}
                    onChange={(event) => change((now) => counted(now, rep, event.target.value))}
                >
                    <option value="">not said: no evidence</option>
                    <Options of={ladder.counted} />
                </select>
            </Labelled>
            {endedMs !== null && draft.marks.length > 0 && (
                <button type="button" className="btn" onClick={() => pair(endedMs)}>
                    Pair by time
                </button>
            )}
            <p role="status" className="w-full text-sm text-soft">
                {said}
            </p>
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

/** Of each moment that is marked, cut to the athlete. */
async function picturesOf(marks: Mark[], { source }: OpenClip): Promise<KeptClip['pictures']> {
    const made: KeptClip['pictures'] = [];
    for (const { rep, moment, no, points } of marks.slice(0, MOST_PICTURES)) {
        const jpeg = await source.picture(no).then(
            (picture) => savedPicture(picture, points),
            // A picture that cannot be read any more is left out; what was measured on it stays.
            () => null,
        );
        if (jpeg !== null) made.push({ rep, moment, jpeg });
    }
    return made;
}

function Keep({
    clip,
    pictures,
    disabled,
    onKeep,
}: {
    clip: OpenClip;
    /** whether single pictures may be saved */
    pictures: boolean;
    disabled: boolean;
    onKeep: (withPictures: boolean) => Promise<void>;
}) {
    const [busy, setBusy] = useState(false);
    const [withPictures, setWithPictures] = useState(false);
    if (clip.isDrawn) return <p className="grow self-center">Only to try: a drawn figure is nobody’s record.</p>;
    return (
        <>
            <button
                type="button"
                className="btn btn-main grow"
                disabled={disabled || busy}
                onClick={() => {
                    setBusy(true);
                    void onKeep(withPictures && pictures).finally(() => setBusy(false));
                }}
            >
                Save what was measured
            </button>
            {pictures && (
                <label className="flex items-center gap-2 text-sm">
                    <input
                        type="checkbox"
                        checked={withPictures}
                        onChange={(event) => setWithPictures(event.target.checked)}
                    />
                    With a picture of each moment: cut to the athlete, all else blurred
                </label>
            )}
        </>
    );
}

/** Arrow keys step, with Shift ten at a time; Space plays; M marks the moment. A field keeps its keys. */
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
