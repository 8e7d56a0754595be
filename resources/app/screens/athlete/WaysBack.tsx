import type { Body } from '../../api/typed';
import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from '@tanstack/react-router';
import { useRef, useState } from 'react';
import { api, type ReturnRef } from '../../api/client';
import { newId } from '../../offline/store';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import { StageMark } from '../../parts/StageMark';
import { Labelled } from '../../parts/Labelled';
import { picked, typed } from '../../parts/forms';

type Opening = Body<'POST', `/api/athletes/${string}/returns`>;

const SITES: Record<string, string[]> = {
    arm: ['shoulder', 'upper_arm', 'elbow', 'forearm'],
    hand: ['wrist', 'hand', 'finger'],
    trunk: ['chest', 'back', 'side', 'hip'],
    landing: ['thigh', 'knee', 'shin', 'ankle', 'foot'],
};

/** Returns of the athlete, and the way to open one. */
export function WaysBack({
    athleteId,
    returns,
    mayOpen,
}: {
    athleteId: string;
    returns: ReturnRef[];
    mayOpen: boolean;
}) {
    const [opening, setOpening] = useState(false);
    if (returns.length === 0 && !mayOpen) return null;
    return (
        <section aria-label="Way back">
            {returns.map((each) => (
                <div
                    key={each.id}
                    className={`mb-3 border-l-4 pl-3 ${each.state === 'open' ? 'border-tape' : 'border-line'}`}
                >
                    <h2 className="text-lg">
                        <Link to="/returns/$returnId" params={{ returnId: each.id }} className="hover:underline">
                            The way back: {each.site}
                        </Link>
                    </h2>
                    <StageMark stage={each.state === 'done' ? each.of + 1 : each.stage} of={each.of} />
                    <p>
                        {each.state === 'open' && (
                            <>
                                Stage {each.stage} of {each.of}, {each.stage_name}.{' '}
                            </>
                        )}
                        {each.sentence}
                    </p>
                </div>
            ))}
            {mayOpen && !returns.some((each) => each.state === 'open') && (
                <button type="button" className="btn" onClick={() => setOpening(true)}>
                    Open a return
                </button>
            )}
            {opening && <OpenReturn athleteId={athleteId} onClose={() => setOpening(false)} />}
        </section>
    );
}

function OpenReturn({ athleteId, onClose }: { athleteId: string; onClose: () => void }) {
    const navigate = useNavigate();
    const [chosen, setChosen] = useState<string | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const id = useRef(newId());
    const openable = useQuery({
        queryKey: ['programmes', athleteId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/programmes`),
    });
    const choices = (openable.data ?? []).flatMap((each) =>
        each.programmes.map((programme) => ({
            key: `${each.ladder}|${programme.id}`,
            ladder: each.ladder,
            ladderName: each.ladder_name,
            programme,
        })),
    );
    const current = choices.find((each) => each.key === chosen) ?? choices[0];
    return (
        <Sheetlet open onClose={onClose} title="Open a return">
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    if (current)
                        api('POST', `/api/athletes/${athleteId}/returns`, {
                            id: id.current,
                            programme: current.programme.id,
                            ladder: current.ladder,
                            site: picked<Opening['site']>(form, 'site'),
                            side: (typed(form, 'side') || null) as Opening['side'],
                        }).then(
                            (answer) => navigate({ to: '/returns/$returnId', params: { returnId: answer.ref.id } }),
                            setProblem,
                        );
                }}
            >
                <p>
                    Nobody starts without a clinician’s clearance. While a return is open its stages take the place of
                    the ladder’s doses, and other work on that part waits.
                </p>
                {openable.data && choices.length === 0 && <p>The athlete is on no ladder a programme is made for.</p>}
                <fieldset className="grid gap-2">
                    <legend className="label mb-1">Programme</legend>
                    {choices.map((each) => (
                        <label key={each.key} className="flex gap-2">
                            <input
                                type="radio"
                                name="programme"
                                checked={current?.key === each.key}
                                onChange={() => setChosen(each.key)}
                            />
                            <span>
                                <span className="head">{each.programme.name}</span>{' '}
                                <span className="label">{each.ladderName}</span>
                                <span className="block text-sm text-soft">{each.programme.summary}</span>
                            </span>
                        </label>
                    ))}
                </fieldset>
                <div className="grid grid-cols-2 gap-2">
                    <Labelled label="What is returning">
                        <select className="field" name="site" key={current?.programme.channel}>
                            {(SITES[current?.programme.channel ?? 'arm'] ?? []).map((site) => (
                                <option key={site} value={site}>
                                    {site.replace('_', ' ')}
                                </option>
                            ))}
                        </select>
                    </Labelled>
                    <Labelled label="Side">
                        <select className="field" name="side">
                            <option value="right">right</option>
                            <option value="left">left</option>
                            <option value="">middle</option>
                        </select>
                    </Labelled>
                </div>
                <Notice problem={problem} />
                <button className="btn btn-main" disabled={!current}>
                    Open the return
                </button>
            </form>
        </Sheetlet>
    );
}
