import type { Film } from '../../api/client';
import { dayName } from '../../api/words';
import type { Points } from '../../rules/frame';

export type Clip = Film['clips'][number];
export type ClipRep = Clip['reps'][number];
/** One repetition of a clip, as it can be chosen. */
export type Shown = { key: string; name: string; clip: Clip; rep: ClipRep };

/** Every repetition that was measured of a ladder, the latest clip first. */
export const shownOf = ({ clips }: Film, ladder: string, whose = ''): Shown[] =>
    clips
        .filter((clip) => clip.ladder === ladder)
        .flatMap((clip) =>
            clip.reps.map((rep) => ({
                key: `${clip.id} ${rep.rep}`,
                name: `${whose}${dayName(clip.filmed_on)}, repetition ${rep.rep}`,
                clip,
                rep,
            })),
        );

/** Within the band is one more, outside one less, what nobody can say nothing. */
const worth = ({ rep }: Shown): number =>
    rep.figures.reduce((sum, { look }) => sum + (look === 'right' ? 1 : look === 'wrong' ? -1 : 0), 0);

/** The repetition with most within its bands; of several the latest. */
export const bestOf = (shown: Shown[]): Shown | undefined =>
    shown.reduce<Shown | undefined>((best, each) => (best && worth(best) >= worth(each) ? best : each), undefined);

/** Left and right changed over, as in a mirror. */
export const mirrored = (points: Points): Points =>
    Object.fromEntries(
        Object.entries(points).map(([name, [x, y]]) => [
            name.startsWith('left_') ? name.replace('left_', 'right_') : name.replace('right_', 'left_'),
            [-x, y] as const,
        ]),
    );
