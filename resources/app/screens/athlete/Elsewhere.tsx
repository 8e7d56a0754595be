import { useQueryClient } from '@tanstack/react-query';
import { api, type Athlete } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { WeekElsewhere } from '../../parts/WeekElsewhere';

/** What was done elsewhere last week, where the personal page has not told it. */
export function Elsewhere({ of }: { of: Athlete }) {
    const me = useMe();
    const queries = useQueryClient();
    if (me.role === 'clinician') return null;
    return (
        <WeekElsewhere
            of={of.elsewhere}
            tell={(week) =>
                api('POST', `/api/athletes/${of.athlete.id}/weeks-elsewhere`, week).then(() =>
                    queries.invalidateQueries(),
                )
            }
        />
    );
}
