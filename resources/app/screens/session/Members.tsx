import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import type { Session } from '../../api/client';
import { percent } from '../../api/words';
import { useMe } from '../../parts/Frame';
import { WhatIsLeft } from '../../parts/WhatIsLeft';
import { WordMark } from '../../parts/WordMark';
import type { Changes } from './useSession';

type Member = Session['members'][number];

/** Who is there, how much of the time each one does work of their own, and what has no place. */
export function Members({ kept, session }: { kept: Session; session: Changes }) {
    const members = [...kept.members].sort((a, b) => a.athlete.name.localeCompare(b.athlete.name));
    return (
        <section aria-label="Who is there" className="no-print mt-6">
            <h2 className="label border-b-2 border-ink pb-1">Who is there, and useful work of their own</h2>
            <ul className="grid lg:grid-cols-2 lg:gap-x-10">
                {members.map((member) => (
                    <MemberRow key={member.athlete.id} kept={kept} member={member} session={session} />
                ))}
            </ul>
        </section>
    );
}

function MemberRow({ kept, member, session }: { kept: Session; member: Member; session: Changes }) {
    const me = useMe();
    const [looking, setLooking] = useState(false);
    return (
        <li aria-label={member.athlete.name} className="break-inside-avoid border-b border-line py-1">
            <div className="flex items-center gap-3">
                <div className="w-44 shrink-0">
                    <Link
                        to={kept.day < me.today ? '/sheets/$sheetId/after' : '/sheets/$sheetId'}
                        params={{ sheetId: member.sheet_id }}
                        className="head hover:underline"
                    >
                        {member.athlete.name}
                    </Link>
                    <span className="label flex items-center gap-2 font-normal">
                        <WordMark word={member.word} size={12} />
                        {member.athlete.throwing_side === 'left' && <span>left</span>}
                    </span>
                </div>
                <span className="figure grow">
                    {percent(member.useful_share)}
                    <span className="block text-sm font-normal text-soft">
                        {member.own_share === null ? 'drills only' : `${percent(member.own_share)} from the sheet`}
                    </span>
                </span>
                {me.records && (
                    <span className="no-print whitespace-nowrap">
                        {member.swap && (
                            <button type="button" className="btn" onClick={() => setLooking(true)}>
                                What is left
                            </button>
                        )}
                        <button
                            type="button"
                            className="btn btn-quiet"
                            onClick={() => session.toggleLate(member.athlete.id)}
                        >
                            {member.late_minutes > 0 ? 'On time' : 'Late'}
                        </button>
                        <button
                            type="button"
                            className="btn btn-quiet"
                            onClick={() => session.toggleAbsent(member.athlete.id)}
                        >
                            Not here
                        </button>
                    </span>
                )}
            </div>
            {member.late_minutes > 0 && (
                <p className="text-sm font-bold text-reduced">Late: warms up first, joins {joins(kept, member)}</p>
            )}
            {member.left_out.map((each) => (
                <p key={each} className="text-sm text-reduced">
                    {each}
                </p>
            ))}
            {looking && (
                <WhatIsLeft
                    sheetId={member.sheet_id}
                    athlete={member.athlete}
                    onClose={() => setLooking(false)}
                    onTaken={() => setLooking(false)}
                />
            )}
        </li>
    );
}

/** The first round with a place for somebody late. */
function joins(kept: Session, member: Member): string {
    const first = kept.rounds.find((round) =>
        round.places.some((place) => place.athletes.some((each) => each.athlete_id === member.athlete.id)),
    );
    return first ? first.starts_at : 'no round any more';
}
