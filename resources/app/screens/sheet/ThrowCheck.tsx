import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Block } from '../../api/client';
import { n, percent } from '../../api/words';
import { Flown } from '../../parts/Flown';
import { Loading, Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import type { Dose } from './draft';

/** What a distance asks for at least, and why: beside every dose that is thrown to one. */
export function ThrowCheck({ athleteId, block, dose }: { athleteId: string; block: Block; dose: Dose }) {
    const [open, setOpen] = useState(false);
    if (block.throw_asks === null || dose.distance_m === null) return null;
    return (
        <>
            <button
                type="button"
                className="text-left underline decoration-dotted underline-offset-2"
                aria-label={`${block.title}: what ${n(dose.distance_m)} m asks`}
                onClick={() => setOpen(true)}
            >
                {block.throw_asks}
            </button>
            {open && <Checked athleteId={athleteId} block={block} dose={dose} onClose={() => setOpen(false)} />}
        </>
    );
}

function Checked({
    athleteId,
    block,
    dose,
    onClose,
}: {
    athleteId: string;
    block: Block;
    dose: Dose;
    onClose: () => void;
}) {
    const asked = new URLSearchParams({
        skill: block.skill,
        object: dose.object ?? block.object_id,
        distance_m: String(dose.distance_m),
        effort: String(dose.effort),
    });
    const check = useQuery({
        queryKey: ['throw-check', athleteId, String(asked)],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/throw-check?${asked}`),
    });
    const found = check.data;
    return (
        <Sheetlet open wide onClose={onClose} title={`What ${n(dose.distance_m ?? 0)} m asks`}>
            {check.isPending && <Loading what="the throw check" />}
            <Notice problem={check.error} />
            {found && (
                <div className="grid gap-4">
                    <p className="max-w-prose text-lg">{found.said}</p>
                    <table className="max-w-prose text-sm">
                        <tbody>
                            <Line of="By distance" effort={found.by_distance} larger={found.least_effort}>
                                {found.longest_m === null ? 'no longest throw on record' : `of ${n(found.longest_m)} m`}
                            </Line>
                            <Line of="By speed" effort={found.by_speed} larger={found.least_effort}>
                                {found.least_speed_ms === null || found.reference_ms === null
                                    ? 'no speed can be told'
                                    : `${n(found.least_speed_ms)} m/s at least, of ${n(found.reference_ms)} m/s` +
                                      (found.measured ? ' measured' : ' that the longest throw took at least')}
                            </Line>
                        </tbody>
                    </table>
                    {found.arcs.length > 0 && <Flown arcs={found.arcs} />}
                    <p className="text-sm text-soft">
                        {found.source === null
                            ? 'This does not fly as a ball does: only the distance is told.'
                            : `Still air at 15 °C, no spin, caught at the height of the release. ${found.source}.`}
                    </p>
                </div>
            )}
        </Sheetlet>
    );
}

/** Never rounded down: it asks for at least that. */
const atLeast = (effort: number): string => percent(Math.ceil(100 * effort - 1e-6) / 100);

function Line({
    of,
    effort,
    larger,
    children,
}: {
    of: string;
    effort: number | null;
    larger: number | null;
    children: string;
}) {
    const stands = effort !== null && effort === larger;
    return (
        <tr className="border-t border-line">
            <th scope="row" className="py-1 pr-4 text-left font-normal">
                {of}
            </th>
            <td className={`figure pr-4 ${stands ? 'font-semibold' : 'text-soft'}`}>
                {effort === null ? '–' : atLeast(effort)}
            </td>
            <td className="text-soft">
                {children}
                {stands && '. This one stands'}
            </td>
        </tr>
    );
}
