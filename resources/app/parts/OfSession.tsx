import { Link } from '@tanstack/react-router';
import { dayName } from '../api/words';

type Session = { session_id: string; title: string; day: string; starts_at: string; place?: string | null };

/** The session a page is about, and the way to it. */
export function OfSession({ session }: { session: Session }) {
    return (
        <p className="label">
            <Link to="/sessions/$sessionId" params={{ sessionId: session.session_id }} className="hover:underline">
                {session.title}
            </Link>
            , {dayName(session.day, true)} {session.starts_at}
            {session.place ? `, ${session.place}` : ''}
        </p>
    );
}
