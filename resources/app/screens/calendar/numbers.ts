import { type Calendar } from '../../api/client';
import { n } from '../../api/words';

/** A session in figures: who, how much was done of what was planned. */
export function numbers(session: Calendar['sessions'][number]): string {
    const who = `${session.athletes} ${session.athletes === 1 ? 'athlete' : 'athletes'}`;
    const late = session.entered_late ? ', entered late' : '';
    if (session.counted) return `${who}, ${n(session.done_reps)} done${session.open ? ', open' : ''}${late}`;
    if (session.planned_reps === null || session.planned_reps === undefined) return 'sheets a fortnight ahead';
    return session.waiting ? `${who}, being fitted` : `${who}, ${n(session.planned_reps)} reps`;
}
