import { CourtPad } from '../../parts/CourtPad';
import { GOAL, setupInWords } from '../../parts/games';
import { Pad } from '../../parts/Pad';
import { boxOf, codeOf, NO_ROUND, type Outcome, type Played, setupOf, takingOf } from '../../rules/round';
import { isFull, NOW } from '../../rules/score';
import type { Court, Here } from './useCourtside';

/** Ways to miss, as they are said; the first tells no more than that it did. */
const MISSES = [
    ['miss', 'Miss'],
    ['low', 'Low'],
    ['high', 'High'],
    ['left', 'Left'],
    ['right', 'Right'],
] as const;

/** A round on the block: one touch says how it came out, and counts the repetition. */
export function Playing({ court, here, round }: { court: Court; here: Here; round: Played }) {
    const { pack } = court;
    const taking = takingOf(round, pack.safe_misses);
    const full = isFull(taking);
    const stop = (
        <button type="button" className="btn btn-quiet shrink-0" onClick={() => court.playRound(NO_ROUND)}>
            End the round
        </button>
    );
    return (
        <div className="flex min-h-0 flex-col gap-1.5">
            <div className="flex items-center gap-2">
                <p role="status" className="figure min-w-0 grow text-xl leading-tight first-letter:uppercase">
                    {full ? 'Done. ' : ''}
                    {NOW[round.setup.kind](taking)}
                </p>
                {stop}
            </div>
            <Against court={court} here={here} round={round} />
            {full ? (
                <button
                    type="button"
                    className="btn btn-main thumb text-xl"
                    onClick={() => court.playRound(codeOf(round.setup))}
                >
                    The same again
                </button>
            ) : (
                <Surface court={court} here={here} round={round} />
            )}
            <HowItLooked court={court} here={here} />
        </div>
    );
}

/** Against the own past, the goal, and squad-mates where both sides show theirs. */
function Against({ court: { pack }, here, round }: { court: Court; here: Here; round: Played }) {
    const game = pack.games.find(({ setup }) => setup === setupOf(round.setup));
    const box = boxOf(here.block.game?.court ?? null, round.setup);
    const said = [
        ...(round.outcomes.length > 0 ? [tallied(round.outcomes, box !== null, pack.safe_misses)] : []),
        setupInWords(round.setup, box?.name ?? null),
        ...(game ? [`best ${game.best}, last ${game.last}`] : []),
        ...(round.setup.goal === null ? [] : [`goal ${GOAL[round.setup.kind].said(round.setup.goal)}`]),
        ...(game?.mates ?? []),
    ];
    return <p className="line-clamp-2 shrink-0 text-sm leading-tight text-soft">{said.join(' · ')}</p>;
}

/** How many came out which way: "3 hit, 2 low (safe)"; on a court "3 in, 1 net". */
function tallied(outcomes: Outcome[], onCourt: boolean, safe: string[]): string {
    const counts = new Map<string, number>();
    for (const { word } of outcomes) if (word !== null) counts.set(word, (counts.get(word) ?? 0) + 1);
    return [...counts]
        .map(
            ([word, times]) =>
                `${times} ${onCourt && word === 'hit' ? 'in' : word}${safe.includes(word) ? ' (safe)' : ''}`,
        )
        .join(', ');
}

function Surface({ court, here, round }: { court: Court; here: Here; round: Played }) {
    const serves = here.block.game?.court ?? null;
    const box = boxOf(serves, round.setup);
    const places = round.outcomes.flatMap(({ place }) => (place === null ? [] : [place]));
    const came = (outcome: string): void => court.count('unobserved', null, outcome);
    if (serves !== null && box !== null)
        return (
            <CourtPad
                court={serves}
                box={box}
                points={places}
                onTouch={(place) => came(place.join(' '))}
                onNet={() => came('net')}
            />
        );
    if (round.setup.kind === 'grouping')
        return (
            <div className="mx-auto w-full max-w-[42dvh]">
                <Pad points={places} halfWidthM={2} onTap={(place) => came(place.join(' '))} />
            </div>
        );
    return (
        <div className="grid grid-cols-[2fr_3fr] gap-1.5">
            <button
                type="button"
                className="btn btn-main text-2xl"
                style={{ minHeight: '6.5rem' }}
                onClick={() => came('hit')}
            >
                {round.setup.kind === 'timed_gaps' ? 'Through' : 'Hit'}
            </button>
            <div className="grid grid-cols-2 gap-1.5">
                {MISSES.map(([word, name]) => (
                    <button
                        key={word}
                        type="button"
                        className={word === 'miss' ? 'btn thumb col-span-2' : 'btn thumb'}
                        onClick={() => came(word)}
                    >
                        {name}
                        {court.pack.safe_misses.includes(word) && <span className="label"> safe</span>}
                    </button>
                ))}
            </div>
        </div>
    );
}

/** A score judges no movement: whoever saw the last one says so here. */
function HowItLooked({ court, here }: { court: Court; here: Here }) {
    const last = here.reps.at(-1);
    if (!here.block.judged || last === undefined || last.kind === 'fall') return null;
    const say = (verdict: 'good' | 'not_good'): void =>
        court.taps.add(here.block, here.dose, {
            kind: 'correct',
            set_no: last.set_no,
            side: last.side,
            target_id: last.id,
            verdict,
        });
    return (
        <div
            role="group"
            aria-label="How the last one was done"
            className="grid grid-cols-[auto_1fr_1fr] items-center gap-1.5"
        >
            <span className="label">The last one</span>
            {(['good', 'not_good'] as const).map((verdict) => (
                <button
                    key={verdict}
                    type="button"
                    aria-pressed={last.verdict === verdict}
                    className={`btn thumb ${last.verdict === verdict ? 'btn-main' : ''}`}
                    onClick={() => say(verdict)}
                >
                    {verdict === 'good' ? 'Good' : 'Not good'}
                </button>
            ))}
        </div>
    );
}
