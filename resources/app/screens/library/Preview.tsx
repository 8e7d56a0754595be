import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type RungPreview } from '../../api/client';
import { n, percent } from '../../api/words';
import { type Hand, HandSwitch } from '../../parts/HandSwitch';
import { Labelled, Options } from '../../parts/Labelled';
import { Notice } from '../../parts/Notice';
import { Sheetlet } from '../../parts/Sheetlet';
import type { LadderDef, RungDef } from './definition';
import { RungPage } from './RungPage';

const AGES: [age: string, name: string][] = [
    ['8', 'eight years old'],
    ['12', 'twelve'],
    ['15', 'fifteen'],
    ['25', 'grown'],
];

/** The rung as it would be read, planned and counted, before it is kept. */
export function Preview({ ladder, rung, nth }: { ladder: LadderDef; rung: RungDef; nth: number }) {
    const [open, setOpen] = useState(false);
    return (
        <>
            <button type="button" className="btn" onClick={() => setOpen(true)}>
                See it as page, sheet and courtside
            </button>
            <Sheetlet open={open} onClose={() => setOpen(false)} title={rung.name} wide="page">
                {open && <Seen ladder={ladder} rung={rung} nth={nth} />}
            </Sheetlet>
        </>
    );
}

function Seen({ ladder, rung, nth }: { ladder: LadderDef; rung: RungDef; nth: number }) {
    const [hand, setHand] = useState<Hand>('right');
    const [age, setAge] = useState('25');
    const query = useQuery({
        queryKey: ['rung-preview', JSON.stringify(ladder), rung.id, hand, age],
        queryFn: () =>
            api('POST', '/api/library/preview', {
                definition: ladder,
                rung: rung.id,
                hand,
                age: Number(age),
            }),
        placeholderData: (before) => before,
        retry: false,
    });
    return (
        <>
            <div className="flex flex-wrap items-end gap-4 pb-3">
                <HandSwitch hand={hand} onHand={setHand} />
                <Labelled label="For somebody" tight>
                    <select className="field" value={age} onChange={(event) => setAge(event.target.value)}>
                        <Options of={AGES} />
                    </select>
                </Labelled>
            </div>
            <Notice problem={query.error} />
            {query.data && (
                <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_22rem]">
                    <section aria-label="As a page">
                        <h2 className="label border-b border-ink pb-1">As a page of the library</h2>
                        <RungPage rung={query.data.rung} nth={nth} />
                        <p className="text-sm text-soft">To go on: {query.data.rung.gate}</p>
                    </section>
                    <div className="grid content-start gap-6">
                        <AsASheet blocks={query.data.blocks} />
                        <Courtside seen={query.data} />
                    </div>
                </div>
            )}
        </>
    );
}

type Block = RungPreview['blocks'][number];

function AsASheet({ blocks }: { blocks: Block[] }) {
    return (
        <section aria-label="On a sheet">
            <h2 className="label border-b border-ink pb-1">On a sheet, nothing on record</h2>
            <table className="w-full text-sm">
                <tbody>
                    {blocks.map((block, i) => (
                        <tr key={i} className="border-b border-line align-top">
                            <td className="py-1 pr-3">
                                <span className="label block">{block.kind_name}</span>
                                <span className={block.judged ? 'font-bold' : ''}>{block.title}</span>
                                {block.how && <span className="block text-soft">{block.how}</span>}
                            </td>
                            <td className="figure py-1 text-right">
                                <Dose block={block} />
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

function Dose({ block }: { block: Block }) {
    if (block.reps === 0) return null;
    return (
        <>
            {block.sets} × {block.reps}
            <span className="block text-soft">
                {percent(block.effort)}
                {block.distance_m !== null && `, ${n(block.distance_m)} m`}
                {block.hold_s !== null && `, held ${block.hold_s} s`}
                {block.other_side && ', other side'}
            </span>
        </>
    );
}

/** What the thumb has on a phone: the first judged block, its faults with their cues, and the tags. */
function Courtside({ seen }: { seen: RungPreview }) {
    const block = seen.blocks.find(({ judged }) => judged);
    if (block === undefined) return null;
    return (
        <section aria-label="Courtside">
            <h2 className="label border-b border-ink pb-1">Courtside</h2>
            <div className="mt-2 border-2 border-ink p-3" inert>
                <p className="label">{block.kind_name}</p>
                <p className="head text-xl">{block.title}</p>
                <p>
                    {block.object}, {percent(block.effort)}
                    {block.distance_m !== null && `, ${n(block.distance_m)} m`}
                </p>
                <p className="figure text-7xl">{block.reps}</p>
                <p className="label">left in set 1 of {block.sets}</p>
                <p className="border-y border-line py-1.5 leading-tight text-soft">
                    {seen.rung.outcome_ignored ? 'The result is ignored here. ' : ''}
                    {block.text}
                </p>
                {seen.tags.length > 0 && (
                    <p className="py-1">
                        {seen.tags.map(({ id, name }) => (
                            <span key={id} className="mr-3 underline">
                                {name}
                            </span>
                        ))}
                    </p>
                )}
                <div className="mt-2 grid grid-cols-2 gap-1.5">
                    {seen.faults.map((fault) => (
                        <span key={fault.id} className="btn thumb justify-start whitespace-normal text-left text-sm">
                            {fault.name}
                        </span>
                    ))}
                    <span className="btn btn-main thumb col-span-2 text-xl">Good</span>
                </div>
            </div>
        </section>
    );
}
