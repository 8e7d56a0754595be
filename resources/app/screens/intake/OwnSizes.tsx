import { Link } from '@tanstack/react-router';
import { useMe } from '../../parts/Frame';
import type { Editing } from './useIntake';

/** What is in the hand: by age and hand as the club's table has it, or chosen for this athlete. */
export function OwnSizes({ intake: { kept, send } }: { intake: Editing }) {
    const me = useMe();
    if (kept.sizes.length === 0) return null;
    return (
        <section aria-label="What is thrown">
            <h2 className="text-base">What is thrown</h2>
            <p className="text-soft">
                By age and hand, from{' '}
                <Link to="/library/sizes" className="underline">
                    the club’s table
                </Link>
                . Choose one where their class says otherwise.
            </p>
            <ul>
                {kept.sizes.map((size) => (
                    <li key={size.table} className="border-t border-line py-1">
                        <label className="flex items-center justify-between gap-2">
                            <span>{size.name}</span>
                            <select
                                className="field"
                                value={size.chosen ?? ''}
                                disabled={!me.decides}
                                onChange={(event) =>
                                    void send(
                                        'PUT',
                                        '/sizes',
                                        { table: size.table, object: event.target.value || null },
                                        'Saved. What is planned from today on follows.',
                                    )
                                }
                            >
                                <option value="">By age and hand: {size.by_table}</option>
                                {size.sizes.map(({ id, name }) => (
                                    <option key={id} value={id}>
                                        {name}
                                    </option>
                                ))}
                            </select>
                        </label>
                        {size.heavier && (
                            <p className="border-l-4 border-tape pl-2">
                                Heavier than the table has for this age and hand: {size.by_table}. Begin with few.
                            </p>
                        )}
                    </li>
                ))}
            </ul>
        </section>
    );
}
