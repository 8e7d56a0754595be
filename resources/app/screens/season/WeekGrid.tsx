import { DndContext, PointerSensor, useDraggable, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import { Link } from '@tanstack/react-router';
import type { Season } from '../../api/client';
import { dayName, n, percent } from '../../api/words';
import { Opens } from '../../parts/Opens';
import { WeekRow, WeeksTable } from '../../parts/WeeksTable';
import { LabelledInput } from '../../parts/Labelled';
import { clsx } from 'clsx';

type Week = Season['weeks'][number];
type Day = Week['days'][number];
type Acts = { editable: boolean; onMove: (from: string, to: string) => void; onOff: (day: string) => void };

/** Weeks down, days across: what is on each day, and each week’s arm load against the most it may rise to. */
export function WeekGrid({ season, ...acts }: { season: Season } & Acts) {
    // By keyboard a session is moved from its panel, with a date.
    const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
    const most = Math.max(
        1,
        ...season.weeks.flatMap((week) =>
            week.days.map((day) => Math.max(day.arm, day.agreed_arm ?? 0, day.arm > 0 ? 0 : day.landings)),
        ),
    );
    // A rung is named where it begins; after that the cell says the dose.
    const worked = season.weeks.flatMap((week) => week.days).filter((day) => day.kind === 'session');
    const begins = new Set(
        worked.filter((day, i) => i === 0 || worked[i - 1]?.title !== day.title).map((day) => day.date),
    );
    const widest = Math.max(1, ...season.weeks.map((week) => Math.max(week.arm, week.arm_max ?? 0)));
    return (
        <DndContext
            sensors={sensors}
            onDragEnd={(event) => {
                if (event.over && event.over.id !== event.active.id)
                    acts.onMove(String(event.active.id), String(event.over.id));
            }}
        >
            <WeeksTable caption="The season by week and day">
                {season.weeks.map((week) => (
                    <WeekRow key={week.monday} week={week} arm={<WeekTape week={week} widest={widest} />}>
                        {week.days.map((day) => (
                            <DayCell
                                key={day.date}
                                day={day}
                                today={season.date}
                                most={most}
                                goal={day.date === season.goal_on}
                                begins={day.kind !== 'session' || begins.has(day.date)}
                                {...acts}
                            />
                        ))}
                    </WeekRow>
                ))}
            </WeeksTable>
        </DndContext>
    );
}

function WeekTape({ week, widest }: { week: Week; widest: number }) {
    const at = (value: number): string => `${(100 * value) / widest}%`;
    const landings = week.arm === 0 && week.landings > 0;
    const most = week.arm_max == null ? '' : ` of at most ${n(week.arm_max)}`;
    return (
        <div>
            <div
                className="relative h-3.5 w-full"
                role="img"
                aria-label={`Week ${week.number}: ${n(week.arm)} arm units${most}`}
            >
                <div
                    className="notches absolute inset-y-0 left-0 border-y border-ink/60 bg-tape"
                    style={{ width: at(week.arm_max ?? week.arm) }}
                />
                <div className="absolute inset-y-0 left-0 bg-[#14201c]" style={{ width: at(week.arm_done) }} />
                <div
                    className="hatch absolute inset-y-0 border-y border-ink/60"
                    style={{ left: at(week.arm_done), width: at(Math.max(0, week.arm - week.arm_done)) }}
                />
                {week.arm_max != null && (
                    <div
                        className="absolute -inset-y-0.5 w-[3px] bg-ink"
                        style={{ left: `calc(${at(week.arm_max)} - 3px)` }}
                    />
                )}
            </div>
            <span className="label block leading-tight">
                {landings
                    ? `${n(week.landings)} landing units`
                    : `${n(week.arm)}${week.arm_max == null ? '' : `, at most ${n(week.arm_max)}`}`}
                {week.own_reps > 0 && `, ${n(week.own_reps)} reps of the rung`}
            </span>
            {week.begins.length > 0 && (
                <span className="block text-sm leading-tight">New: {week.begins.join(', ')}</span>
            )}
            {week.fullest && (
                <span
                    className="block truncate text-sm leading-tight text-soft"
                    title={`Fullest limit: ${week.fullest}`}
                >
                    {percent(week.fullest_share ?? 0)} {week.fullest}
                </span>
            )}
        </div>
    );
}

function DayCell({
    day,
    today,
    most,
    goal,
    begins,
    ...acts
}: { day: Day; today: string; most: number; goal: boolean; begins: boolean } & Acts) {
    const { setNodeRef, isOver } = useDroppable({
        id: day.date,
        disabled: !acts.editable || day.date < today || day.kind === 'match',
    });
    return (
        <td
            ref={setNodeRef}
            className={clsx(
                'h-[3.6rem] border-l border-line py-1 pl-2 pr-1',
                day.date === today && 'bg-tape-dim',
                isOver && 'outline-3 -outline-offset-2 outline-ink',
                goal && 'border-r-[3px] border-r-ink',
            )}
        >
            {day.kind === 'rest' ? (
                <span className="sr-only">rest</span>
            ) : day.kind === 'done' || day.kind === 'missed' ? (
                <Past day={day} most={most} />
            ) : (
                <Planned day={day} most={most} begins={begins} {...acts} />
            )}
        </td>
    );
}

function Bar({ value, agreed, most, inked }: { value: number; agreed: number | null; most: number; inked: boolean }) {
    return (
        <span className="relative block h-11 w-2 shrink-0 border-b border-ink/50" aria-hidden="true">
            <span
                className={`absolute inset-x-0 bottom-0 ${inked ? 'bg-ink' : 'hatch border border-ink/60'}`}
                style={{ height: `${(100 * value) / most}%` }}
            />
            {agreed !== null && (
                <span
                    className="absolute -inset-x-0.5 h-[2px] bg-stop"
                    style={{ bottom: `${(100 * agreed) / most}%` }}
                />
            )}
        </span>
    );
}

function Past({ day, most }: { day: Day; most: number }) {
    const text =
        day.kind === 'missed' ? (
            <>
                <span className="head text-reduced">missed</span>
                <span className="block truncate text-sm text-soft">{day.title}</span>
            </>
        ) : (
            <>
                <span className="figure text-lg">{n(day.arm > 0 ? day.arm : day.landings)}</span>
                <span className="block truncate text-sm text-soft">units done</span>
            </>
        );
    return (
        <div className="flex gap-1.5">
            <Bar value={day.arm > 0 ? day.arm : day.landings} agreed={day.agreed_arm ?? null} most={most} inked />
            <div className="min-w-0">
                {day.sheet_id && day.kind === 'done' ? (
                    <Link
                        to="/sheets/$sheetId/after"
                        params={{ sheetId: day.sheet_id }}
                        className="block hover:underline"
                    >
                        {text}
                    </Link>
                ) : (
                    text
                )}
            </div>
        </div>
    );
}

function Planned({ day, most, begins, editable, onMove, onOff }: { day: Day; most: number; begins: boolean } & Acts) {
    const movable = editable && day.movable;
    const { setNodeRef, listeners, transform, isDragging } = useDraggable({
        id: day.date,
        disabled: !movable,
    });
    const isMatch = day.kind === 'match';
    const shift =
        transform === null
            ? undefined
            : {
                  transform: `translate(${transform.x}px, ${transform.y}px)`,
                  position: 'relative' as const,
                  zIndex: 30,
              };
    const label = `${dayName(day.date, true)}: ${day.title}${day.emphasis_name ? `, ${day.emphasis_name}` : ''}`;
    return (
        <div
            ref={setNodeRef}
            style={shift}
            {...(movable ? { ...listeners, 'data-drag': day.date } : {})}
            className={clsx(
                'flex gap-1.5',
                isDragging && 'bg-page shadow-lg',
                isMatch && '-ml-2 border-l-4 border-ink bg-page pl-1',
                movable && 'cursor-grab touch-none',
            )}
        >
            <Bar value={day.arm > 0 ? day.arm : day.landings} agreed={null} most={most} inked={false} />
            <Opens
                label={label}
                className="min-w-0 grow text-left"
                content={<DayWhy day={day} editable={editable} onMove={onMove} onOff={onOff} />}
            >
                <InShort day={day} begins={begins} />
            </Opens>
        </div>
    );
}

/** Heavy is three bars; light, around a match and for the goal two; the lighter week and the day before a match one. */
function EmphasisMark({ emphasis }: { emphasis: Day['emphasis'] | null }) {
    if (emphasis === 'stage') return <>stage</>;
    if (emphasis === 'test') return <>test</>;
    const bars = emphasis === 'heavy' ? 3 : emphasis === 'light_week' || emphasis === 'before_match' ? 1 : 2;
    return (
        <svg
            width="14"
            height="10"
            viewBox="0 0 14 10"
            className="inline"
            role="img"
            aria-label={emphasis === 'heavy' ? 'heavy' : 'light'}
        >
            {[0, 1, 2].map((i) => (
                <rect
                    key={i}
                    x={i * 5}
                    y={8 - 3 * i}
                    width="3.6"
                    height={2 + 3 * i}
                    fill={i < bars ? 'var(--color-ink)' : 'none'}
                    stroke="var(--color-ink)"
                    strokeWidth="0.8"
                />
            ))}
        </svg>
    );
}

function DayWhy({
    day,
    editable,
    onMove,
    onOff,
}: {
    day: Day;
    editable: boolean;
    onMove: Acts['onMove'];
    onOff: Acts['onOff'];
}) {
    return (
        <div className="grid max-w-sm gap-1.5">
            <p className="head">
                {dayName(day.date, true)}: {day.title}
            </p>
            {day.kind === 'session' && (
                <p>
                    {day.emphasis_name}. {day.reps} reps, {day.own_reps === day.reps ? 'all' : day.own_reps} of them
                    what the session is for
                    {day.effort == null ? '' : ` at ${percent(day.effort)}`}
                    {day.distance_m == null ? '' : `, ${n(day.distance_m)} m`}.
                </p>
            )}
            {day.why.map((why) => (
                <p key={why}>{why}</p>
            ))}
            {day.kind === 'session' && (
                <p className="text-soft">
                    {day.with_squad
                        ? 'With the squad: the calendar moves it.'
                        : 'Extra: the squad does not train that day.'}
                </p>
            )}
            {day.kind === 'other' && <p>Beside the season: {day.reps} reps.</p>}
            {day.needs_clearance && (
                <p className="border-l-4 border-refer pl-2">
                    Only after a clinician’s clearance. It is planned as if it were there by then; without it nobody
                    starts.
                </p>
            )}
            <p className="text-soft">
                Arm {n(day.arm)}, landings {n(day.landings)} units.
                {day.agreed_arm == null ? '' : ` Agreed: ${n(day.agreed_arm)}.`}
            </p>
            {day.fullest && <p className="text-soft">Fullest hard limit: {day.fullest}</p>}
            {day.trims.map((trim) => (
                <p key={trim} className="border-l-4 border-tape pl-2">
                    {trim}
                </p>
            ))}
            <div className="no-print mt-1 flex flex-wrap items-end gap-2">
                {day.sheet_id && (
                    <Link to="/sheets/$sheetId" params={{ sheetId: day.sheet_id }} className="btn">
                        Open the sheet
                    </Link>
                )}
                {day.with_squad && (
                    <Link to="/calendar" className="btn">
                        Calendar
                    </Link>
                )}
                {editable && day.movable && (
                    <>
                        <LabelledInput
                            label="Move to"
                            tight
                            type="date"
                            aria-label={`Move the session of ${dayName(day.date)} to`}
                            onChange={(event) => {
                                if (event.target.value) onMove(day.date, event.target.value);
                            }}
                        />
                        <button type="button" className="btn" onClick={() => onOff(day.date)}>
                            Day off
                        </button>
                    </>
                )}
            </div>
        </div>
    );
}

function doseInShort(day: Day): string {
    const effort = day.effort == null ? '' : percent(day.effort);
    const distance = day.distance_m == null ? '' : `, ${n(day.distance_m)} m`;
    const raised = day.raised[0] ? ` ${day.raised[0].replace('more ', '+ ')}` : '';
    return `${effort}${distance}${raised}`;
}

function InShort({ day, begins }: { day: Day; begins: boolean }) {
    const isMatch = day.kind === 'match';
    const isSession = day.kind === 'session';
    if (day.kind === 'other')
        return (
            <>
                <span className="block whitespace-nowrap">
                    <span className="figure text-lg">{day.reps}</span> <span className="label">reps beside</span>
                </span>
                <span className="block truncate text-sm text-soft">{day.title}</span>
            </>
        );
    return (
        <>
            {' '}
            <span className="block whitespace-nowrap">
                <span className="figure text-lg">{isSession || isMatch ? day.reps : n(day.arm)}</span>
                <span className="label">
                    {' '}
                    {isMatch ? 'match' : isSession ? <EmphasisMark emphasis={day.emphasis ?? null} /> : 'units'}
                </span>
                {day.needs_clearance && <span className="label text-refer"> clear</span>}
            </span>
            <span className={`block truncate text-sm ${begins ? 'head' : 'text-soft'}`}>
                {begins ? day.title : doseInShort(day)}
                {isSession && !day.with_squad && <span className="no-print label pl-1.5">extra</span>}
            </span>
        </>
    );
}
