import { Link } from '@tanstack/react-router';
import { clsx } from 'clsx';
import type { MatchTeam } from '../../api/client';
import { tightest } from '../../rules/bounds';
import type { TeamCount } from './useTeamCount';

type Player = MatchTeam['players'][number];

/** One of the squad: whether they play, what is expected of them, and a button for each skill while it is counted. */
export function PlayerRow({
    player,
    team,
    count,
    onToggle,
}: {
    player: Player;
    team: MatchTeam;
    count: TeamCount | null;
    onToggle: (() => void) | null;
}) {
    const { athlete } = player;
    const names = new Map(team.skills.map((skill) => [skill.id, skill.name.toLowerCase()]));
    const told = (reps: Player['expected']): string =>
        Object.entries(reps)
            .map(([skill, n]) => `${n} × ${names.get(skill) ?? skill.replaceAll('-', ' ')}`)
            .join(', ');
    const onRecord = told(player.counted);
    const taken = (skill: string): number =>
        count === null ? 0 : count.of(athlete.id, skill) + count.kept(athlete.id, skill);
    return (
        <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-1.5">
            {onToggle && (
                <button
                    type="button"
                    aria-pressed={team.lined_up && player.plays}
                    disabled={player.blocked !== null}
                    className={clsx('btn w-28', team.lined_up && player.plays && 'btn-main')}
                    aria-label={`${athlete.name} plays`}
                    onClick={onToggle}
                >
                    {!team.lined_up ? 'Lines up' : player.plays ? 'Plays' : 'Not in it'}
                </button>
            )}
            <span className={clsx('min-w-40 grow', count === null ? 'basis-40' : 'basis-full sm:basis-40')}>
                <Link
                    to="/athletes/$athleteId"
                    params={{ athleteId: athlete.id }}
                    className="head block truncate text-[1.05rem] hover:underline"
                >
                    {athlete.name}
                </Link>
                <span className={clsx('block text-sm', player.blocked ? 'text-stop' : 'text-soft')}>
                    {player.blocked ??
                        (onRecord === '' ? `expected ${told(player.expected)}` : `${onRecord} on record`)}
                </span>
            </span>
            {count !== null &&
                team.skills.map((skill) => (
                    <CountButton
                        key={skill.id}
                        label={`${athlete.given_name}: one ${skill.name.toLowerCase()}`}
                        name={skill.name}
                        done={
                            (player.counted[skill.id] ?? 0) +
                            count.kept(athlete.id, skill.id) +
                            count.of(athlete.id, skill.id)
                        }
                        left={leftOf(player, skill.id, taken)}
                        onTap={() => count.tap(athlete.id, skill.id)}
                    />
                ))}
        </li>
    );
}

/** How many are left of a skill before a hard limit is full, less what was counted here; null: nobody can say. */
function leftOf(player: Player, skill: string, taken: (skill: string) => number): number | null {
    const cost = (of: string, limitId: string): number =>
        player.costs[of]?.find((each) => each.limit_id === limitId)?.per_rep ?? 0;
    const first = tightest(
        player.bounds,
        (limitId) => cost(skill, limitId),
        (limitId) => Object.keys(player.costs).reduce((sum, each) => sum + taken(each) * cost(each, limitId), 0),
    );
    return first?.repsLeft ?? null;
}

function CountButton({
    label,
    name,
    done,
    left,
    onTap,
}: {
    label: string;
    name: string;
    done: number;
    left: number | null;
    onTap: () => void;
}) {
    const over = left !== null && left <= 0;
    return (
        <button
            type="button"
            aria-label={label}
            className={clsx(
                'btn thumb flex grow basis-32 items-center justify-between gap-2 sm:grow-0 sm:basis-44',
                over && 'border-stop text-stop',
            )}
            onClick={onTap}
        >
            <span className="figure text-3xl">{done}</span>
            <span className="text-right text-xs leading-tight">
                {name}
                <span className="block font-normal">
                    {over ? 'limit full: off the court' : left === null ? '' : `${left} left`}
                </span>
            </span>
        </button>
    );
}
