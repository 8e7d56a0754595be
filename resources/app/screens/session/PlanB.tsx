import { useRef, useState } from 'react';
import { api, type Session } from '../../api/client';
import { inALine } from '../../api/words';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { LabelledStepper } from '../../parts/LabelledStepper';
import type { Setup } from './useSession';

const LOOK_AFTER_MS = 250;
const HALL_M = 12;

/** “Twenty-five minutes, in the hall, nine came”: what changes is shown before it is kept. */
export function PlanB({
    kept,
    setup,
    onClose,
    onKeep,
}: {
    kept: Session;
    setup: Setup;
    onClose: () => void;
    onKeep: (setup: Setup) => Promise<void>;
}) {
    const [now, setNow] = useState(setup);
    const [look, setLook] = useState<Session | null>(null);
    const asking = useRef(0);
    const [problem, setProblem] = useState<unknown>(null);
    const change = (with_: Partial<Setup>): void => {
        const next = { ...now, ...with_ };
        setNow(next);
        const asked = ++asking.current;
        window.setTimeout(() => {
            // Only the last of several quick changes is looked at.
            if (asked !== asking.current) return;
            api('POST', `/api/sessions/${kept.id}/preview`, { version: kept.version, ...next }).then((answer) => {
                if (asked === asking.current) {
                    setLook(answer);
                    setProblem(null);
                }
            }, setProblem);
        }, LOOK_AFTER_MS);
    };
    return (
        <Sheetlet open onClose={onClose} title="Plan B" wide>
            <div className="grid gap-4">
                <Means now={now} onChange={change} />
                <WhoCame kept={kept} now={now} onChange={change} />
                <Notice problem={problem} />
                <div role="status" className="min-h-16 border-l-4 border-tape pl-3">
                    {look === null ? (
                        <p className="text-soft">Change something to see what it does.</p>
                    ) : look.differences.length === 0 ? (
                        <p>Nothing changes.</p>
                    ) : (
                        <ul>
                            {look.differences.map((each) => (
                                <li key={each} className="head">
                                    {each}
                                </li>
                            ))}
                        </ul>
                    )}
                    {look?.flags.map((flag) => (
                        <p key={flag.code + flag.sentence} className="text-reduced">
                            {flag.sentence}
                        </p>
                    ))}
                </div>
                {look !== null && look.changed.length > 0 && <BeforeAndAfter changed={look.changed} />}
                <button
                    type="button"
                    className="btn btn-main"
                    disabled={look === null}
                    onClick={() => void onKeep(now).then(onClose)}
                >
                    Go with this
                </button>
            </div>
        </Sheetlet>
    );
}

/** Whose doses would change: as they are, and as they would be. */
function BeforeAndAfter({ changed }: { changed: Session['changed'] }) {
    return (
        <table className="w-full text-sm">
            <caption className="sr-only">Doses that change</caption>
            <thead>
                <tr className="border-b-2 border-ink text-left">
                    <th className="label py-1">Who</th>
                    <th className="label py-1">Now</th>
                    <th className="label py-1">With plan B</th>
                </tr>
            </thead>
            <tbody>
                {changed.map((each) => (
                    <tr key={each.athlete_id} className="border-b border-line align-top">
                        <th scope="row" className="head w-20 py-1 pr-2 text-left">
                            {each.name}
                        </th>
                        <td className="w-[45%] py-1 pr-3 text-soft">{each.before.map(inALine).join('; ')}</td>
                        <td className="py-1">{each.after.map(inALine).join('; ') || 'without these'}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

/** Minutes, adults and balls there are. */
function Means({ now, onChange }: { now: Setup; onChange: (with_: Partial<Setup>) => void }) {
    const inside = (): void =>
        onChange({
            spaces: now.spaces.map((space) => ({
                ...space,
                length_m: Math.min(space.length_m, HALL_M),
                surface: 'sprung' as const,
                sector: false,
            })),
        });
    return (
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
            <LabelledStepper
                label="Minutes left"
                value={now.minutes}
                shown={`${now.minutes} min`}
                step={5}
                least={5}
                most={240}
                onChange={(minutes) => onChange({ minutes })}
            />
            <LabelledStepper
                label="Adults"
                value={now.adults}
                step={1}
                least={0}
                most={20}
                onChange={(adults) => onChange({ adults })}
            />
            <LabelledStepper
                label="Balls"
                value={now.balls}
                step={5}
                least={0}
                most={300}
                onChange={(balls) => onChange({ balls })}
            />
            <button type="button" className="btn" onClick={inside}>
                Rain: into a hall of {HALL_M} m
            </button>
        </div>
    );
}

function WhoCame({ kept, now, onChange }: { kept: Session; now: Setup; onChange: (with_: Partial<Setup>) => void }) {
    const everybody = [...kept.members.map((member) => member.athlete), ...kept.absent].sort((a, b) =>
        a.name.localeCompare(b.name),
    );
    return (
        <fieldset>
            <legend className="label mb-1">Who came</legend>
            <div className="flex flex-wrap gap-1.5">
                {everybody.map((athlete) => {
                    const gone = now.absent.includes(athlete.id);
                    return (
                        <button
                            key={athlete.id}
                            type="button"
                            aria-pressed={!gone}
                            className={`btn ${gone ? 'text-soft line-through' : ''}`}
                            onClick={() =>
                                onChange({
                                    absent: gone
                                        ? now.absent.filter((each) => each !== athlete.id)
                                        : [...now.absent, athlete.id],
                                })
                            }
                        >
                            {athlete.given_name}
                        </button>
                    );
                })}
            </div>
        </fieldset>
    );
}
