import { Options } from '../../parts/Labelled';
import { leftOut } from './definition';
import type { BlockDef } from './definition';

const FEEDS: [feed: string, name: string][] = [
    ['', 'any feed'],
    ['none', 'no feed'],
    ['self_toss', 'own toss'],
    ['drop', 'dropped ball'],
    ['partner', 'fed by a partner'],
    ['coach', 'fed by the coach'],
    ['machine', 'fed by a machine'],
    ['live', 'as in play'],
];
const TEMPOS: [tempo: string, name: string][] = [
    ['', 'any tempo'],
    ['held', 'held still'],
    ['segmented', 'a stop between parts'],
    ['counted', 'counted'],
    ['slow_then_fast', 'slow, then fast'],
    ['continuous', 'in one flow'],
];
const GAMES: [play: string, name: string][] = [
    ['', 'no game named'],
    ['target_round zones=1 balls=8 points=1', 'target round, 8 balls'],
    ['target_round zones=4 balls=5 points=5', 'four zones, 5 balls each'],
    ['clear_targets targets=3', 'clear three targets'],
    ['in_a_row', 'in a row'],
    ['serve_game', 'serve game, two attempts'],
    ['grouping', 'grouping'],
    ['timed_gaps gaps=4 passes=10', 'four gaps, timed'],
];

/** Feed, tempo and game of a block. */
export function HowDone({
    about,
    block,
    onChange,
}: {
    about: string;
    block: BlockDef;
    onChange: (next: BlockDef) => void;
}) {
    const set = (key: 'feed' | 'tempo' | 'play', value: string): void => {
        let next: BlockDef = value === '' ? leftOut(block, key) : { ...block, [key]: value };
        if (key === 'feed' && (value === '' || value === 'none')) next = leftOut(next, 'varied');
        if (key === 'tempo') {
            next = value === 'counted' ? { ...next, counts: ['one', 'two', 'three'] } : leftOut(next, 'counts');
        }
        onChange(next);
    };
    const games = GAMES.some(([play]) => play === (block.play ?? ''))
        ? GAMES
        : [...GAMES, [block.play ?? '', (block.play ?? '').replaceAll('_', ' ')] as [string, string]];
    const fed = block.feed !== undefined && block.feed !== 'none';
    return (
        <>
            <select
                aria-label={`Feed of ${about}`}
                className="field w-36"
                value={block.feed ?? ''}
                onChange={(event) => set('feed', event.target.value)}
            >
                <Options of={FEEDS} />
            </select>
            {fed && (
                <label className="flex items-center gap-1 text-sm">
                    <input
                        type="checkbox"
                        checked={block.varied ?? false}
                        onChange={(event) =>
                            onChange(event.target.checked ? { ...block, varied: true } : leftOut(block, 'varied'))
                        }
                    />{' '}
                    varied
                </label>
            )}
            <select
                aria-label={`Tempo of ${about}`}
                className="field w-40"
                value={block.tempo ?? ''}
                onChange={(event) => set('tempo', event.target.value)}
            >
                <Options of={TEMPOS} />
            </select>
            {block.tempo === 'counted' && (
                <input
                    aria-label={`Beats of ${about}, in words`}
                    className="field w-40"
                    value={(block.counts ?? []).join(' ')}
                    onChange={(event) => onChange({ ...block, counts: event.target.value.trimStart().split(/\s+/) })}
                    onBlur={() => onChange({ ...block, counts: (block.counts ?? []).filter(Boolean) })}
                />
            )}
            <select
                aria-label={`Game of ${about}`}
                className="field w-44"
                value={block.play ?? ''}
                onChange={(event) => set('play', event.target.value)}
            >
                <Options of={games} />
            </select>
        </>
    );
}
