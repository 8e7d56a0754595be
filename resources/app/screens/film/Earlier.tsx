import type { Film } from '../../api/client';
import { dayName } from '../../api/words';
import { useMe } from '../../parts/Frame';
import type { FilmCheckpoint, FilmLadder } from './marks';
import { OverTime } from './OverTime';
import { Reviews } from './Reviews';
import { type Clip, type ClipRep, shownOf } from './shown';
import { TwoOf } from './TwoOf';

const LOOKS = { right: '✓ within', wrong: '✕ outside', uncertain: '~ cannot say' } as const;

/** Everything that was measured of this ladder: over time, two beside each other, and clip by clip. */
export function Earlier({
    film,
    ladder,
    onWithdraw,
    onSent,
    onWithdrawReview,
}: {
    film: Film;
    ladder: FilmLadder;
    onWithdraw: (id: string) => void;
    onSent: () => void;
    onWithdrawReview: (id: string) => void;
}) {
    const clips = film.clips.filter((clip) => clip.ladder === ladder.id);
    const shown = shownOf(film, ladder.id);
    if (shown.length === 0)
        return (
            <p className="border-t-2 border-ink py-4 text-soft">
                Nothing is measured of this ladder yet. Open a clip, mark a moment, touch the points.
            </p>
        );
    const measured = ladder.checkpoints.filter((checkpoint) => checkpoint.measure !== null);
    return (
        <>
            <section aria-label="Over time" className="border-t-2 border-ink pt-3">
                <h2 className="text-lg">Over time</h2>
                <div className="grid gap-x-8 sm:grid-cols-2">
                    {measured.map((checkpoint) => (
                        <OverTime key={checkpoint.id} checkpoint={checkpoint} clips={clips} />
                    ))}
                </div>
            </section>
            <TwoOf film={film} shown={shown} ladder={ladder} />
            {film.may_film && (
                <Reviews film={film} ladder={ladder} shown={shown} onSent={onSent} onWithdraw={onWithdrawReview} />
            )}
            <section aria-label="Clips" className="pt-5">
                <h2 className="text-lg">Clips</h2>
                {clips.map((clip) => (
                    <OneClip
                        key={clip.id}
                        clip={clip}
                        measured={measured}
                        athleteId={film.athlete.id}
                        moments={ladder.moments}
                        onWithdraw={onWithdraw}
                    />
                ))}
            </section>
        </>
    );
}

/** The pictures that were saved of a clip, and when they were erased. */
function Pictures({ clip, athleteId, moments }: { clip: Clip; athleteId: string; moments: FilmLadder['moments'] }) {
    const marks = clip.reps.flatMap(({ rep, marks: of }) => of.map((mark) => ({ rep, mark })));
    const gone = marks.find(({ mark }) => mark.picture_gone !== null)?.mark.picture_gone;
    const kept = marks.filter(({ mark }) => mark.picture !== null);
    return (
        <>
            {gone && <p className="text-sm text-soft">{gone}</p>}
            {kept.length > 0 && (
                <ul className="flex flex-wrap gap-2 py-1">
                    {kept.map(({ rep, mark }) => {
                        const moment = moments.find(({ id }) => id === mark.moment)?.name ?? mark.moment;
                        return (
                            <li key={mark.picture}>
                                <figure className="w-32">
                                    <img
                                        src={`/api/athletes/${athleteId}/film/pictures/${mark.picture}`}
                                        alt={`Repetition ${rep}, ${moment.toLowerCase()}`}
                                        className="h-40 w-full border border-line bg-[#14201c] object-contain"
                                        loading="lazy"
                                    />
                                    <figcaption className="truncate text-sm text-soft">
                                        {rep}, {moment.toLowerCase()}
                                    </figcaption>
                                </figure>
                            </li>
                        );
                    })}
                </ul>
            )}
        </>
    );
}

function OneClip({
    clip,
    measured,
    athleteId,
    moments,
    onWithdraw,
}: {
    clip: Clip;
    measured: FilmCheckpoint[];
    athleteId: string;
    moments: FilmLadder['moments'];
    onWithdraw: (id: string) => void;
}) {
    const me = useMe();
    return (
        <article className="border-t border-line py-2">
            <p className="flex flex-wrap items-baseline gap-x-3">
                <strong>{dayName(clip.filmed_on)}</strong>
                <span className="text-soft">
                    {clip.rung_name}, measured by {clip.kept_by}
                </span>
                {me.decides && (
                    <button type="button" className="btn btn-quiet min-h-8" onClick={() => onWithdraw(clip.id)}>
                        Take back
                    </button>
                )}
            </p>
            <Pictures clip={clip} athleteId={athleteId} moments={moments} />
            <div
                className="overflow-x-auto"
                tabIndex={0}
                role="region"
                aria-label={`Measured on ${dayName(clip.filmed_on)}`}
            >
                <table className="text-sm">
                    <thead>
                        <tr className="text-left">
                            <th className="label pr-4">Repetition</th>
                            {measured.map((checkpoint) => (
                                <th key={checkpoint.id} className="label pr-4">
                                    {checkpoint.name}
                                </th>
                            ))}
                            <th className="label">Times</th>
                        </tr>
                    </thead>
                    <tbody>
                        {clip.reps.map((rep) => (
                            <tr key={rep.rep} className="align-top">
                                <td className="pr-4">{rep.rep}</td>
                                {measured.map((checkpoint) => (
                                    <td key={checkpoint.id} className="pr-4">
                                        <Cell figure={rep.figures.find((each) => each.checkpoint === checkpoint.id)} />
                                    </td>
                                ))}
                                <td>{rep.times.join('; ')}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </article>
    );
}

function Cell({ figure }: { figure: ClipRep['figures'][number] | undefined }) {
    if (!figure) return <span className="text-soft">–</span>;
    return (
        <>
            {figure.text} <span className="text-soft">{LOOKS[figure.look]}</span>
            {figure.turned && <span className="block text-soft">{figure.turned}</span>}
            {figure.said && <span className="block">looked at: {figure.said}</span>}
        </>
    );
}
