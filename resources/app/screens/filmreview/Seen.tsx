import type { FilmReview } from '../../api/client';
import { DrawnPoints } from '../../parts/DrawnPoints';

type Look = Pick<FilmReview['looks'][number], 'moment' | 'points' | 'jpeg' | 'target'>;

/** A moment as it was saved; where no picture was, drawn from its points. */
export function Seen({ of: { moment, points, jpeg, target }, side }: { of: Look; side: 'left' | 'right' }) {
    if (jpeg !== null)
        return (
            <figure>
                <img
                    src={`data:image/jpeg;base64,${jpeg}`}
                    alt={moment}
                    className="w-full border border-line bg-[#14201c] object-contain"
                />
                <figcaption className="text-sm text-soft">{moment}</figcaption>
            </figure>
        );
    const places = Object.fromEntries(Object.entries(points).map(([name, [x = 0, y = 0]]) => [name, [x, y] as const]));
    if (Object.keys(places).length === 0) return null;
    return <DrawnPoints name={moment} of={{ points: places, target }} side={side} />;
}
