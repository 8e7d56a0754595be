import { Figure } from '../../parts/Figure';
import { Opens } from '../../parts/Opens';
import type { Courtside } from '../../api/client';

/** Never taller than the screen leaves room for, above or below the button. */
const INSIDE = 'max-h-[min(70vh,calc(var(--radix-popover-content-available-height)-2rem))]';

/** How the rung is taught, and the drill of the fault that leads, written out: read without a connection. */
export function Teach({
    pack,
    fault,
    how,
}: {
    pack: Pick<Courtside, 'teaching' | 'rung' | 'taught_by'>;
    fault: Courtside['faults'][number] | null;
    how: string | null;
}) {
    return (
        <Opens
            label={`How to teach ${pack.rung.rung_name}`}
            className="btn btn-quiet shrink-0"
            content={
                <div className={`grid gap-3 overflow-y-auto ${INSIDE}`}>
                    {fault?.how && (
                        <section>
                            {fault.picture && (
                                <div className="float-right ml-3">
                                    <Figure pose={fault.picture} small />
                                </div>
                            )}
                            <h2 className="head text-lg">Drill: {fault.name.toLowerCase()}</h2>
                            <p>{fault.how}</p>
                            {fault.stop && <p className="text-soft">Stop: {fault.stop}</p>}
                        </section>
                    )}
                    <section>
                        <h2 className="head text-lg">{pack.rung.rung_name}</h2>
                        {pack.taught_by.length > 0 && <p className="text-soft">Taught: {pack.taught_by.join('; ')}.</p>}
                        {how && <p className="text-soft">This block: {how}.</p>}
                        <dl>
                            {pack.teaching.map((line) => (
                                <div key={line.key} className="border-t border-line py-1">
                                    <dt className="label">{line.name}</dt>
                                    <dd>{line.text}</dd>
                                </div>
                            ))}
                        </dl>
                    </section>
                </div>
            }
        >
            Teach
        </Opens>
    );
}
