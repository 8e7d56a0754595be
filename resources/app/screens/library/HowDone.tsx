import { Options } from '../../parts/Labelled';
import { setupInWords } from '../../parts/games';
import { readSetup } from '../../rules/round';
import { doneAs, leftOut } from './definition';
import type { BlockDef, MannerKey } from './definition';
import { Figure } from './Figure';

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
/** Games a rung may name; another one that stands in the file stays. */
const GAMES = [
    'target_round zones=1 balls=8 points=1',
    'target_round zones=4 balls=5 points=5',
    'clear_targets targets=3',
    'in_a_row',
    'serve_game',
    'grouping',
    'timed_gaps gaps=4 passes=10',
];

const gamesWith = (own: string | undefined): [code: string, name: string][] => [
    ['', 'no game named'],
    ...[...GAMES, ...(own === undefined || GAMES.includes(own) ? [] : [own])].map((code): [string, string] => [
        code,
        setupInWords(readSetup(code), null),
    ]),
];

function Ticked({ name, on, onChange }: { name: string; on: boolean | undefined; onChange: (on: boolean) => void }) {
    return (
        <label className="flex items-center gap-1 text-sm">
            <input type="checkbox" checked={on ?? false} onChange={(event) => onChange(event.target.checked)} /> {name}
        </label>
    );
}

/** Feed, tempo, marks and game of a block. */
export function HowDone({
    about,
    block,
    onChange,
}: {
    about: string;
    block: BlockDef;
    onChange: (next: BlockDef) => void;
}) {
    const set = (key: MannerKey, value: string): void => onChange(doneAs(block, key, value));
    const tick = (key: 'eyes_shut' | 'alternates', on: boolean): void =>
        onChange(on ? { ...block, [key]: true } : leftOut(block, key));
    const metres = (key: 'target_m' | 'spread_m', value: number | undefined): void =>
        onChange(value === undefined ? leftOut(block, key) : { ...block, [key]: value });
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
                <Options of={gamesWith(block.play)} />
            </select>
            <Ticked name="eyes shut" on={block.eyes_shut} onChange={(on) => tick('eyes_shut', on)} />
            <Ticked name="sides in turn" on={block.alternates} onChange={(on) => tick('alternates', on)} />
            <Figure
                label="marks, m wide"
                about={about}
                value={block.target_m}
                onChange={(value) => metres('target_m', value)}
            />
            <Figure
                label="m between the outer marks"
                about={about}
                value={block.spread_m}
                onChange={(value) => metres('spread_m', value)}
            />
        </>
    );
}
