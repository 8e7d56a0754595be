import { useQueryClient } from '@tanstack/react-query';
import { api, type Athlete } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { WeekElsewhere } from '../../parts/WeekElsewhere';
import { WorkBeside } from '../../parts/WorkBeside';

/** What was done beside the sessions, strength and last week elsewhere, where the personal page has not told it. */
export function Elsewhere({ of }: { of: Athlete }) {
    const me = useMe();
    const queries = useQueryClient();
    if (me.role === 'clinician') return null;
    const again = (): Promise<void> => queries.invalidateQueries();
    return (
        <>
            <WorkBeside
                of={of.beside}
                today={of.date}
                tell={(work) => api('POST', `/api/athletes/${of.athlete.id}/work-beside`, work).then(again)}
            />
            <WeekElsewhere
                of={of.elsewhere}
                tell={(week) => api('POST', `/api/athletes/${of.athlete.id}/weeks-elsewhere`, week).then(again)}
            />
        </>
    );
}
