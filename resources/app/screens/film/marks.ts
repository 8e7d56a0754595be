import type { Film } from '../../api/client';
import type { KeptClip } from '../../offline/clips';
import type { Point, Points, Setting } from '../../rules/frame';

export type FilmLadder = Film['ladders'][number];
export type FilmCheckpoint = FilmLadder['checkpoints'][number];
export type FilmMeasure = NonNullable<FilmCheckpoint['measure']>;

/** One moment of one repetition: on which picture, and where the points lie on it. */
export type Mark = {
    rep: number;
    moment: string;
    no: number;
    points: Points;
    /** which of them the model proposed, and no hand has touched since */
    proposed: string[];
    /** whether the picture itself was proposed, and nobody has said anything of it since */
    found?: boolean;
};
export type Seen = { rep: number; checkpoint: string; verdict: 'right' | 'wrong' };
/** What somebody marked on a clip, before it is kept. */
export type Draft = {
    marks: Mark[];
    setting: Setting;
    rate: number | null;
    seen: Seen[];
    /** the tap that a repetition of the clip was, by its number */
    counted: Record<number, string>;
};

export const emptyDraft = (target: Setting['target']): Draft => ({
    marks: [],
    setting: { target, plumb: null, runway: null, scale: null },
    rate: null,
    seen: [],
    counted: {},
});

export const markOf = (draft: Draft, rep: number, moment: string): Mark | undefined =>
    draft.marks.find((mark) => mark.rep === rep && mark.moment === moment);

const withMark = (draft: Draft, mark: Mark): Draft => ({
    ...draft,
    marks: [...draft.marks.filter((each) => each.rep !== mark.rep || each.moment !== mark.moment), mark],
});

/** The moment lies on another picture now: points that were put on the one before say nothing of this one. */
export function marked(draft: Draft, rep: number, moment: string, no: number): Draft {
    const before = markOf(draft, rep, moment);
    return before?.no === no ? draft : withMark(draft, { rep, moment, no, points: {}, proposed: [] });
}

/** A point is put, moved, or taken away (null). */
export function pointed(draft: Draft, rep: number, moment: string, name: string, at: Point | null): Draft {
    const mark = markOf(draft, rep, moment);
    if (!mark) return draft;
    const { [name]: _before, ...others } = mark.points;
    return withMark(draft, {
        ...mark,
        found: false,
        points: at === null ? others : { ...others, [name]: at },
        proposed: mark.proposed.filter((each) => each !== name),
    });
}

/** What the model found on this picture; a point that a hand put stays where it is. */
export function proposed(draft: Draft, rep: number, moment: string, found: Points): Draft {
    const mark = markOf(draft, rep, moment);
    if (!mark) return draft;
    const byHand = Object.fromEntries(Object.entries(mark.points).filter(([name]) => !mark.proposed.includes(name)));
    const fresh = Object.keys(found).filter((name) => !(name in byHand));
    return withMark(draft, { ...mark, points: { ...found, ...byHand }, proposed: fresh });
}

/** Moments that were proposed: what a hand marked stays where it is. */
export function withProposed(
    draft: Draft,
    found: ReadonlyArray<{ rep: number; moment: string; no: number; points: Points }>,
): Draft {
    const byHand = draft.marks.filter((mark) => mark.found !== true);
    const fresh = found.filter(({ rep, moment }) => !byHand.some((mark) => mark.rep === rep && mark.moment === moment));
    return {
        ...draft,
        marks: [
            ...byHand,
            ...fresh.map((mark): Mark => ({ ...mark, proposed: Object.keys(mark.points), found: true })),
        ],
    };
}

export type Spreads = { handPx: number; modelPx: number };

/** How far off each point of a mark may lie, in pixels: a hand puts it closer than the model. */
export const spreadsOf = (mark: Mark, { handPx, modelPx }: Spreads): Record<string, number> =>
    Object.fromEntries(Object.keys(mark.points).map((name) => [name, mark.proposed.includes(name) ? modelPx : handPx]));

/** What somebody who looked says of a checkpoint; said once more, it is taken back. */
export function said(draft: Draft, rep: number, checkpoint: string, verdict: Seen['verdict']): Draft {
    const isSame = (each: Seen): boolean => each.rep === rep && each.checkpoint === checkpoint;
    const before = draft.seen.find(isSame);
    const others = draft.seen.filter((each) => !isSame(each));
    return { ...draft, seen: before?.verdict === verdict ? others : [...others, { rep, checkpoint, verdict }] };
}

/** On court it was this one; empty: it is not said. */
export function counted(draft: Draft, rep: number, event: string): Draft {
    const { [rep]: _before, ...others } = draft.counted;
    return { ...draft, counted: event === '' ? others : { ...others, [rep]: event } };
}

/** When each repetition of a clip ended its last marked moment, by the clock of the camera. */
export function repsAt(draft: Draft, times: readonly number[], endedMs: number): Array<{ rep: number; atMs: number }> {
    const endS = secondsAt(times, times.length - 1, draft.rate);
    const last = new Map<number, number>();
    for (const { rep, no } of draft.marks)
        last.set(rep, Math.max(last.get(rep) ?? 0, secondsAt(times, no, draft.rate)));
    return [...last]
        .map(([rep, atS]) => ({ rep, atMs: endedMs - 1000 * (endS - atS) }))
        .sort((a, b) => a.atMs - b.atMs);
}

/** What is asked at a moment, and the landmarks it takes, each once. */
export function asksAt(ladder: FilmLadder, moment: string): FilmCheckpoint[] {
    return ladder.checkpoints.filter((checkpoint) => checkpoint.measure?.moment === moment);
}

export const needsAt = (ladder: FilmLadder, moment: string): string[] => [
    ...new Set(asksAt(ladder, moment).flatMap((checkpoint) => checkpoint.measure?.needs ?? [])),
];

/** The next point to touch: the first that is asked for and not there yet. */
export const nextPoint = (needs: string[], points: Points): string | null =>
    needs.find((name) => !(name in points)) ?? null;

/** Seconds from the first picture: as filmed where that is known, else as the file plays. */
export const secondsAt = (times: readonly number[], no: number, rate: number | null): number =>
    rate === null ? (times[no] ?? 0) : no / rate;

/** What is sent: where the points lay, and how far off a hand puts them. Measured anew where it is kept. */
export function toKeep(
    draft: Draft,
    about: {
        id: string;
        ladder: FilmLadder;
        filmedOn: string;
        times: readonly number[];
        spreads: Spreads;
        pictures: KeptClip['pictures'];
    },
): KeptClip {
    return {
        id: about.id,
        ladder: about.ladder.id,
        rung: about.ladder.rung,
        filmed_on: about.filmedOn,
        pictures_a_second: draft.rate,
        setting: draft.setting as unknown as KeptClip['setting'],
        marks: draft.marks.map((mark) => {
            const spreads = spreadsOf(mark, about.spreads);
            return {
                rep: mark.rep,
                moment: mark.moment,
                picture_no: mark.no,
                time_s: secondsAt(about.times, mark.no, draft.rate),
                points: Object.fromEntries(
                    Object.entries(mark.points).map(([name, [x, y]]) => [name, [x, y, spreads[name] ?? 0]]),
                ),
            };
        }),
        seen: draft.seen,
        pictures: about.pictures,
        counted: Object.entries(draft.counted).map(([rep, event]) => ({ rep: Number(rep), event_id: event })),
    };
}

/** A landmark in words. */
export const landmark = (name: string): string => name.replace('_', ' ');
