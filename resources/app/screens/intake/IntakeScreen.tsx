import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from '@tanstack/react-router';
import { api, type LadderChoice } from '../../api/client';
import { useMe } from '../../parts/Frame';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { AskedOnce } from './AskedOnce';
import { Conditions } from './Conditions';
import { HandSpan, Height, Marks } from './Measured';
import { OwnSizes } from './OwnSizes';
import { OwnData, PersonalLinks } from './OwnData';
import { SharedWith } from './SharedWith';
import { Ladders, Person } from './Standing';
import { type Editing, useIntake } from './useIntake';

/** Asked once: who to call, what was before, what is agreed; height every few months. */
export function IntakeScreen() {
    const { athleteId } = useParams({ from: '/frame/athletes/$athleteId/intake' });
    const intake = useIntake(athleteId);
    const query = useQuery({
        queryKey: ['intake', athleteId],
        queryFn: () => api('GET', `/api/athletes/${athleteId}/intake`),
        refetchOnWindowFocus: false,
    });
    const me = useMe();
    const ladders = useQuery({
        queryKey: ['ladders'],
        queryFn: () => api('GET', '/api/ladders'),
        enabled: me.decides,
    });
    if (!query.data) return <Waiting query={query} what="the intake" />;
    // What came later would push the rest down, under the finger.
    if (me.decides && !ladders.data) return <Waiting query={ladders} what="the ladders" />;
    return <Whole intake={{ ...intake, kept: query.data }} ladders={ladders.data} />;
}

function Whole({ intake, ladders }: { intake: Editing; ladders: LadderChoice[] | undefined }) {
    const me = useMe();
    const { kept, problem, said } = intake;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="border-b border-line py-3">
                <p className="label">
                    {kept.athlete.age ?? 'age not known'} · {kept.athlete.throwing_side}-handed
                </p>
                <h1 className="text-2xl">
                    <Link to="/athletes/$athleteId" params={{ athleteId: kept.athlete.id }} className="hover:underline">
                        {kept.athlete.name}
                    </Link>
                    : intake
                </h1>
            </header>
            <Notice problem={problem} />
            {said && (
                <p role="status" className="mt-2 border-l-4 border-full pl-2">
                    {said}
                </p>
            )}
            <div className="grid gap-x-12 gap-y-8 pt-4 lg:grid-cols-[1.2fr_1fr]">
                <AskedOnce intake={intake} />
                <div className="grid content-start gap-7">
                    {me.decides && <Person intake={intake} />}
                    <Ladders intake={intake} ladders={ladders} />
                    <Marks intake={intake} />
                    <Height intake={intake} />
                    <HandSpan intake={intake} />
                    <OwnSizes intake={intake} />
                    <Conditions intake={intake} />
                    {me.decides && <SharedWith intake={intake} />}
                    {me.decides && <PersonalLinks intake={intake} />}
                    <OwnData intake={intake} />
                </div>
            </div>
        </main>
    );
}
