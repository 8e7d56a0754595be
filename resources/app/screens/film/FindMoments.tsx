import { useRef, useState } from 'react';
import type { Point, Points } from '../../rules/frame';
import type { Box } from './finder';
import { findPoints } from './finder';
import type { Draft, FilmLadder } from './marks';
import { type Found, type Proposed, proposeMoments } from './proposeMoments';
import { NobodyFound, NotShown } from './source';
import type { OpenClip } from './useClip';

/** Round what was found, so much of it more: there the athlete is looked for on the next picture. */
const ROOM = 0.5;

class Stopped extends Error {}

/** The moments of every try, proposed on this device; somebody looks at each and moves what is wrong. */
export function FindMoments({
    clip,
    ladder,
    draft,
    box,
    onFound,
}: {
    clip: OpenClip;
    ladder: FilmLadder;
    draft: Draft;
    box: Box | null;
    onFound: (marks: Proposed[]) => void;
}) {
    const [progress, setProgress] = useState<{ looked: number; of: number } | null>(null);
    const [said, setSaid] = useState<string | null>(null);
    const stopped = useRef(false);
    if (ladder.moments.every(({ find }) => find === null)) return null;
    const find = (): void => {
        stopped.current = false;
        setSaid(null);
        setProgress({ looked: 0, of: 1 });
        proposeMoments(
            clip.source,
            { moments: ladder.moments, throwing: ladder.side, target: draft.setting.target },
            lookerFor(clip, box),
            (looked, of) => {
                if (stopped.current) throw new Stopped();
                setProgress({ looked, of });
            },
        )
            .then(
                (found) => {
                    onFound(found.marks);
                    setSaid(sentence(found));
                },
                (error: unknown) =>
                    setSaid(
                        error instanceof Stopped
                            ? 'Stopped. Nothing was changed.'
                            : error instanceof Error
                              ? error.message
                              : String(error),
                    ),
            )
            .finally(() => setProgress(null));
    };
    return (
        <div className="pb-2">
            {progress === null ? (
                <button type="button" className="btn" onClick={find}>
                    Find the moments
                </button>
            ) : (
                <div className="flex items-center gap-2">
                    <progress
                        className="grow"
                        aria-label="Pictures looked at"
                        value={progress.looked}
                        max={progress.of}
                    />
                    <span className="text-sm">
                        {progress.looked} of about {progress.of}
                    </span>
                    <button type="button" className="btn" onClick={() => (stopped.current = true)}>
                        Stop
                    </button>
                </div>
            )}
            <p role="status" className="text-sm text-soft">
                {said}
            </p>
        </div>
    );
}

function sentence({ reps, looked, withSomebody, jumps, marks }: Found): string {
    const saw = `Found in ${withSomebody} of ${looked} pictures.`;
    if (marks.length === 0)
        return `${saw} No try is seen in them. Draw a box round the athlete, or mark the moments by hand.`;
    const other = jumps === 0 ? '' : ` In ${jumps === 1 ? 'one place' : `${jumps} places`} it may be somebody else.`;
    return `${reps === 1 ? 'One try' : `${reps} tries`}. ${saw}${other} Look at each moment, and move what is wrong.`;
}

/** Where the joints are: as the drawn figure knows, or as the model on the device finds them, near where they were. */
function lookerFor({ source }: OpenClip, box: Box | null): (no: number) => Promise<Points> {
    const { known } = source;
    if (known) return (no) => Promise.resolve(known(no));
    let near = box;
    let looked = 0;
    return async (no) => {
        looked++;
        try {
            const found = await findPoints(await source.picture(no), near);
            if (box !== null) near = roomRound(found) ?? box;
            return found;
        } catch (error) {
            // A picture without anybody, or one that cannot be read, is a gap; without a model all are.
            const isGap = error instanceof NobodyFound || (error instanceof NotShown && looked > 1);
            if (!isGap) throw error;
            near = box;
            return {};
        }
    };
}

function roomRound(points: Points): Box | null {
    const all = Object.values(points);
    if (all.length < 4) return null;
    const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)];
    const corner: Point = [Math.min(...xs), Math.min(...ys)];
    const opposite: Point = [Math.max(...xs), Math.max(...ys)];
    const room = ROOM * Math.max(opposite[0] - corner[0], opposite[1] - corner[1]);
    return [
        [corner[0] - room, corner[1] - room],
        [opposite[0] + room, opposite[1] + room],
    ];
}
