import { Link } from '@tanstack/react-router';
import { clsx } from 'clsx';
import type { AthleteCard } from '../api/client';

/** The name of an athlete, which opens the page, with age and throwing side below it. */
export function AthleteName({
    athlete,
    below = '',
}: {
    athlete: Pick<AthleteCard, 'id' | 'name' | 'age' | 'throwing_side'>;
    below?: string;
}) {
    return (
        <>
            <Link
                to="/athletes/$athleteId"
                params={{ athleteId: athlete.id }}
                className="head block truncate text-[1.05rem] hover:underline"
            >
                {athlete.name}
            </Link>
            <span className={clsx('label', below)}>
                {athlete.age ?? 'age not known'} · {athlete.throwing_side}-handed
            </span>
        </>
    );
}
