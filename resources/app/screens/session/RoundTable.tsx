import type { Session } from '../../api/client';
import { inALine, n } from '../../api/words';

type Round = Session['rounds'][number];
type Place = Round['places'][number];
type Placed = Place['athletes'][number];

const HELPS = { feeds: 'feeds', catches: 'catches', measures: 'measures' } as const;

/** The clock: a line for each round, a column for each space that is used. */
export function RoundTable({ kept }: { kept: Session }) {
    const used = kept.spaces.filter((space) =>
        kept.rounds.some((round) => round.places.some((place) => place.space_id === space.id)),
    );
    return (
        <section aria-label="The clock" className="overflow-x-auto pt-3">
            <table className="w-full min-w-[40rem] table-fixed">
                <caption className="sr-only">Who is where, by round and space</caption>
                <colgroup>
                    <col className="w-20" />
                    {used.map((space) => (
                        <col key={space.id} />
                    ))}
                    <col className="w-48" />
                </colgroup>
                <thead>
                    <tr className="border-b-2 border-ink text-left align-bottom">
                        <th className="label py-1">Starts</th>
                        {used.map((space) => (
                            <th key={space.id} className="border-l border-line py-1 pl-3 pr-2">
                                <span className="head text-lg">{space.title}</span>
                                <span className="label block">
                                    {n(space.length_m)} m, {space.lanes} {space.lanes === 1 ? 'lane' : 'lanes'}
                                    {space.sector ? ', sector' : ''}
                                    {space.surface ? `, ${space.surface} floor` : ''}
                                </span>
                            </th>
                        ))}
                        <th className="label border-l border-line py-1 pl-3">Between turns</th>
                    </tr>
                </thead>
                <tbody>
                    <tr className="border-b border-line text-soft">
                        <th scope="row" className="py-1 text-left font-normal">
                            {kept.starts_at}
                        </th>
                        <td colSpan={used.length + 1} className="border-l border-line pl-3">
                            Everybody: warm up
                        </td>
                    </tr>
                    {kept.rounds.map((round) => (
                        <tr key={round.starts_at} className="break-inside-avoid border-b border-line align-top">
                            <th scope="row" className="py-1.5 text-left font-normal">
                                <span className="figure block text-lg">{round.starts_at}</span>
                                <span className="label">{round.minutes} min</span>
                            </th>
                            {used.map((space) => (
                                <PlaceCell
                                    key={space.id}
                                    place={round.places.find((place) => place.space_id === space.id)}
                                    title={space.title}
                                />
                            ))}
                            <td className="border-l border-line py-1.5 pl-3 text-sm text-soft">
                                <Resting rest={round.off} />
                            </td>
                        </tr>
                    ))}
                    <tr className="text-soft">
                        <th scope="row" className="py-1 text-left font-normal">
                            {kept.rounds.at(-1)?.ends_at}
                        </th>
                        <td colSpan={used.length + 1} className="border-l border-line pl-3">
                            Everybody: cool down. Ends {kept.ends_at}
                        </td>
                    </tr>
                </tbody>
            </table>
        </section>
    );
}

/** One space in one round: who works there with which doses, who helps, and who has to stand by. */
function PlaceCell({ place, title }: { place: Place | undefined; title: string }) {
    if (!place) return <td className="border-l border-line py-1.5 pl-3 text-soft">empty</td>;
    const work = place.athletes.filter((each) => each.task === 'works');
    const helpers = place.athletes.filter((each) => each.task !== 'works');
    return (
        <td className="border-l border-line py-1.5 pl-3 pr-2 text-sm">
            {(place.skill !== title || place.adult) && (
                <p className="label">
                    {[place.skill === title ? '' : place.skill, place.adult ? 'an adult stands here' : '']
                        .filter(Boolean)
                        .join(' · ')}
                </p>
            )}
            <ul className="grid gap-0.5">
                {work.map((each) => (
                    <li key={each.athlete_id}>
                        <strong>{each.name}</strong>
                        {each.with ? ` with ${each.with}` : ''}
                        <span className="print:hidden"> {each.doses.map(inALine).join('; ')}</span>
                        {each.doses.map((dose, i) => (
                            <ToTick key={i} dose={dose} />
                        ))}
                        {each.then.length > 0 && (
                            <span className="text-soft">
                                {' '}
                                then {each.then.map((drill) => drill.toLowerCase()).join(', ')}
                            </span>
                        )}
                    </li>
                ))}
            </ul>
            {helpers.length > 0 && <p className="mt-0.5 text-soft">{helpers.map(helping).join(', ')}</p>}
            {place.one_way && (
                <p className="mt-0.5 font-bold">One way, on the call. All collect together when the round ends.</p>
            )}
        </td>
    );
}

function helping(each: Placed): string {
    return each.task === 'works' ? '' : `${each.name} ${HELPS[each.task]}`;
}

/** Who has no work of their own, and the drills that cost no limit they do meanwhile. */
function Resting({ rest }: { rest: Round['off'] }) {
    return rest.map((each) => (
        <p key={each.athlete_id}>
            <strong className="font-semibold">{each.name}</strong>{' '}
            {each.then.map((drill) => drill.toLowerCase()).join(', ')}
        </p>
    ));
}

/** On paper: a box for each set. */
function ToTick({ dose }: { dose: Placed['doses'][number] }) {
    return (
        <span className="hidden leading-tight print:block">
            {(dose.sets.length === 0 ? [0] : dose.sets).map((reps, i) => (
                <span key={i} className="mr-1.5 whitespace-nowrap">
                    <span className="mr-0.5 inline-block size-3 border border-ink align-[-1px]" />
                    {reps > 0 ? reps : ''}
                </span>
            ))}
            {dose.what}
            {dose.judged && <span className="ml-1 whitespace-nowrap">good ____</span>}
        </span>
    );
}
