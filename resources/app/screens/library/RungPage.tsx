import type { LibraryLadder } from '../../api/client';

type Rung = LibraryLadder['rungs'][number];

/** A rung, read like a page of a manual. */
export function RungPage({ rung, nth }: { rung: Rung; nth: number }) {
    return (
        <>
            <h3 className="text-lg">
                <span className="figure mr-2 text-soft">{nth}</span>
                {rung.name}
            </h3>
            <p>
                {rung.goal}.{' '}
                <span className="text-soft">
                    Where it lands {rung.outcome_ignored ? 'is not looked at' : 'counts'}
                    {rung.safe_misses.length > 0 && `; a miss that is ${rung.safe_misses.join(' or ')} is safe`}. Look
                    for: {rung.checkpoints.join(', ').toLowerCase()}.
                </span>
            </p>
            <Teaching lines={rung.teaching} />
            {rung.seated && (
                <p className="text-sm">
                    <span className="label">From a chair: </span>
                    {rung.seated}
                </p>
            )}
            <ul className="mt-1 text-sm" aria-label={`Blocks of ${rung.name}`}>
                {rung.blocks.map((block, j) => (
                    <BlockLine key={j} block={block} kind={block.kind} />
                ))}
                {rung.indoor && <BlockLine block={rung.indoor} kind="Indoors" />}
            </ul>
        </>
    );
}

/** What a coach new to the skill needs to teach the rung: the reason as a sentence, the rest side by side. */
function Teaching({ lines }: { lines: Rung['teaching'] }) {
    if (lines.length === 0) return null;
    const [why, ...rest] = lines;
    return (
        <>
            <p className="mt-0.5">{why?.text}</p>
            <dl className="mt-1 gap-x-8 text-sm sm:columns-2">
                {rest.map((line) => (
                    <div key={line.key} className="break-inside-avoid pb-1">
                        <dt className="label inline">{line.name}: </dt>
                        <dd className="inline">{line.text}</dd>
                    </div>
                ))}
            </dl>
        </>
    );
}

function BlockLine({ block, kind }: { block: Rung['blocks'][number]; kind: string }) {
    return (
        <li className="grid py-0.5 sm:grid-cols-[6rem_1fr_14rem] sm:gap-x-3">
            <span className="label">{kind}</span>
            <span>
                <span className={block.judged ? 'font-bold' : ''}>{block.title}.</span>{' '}
                <span className="text-soft">
                    {block.text}
                    {block.how && ` (${block.how})`}
                </span>
            </span>
            <span className="figure sm:text-right">{block.dose}</span>
        </li>
    );
}
