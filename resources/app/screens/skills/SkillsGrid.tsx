import { clsx } from 'clsx';
import type { Skills } from '../../api/client';
import { dayName, n, percent } from '../../api/words';
import { Opens } from '../../parts/Opens';
import { WeekRow, WeeksTable } from '../../parts/WeeksTable';
import { SkillMark } from './SkillMark';

type Week = Skills['weeks'][number];
type Day = Week['days'][number];
type Item = Day['items'][number];

/** Weeks down, days across: what each day holds of each skill, and how the arm’s week is shared out. */
export function SkillsGrid({ plan }: { plan: Skills }) {
    const widest = Math.max(1, ...plan.weeks.map((week) => week.arm));
    const names = plan.skills.map((each) => each.ladder_name);
    return (
        <WeeksTable caption="All skills by week and day">
            {plan.weeks.map((week) => (
                <WeekRow key={week.monday} week={week} arm={<Shared week={week} widest={widest} names={names} />}>
                    {week.days.map((day) => (
                        <td key={day.date} className="py-1.5 pl-2">
                            <DayOf day={day} names={names} />
                        </td>
                    ))}
                </WeekRow>
            ))}
        </WeeksTable>
    );
}

function DayOf({ day, names }: { day: Day; names: string[] }) {
    return (
        <div className="grid gap-1">
            {day.match && <span className="head text-sm leading-tight">{day.match}</span>}
            {day.items.map((item) => (
                <Opens
                    key={item.skill}
                    label={`${names[item.skill]}, ${dayName(day.date)}: ${said(item)}. Why?`}
                    className="w-full min-w-0 text-left"
                    content={<Why item={item} day={day} name={names[item.skill] ?? ''} />}
                >
                    <ItemOf item={item} />
                </Opens>
            ))}
            {day.beside && <span className="text-sm leading-tight text-soft">something else planned</span>}
        </div>
    );
}

const said = (item: Item): string => `${item.emphasis_name}, ${item.own_reps} reps`;

const shortly = (item: Item): string => {
    if (item.emphasis === 'heavy') return 'Heavy';
    if (item.emphasis === 'test') return 'Test';
    if (item.emphasis === 'stage') return 'Stage';
    if (item.emphasis === 'taper') return 'Fresh';
    return 'Light';
};

function ItemOf({ item }: { item: Item }) {
    return (
        <span className="flex items-start gap-1.5">
            <SkillMark skill={item.skill} heavy={item.heavy} />
            <span className="min-w-0 leading-tight">
                <span className={clsx('block text-sm', item.heavy && 'font-bold')}>
                    {shortly(item)} {item.own_reps > 0 && <span className="figure">{item.own_reps}</span>}
                </span>
                {item.begins && <span className="line-clamp-2 text-xs">New: {item.rung}</span>}
            </span>
        </span>
    );
}

function Why({ item, day, name }: { item: Item; day: Day; name: string }) {
    return (
        <>
            <p className="head">
                {name}: {item.rung}
            </p>
            <p>
                {item.emphasis_name}, {item.own_reps} reps of the rung.{' '}
                {item.arm > 0 ? `${n(item.arm)} arm units.` : `${n(item.landings)} landing units.`}
            </p>
            {item.why.map((each) => (
                <p key={each} className="text-soft">
                    {each}
                </p>
            ))}
            {day.fullest && (
                <p className="text-soft">
                    Fullest limit, all skills together: {percent(day.fullest_share ?? 0)} of {day.fullest}.
                </p>
            )}
        </>
    );
}

/** How much of the arm’s week each skill takes, in their order; what is left of the bar is matches and other work. */
function Shared({ week, widest, names }: { week: Week; widest: number; names: string[] }) {
    const parts = week.arm_of.map((units, skill) => `${names[skill]} ${n(units)}`).join(', ');
    return (
        <div>
            <div
                role="img"
                aria-label={`Week ${week.number}: ${n(week.arm)} arm units: ${parts}`}
                className="flex h-5 border border-ink/60 bg-tape"
                style={{ width: `${(100 * week.arm) / widest}%` }}
            >
                {week.arm_of.map((units, skill) => (
                    <span
                        key={names[skill]}
                        className={clsx(
                            'figure grid place-items-center overflow-hidden border-r border-ink/60 text-xs',
                            skill % 2 === 0 ? 'bg-ink text-chalk' : 'hatch',
                        )}
                        style={{ width: `${week.arm > 0 ? (100 * units) / week.arm : 0}%` }}
                    >
                        {skill % 2 === 0 && units > 0 ? skill + 1 : ''}
                    </span>
                ))}
            </div>
            <span className="label block leading-tight">
                {n(week.arm)}
                {week.arm_of.filter((units) => units > 0).length > 1 &&
                    `: ${week.arm_of.map((units, skill) => `skill ${skill + 1} ${n(units)}`).join(', ')}`}
                {week.landings > 0 && ` · ${n(week.landings)} landing units`}
            </span>
        </div>
    );
}
