import { api } from '../../../api/client';
import type { Send } from './AwayForm';
import type { Restriction } from './RestrictionForm';

export function Restrictions({ all, athleteId, send }: { all: Restriction[]; athleteId: string; send: Send }) {
    if (all.length === 0) return null;
    return (
        <ul>
            {all.map((each) => (
                <li
                    key={each.id}
                    className={each.open ? 'border-l-4 border-stop py-1 pl-3' : 'border-t border-line py-1.5'}
                >
                    <p className={each.open ? 'font-semibold' : 'text-soft'}>{each.sentence}</p>
                    <p className="text-sm text-soft">
                        {each.clinician_name}. {each.note}
                    </p>
                    {each.may_lift && (
                        <button
                            type="button"
                            className="btn btn-quiet no-print"
                            onClick={() =>
                                void send(() => api('POST', `/api/athletes/${athleteId}/restrictions/${each.id}/lift`))
                            }
                        >
                            Lift it
                        </button>
                    )}
                </li>
            ))}
        </ul>
    );
}
