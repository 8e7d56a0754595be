import type { Report } from '../offline/store';
import { clsx } from 'clsx';
type Site = Report['site'];
export type Place = { site: Site; side: 'left' | 'right' | null; label: string };

/** Where each site lies on the picture, in its own units; sides are the athlete's, who faces us. */
const MIDDLE: ReadonlyArray<readonly [site: Site, label: string, x: number, y: number]> = [
    ['head', 'head', 100, 24],
    ['neck', 'neck', 100, 56],
    ['chest', 'chest', 100, 92],
    ['back', 'back', 100, 132],
];
const PAIRED: ReadonlyArray<readonly [site: Site, label: string, dx: number, y: number]> = [
    ['shoulder', 'shoulder', 40, 78],
    ['upper_arm', 'upper arm', 50, 106],
    ['elbow', 'elbow', 58, 134],
    ['forearm', 'forearm', 66, 161],
    ['wrist', 'wrist', 73, 187],
    ['hand', 'hand', 78, 211],
    ['finger', 'finger', 83, 236],
    ['side', 'side of the trunk', 26, 122],
    ['hip', 'hip', 24, 168],
    ['thigh', 'thigh', 22, 208],
    ['knee', 'knee', 21, 248],
    ['shin', 'shin', 20, 283],
    ['ankle', 'ankle', 19, 317],
    ['foot', 'foot', 24, 342],
];
const WIDTH = 200;
const HEIGHT = 360;

const PLACES: ReadonlyArray<Place & { x: number; y: number }> = [
    ...MIDDLE.map(([site, label, x, y]) => ({ site, side: null, label, x, y })),
    ...PAIRED.flatMap(([site, label, dx, y]) => [
        { site, side: 'right' as const, label: `right ${label}`, x: 100 - dx, y },
        { site, side: 'left' as const, label: `left ${label}`, x: 100 + dx, y },
    ]),
];

/** A body to point at. Every site is a button of its own. */
export function BodyPicture({ chosen, onChoose }: { chosen: Place[]; onChoose: (place: Place) => void }) {
    const isChosen = (place: Place): boolean =>
        chosen.some((each) => each.site === place.site && each.side === place.side);
    return (
        <div className="relative mx-auto w-full max-w-[19rem]" style={{ aspectRatio: `${WIDTH} / ${HEIGHT}` }}>
            <svg
                viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
                className="absolute inset-0 h-full w-full text-line"
                aria-hidden="true"
            >
                <g fill="none" stroke="currentColor" strokeLinecap="round" strokeLinejoin="round">
                    <circle cx="100" cy="24" r="18" fill="currentColor" stroke="none" />
                    <path d="M100 44v14" strokeWidth="15" />
                    <path d="M66 78q34-12 68 0l-9 52 3 42H72l3-42z" fill="currentColor" strokeWidth="14" />
                    <path d="M60 80L42 134 22 211" strokeWidth="17" />
                    <path d="M140 80l18 54 20 77" strokeWidth="17" />
                    <path d="M22 211l-4 22M178 211l4 22" strokeWidth="10" />
                    <path d="M78 176l1 72 2 69" strokeWidth="25" />
                    <path d="M122 176l-1 72-2 69" strokeWidth="25" />
                    <path d="M81 336l-9 8M119 336l9 8" strokeWidth="18" />
                </g>
                <text x="6" y="20" className="fill-soft" fontSize="11" fontWeight="700">
                    RIGHT
                </text>
                <text x="194" y="20" textAnchor="end" className="fill-soft" fontSize="11" fontWeight="700">
                    LEFT
                </text>
            </svg>
            {PLACES.map((place) => (
                <button
                    key={place.label}
                    type="button"
                    aria-label={place.label}
                    aria-pressed={isChosen(place)}
                    title={place.label}
                    onClick={() => onChoose({ site: place.site, side: place.side, label: place.label })}
                    className={clsx(
                        'group absolute grid h-[7.6%] w-[15%] -translate-x-1/2 -translate-y-1/2',
                        'place-items-center',
                    )}
                    style={{ left: `${(100 * place.x) / WIDTH}%`, top: `${(100 * place.y) / HEIGHT}%` }}
                >
                    <span
                        className={clsx(
                            'block rounded-full border-[1.5px] border-ink',
                            isChosen(place) ? 'h-5 w-5 bg-stop' : 'h-3 w-3 bg-page group-hover:bg-tape',
                            place.site === 'back' && 'border-dashed',
                        )}
                    />
                </button>
            ))}
        </div>
    );
}
