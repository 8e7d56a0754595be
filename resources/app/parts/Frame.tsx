import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, Outlet, useLocation } from '@tanstack/react-router';
import { type ComponentType, createContext, useContext, useEffect, useState } from 'react';
import { type Me, Problem, signedOut } from '../api/client';
import { dayName } from '../api/words';
import { flush, seated, signOut, whoIsHere } from '../offline/store';
import { noteActive, useLock } from '../offline/useLock';
import { useOthers } from '../offline/useUnsent';
import { UnsentMark } from './KeptHere';
import { Notice } from './Notice';
import { Opens } from './Opens';
import { later } from './later';
import { UpdateOffer } from './UpdateOffer';
import { useFinding } from './useFinding';
import { Search } from 'lucide-react';

const Sheetlet = later(async () => (await import('./Sheetlet')).Sheetlet);
const Find = later(async () => (await import('./Find')).Find);
const Locked = later(async () => (await import('./Locked')).Locked);
const Account = later(async () => (await import('./Account')).Account);

const MeContext = createContext<Me | null>(null);

/** Who is signed in. */
export function useMe(): Me {
    const me = useContext(MeContext);
    if (!me) throw new Error('useMe outside of a signed-in frame');
    return me;
}

/** The frame around every screen: who is signed in, what is not sent yet, and the way back to Today. */
export function Frame({
    SignIn,
    SignInScreen,
}: {
    SignIn: ComponentType<{ onSignedIn: (me: Me) => void; again?: boolean }>;
    SignInScreen: ComponentType<{ onSignedIn: (me: Me) => void }>;
}) {
    const queries = useQueryClient();
    // Not asked anew when the window gets the focus: while it is asked, the form that somebody is filling in would be
    // gone.
    const me = useQuery({
        queryKey: ['me'],
        queryFn: whoIsHere,
        retry: false,
        staleTime: Infinity,
        refetchOnWindowFocus: false,
    });
    const [ended, setEnded] = useState(false);
    const { locked, unlock } = useLock();
    const path = useLocation({ select: (location) => location.pathname });
    useEffect(() => {
        const listen = (): void => setEnded(true);
        signedOut.addEventListener('signed-out', listen);
        return () => signedOut.removeEventListener('signed-out', listen);
    }, []);

    const signedIn = async (who: Me): Promise<void> => {
        // An answer from before the sign-in, still on its way, must not say “signed out” afterwards.
        await queries.cancelQueries({ queryKey: ['me'] });
        if (me.data && me.data.key !== who.key) {
            // Somebody else: nothing that was on screen is theirs.
            seated(who);
            noteActive();
            window.location.assign('/');
            return;
        }
        seated(who);
        unlock();
        queries.setQueryData(['me'], who);
        setEnded(false);
        // What was asked while it was being sent may be answered without it: asked anew, the first answer too.
        void flush()
            .then(() => queries.cancelQueries())
            .then(() => queries.invalidateQueries());
    };
    if (me.error instanceof Problem && me.error.status === 401)
        return <SignInScreen onSignedIn={(who) => void signedIn(who)} />;
    if (!me.data)
        return me.error ? (
            <div className="p-6">
                <Notice problem={me.error} />
                <button type="button" className="btn" onClick={() => void me.refetch()}>
                    Try again
                </button>
            </div>
        ) : null;
    const counting = ['/courtside', '/line', '/clock', '/match'].some((end) => path.endsWith(end));
    if (locked && !counting)
        return (
            <Locked
                name={me.data.name}
                onUnlock={unlock}
                onSignOut={() => void leave()}
                password={<SignIn onSignedIn={(who) => void signedIn(who)} />}
            />
        );
    return (
        <MeContext value={me.data}>
            {!counting && <TopBar me={me.data} />}
            {!counting && <UpdateOffer />}
            {!counting && <Others />}
            {!counting && me.data.code && (
                <p role="status" className="border-b border-line bg-faint px-4 py-1.5 sm:px-6">
                    <strong>This account is not confirmed yet.</strong> Meet the head coach and show the code under your
                    name; until then it clears nobody.
                </p>
            )}
            <Outlet />
            {ended && (
                <Sheetlet open title="Sign in again">
                    <SignIn again onSignedIn={(who) => void signedIn(who)} />
                </Sheetlet>
            )}
        </MeContext>
    );
}

async function leave(): Promise<void> {
    await signOut();
    window.location.assign('/');
}

/** Somebody else has taps here that only they can send: how many, and the way to hand the device back. */
function Others() {
    const others = useOthers();
    return others.map(({ name, taps }) => (
        <p
            key={name}
            role="status"
            className="flex flex-wrap items-center gap-x-3 border-b border-line bg-faint px-4 py-1.5 sm:px-6"
        >
            <span>
                <strong>
                    {name} has {taps} {taps === 1 ? 'tap' : 'taps'} not sent
                </strong>{' '}
                on this device. Until they come, their athletes get the dose of somebody not checked in.
            </span>
            <button type="button" className="btn" onClick={() => void leave()}>
                Hand the device back to {name}
            </button>
        </p>
    ));
}

/** Where one goes from anywhere. On a phone the first few stand in the bar, the rest one touch away. */
const PLACES = [
    ['/', 'Today'],
    ['/roll-call', 'Roll call'],
    ['/calendar', 'Calendar'],
    ['/athletes', 'Athletes'],
    ['/gates', 'Gates'],
    ['/returns', 'Returns'],
    ['/library', 'Library'],
    ['/limits', 'Limits'],
] as const;
const ON_A_PHONE = 4;

function TopBar({ me }: { me: Me }) {
    const [finding, setFinding] = useFinding();
    const places = [...PLACES, ...(me.decides ? [['/people', 'People'] as const] : [])];
    const findable = [
        ...places,
        ['/venues', 'Venues'] as const,
        ...(me.decides ? [['/spreadsheets', 'Spreadsheets'] as const, ['/devices', 'Devices'] as const] : []),
    ];
    const place = ([to, label]: readonly [string, string], className: string) => (
        <Link
            key={to}
            to={to}
            className={`head ${className}`}
            activeOptions={{ exact: to === '/' }}
            activeProps={{ className: 'underline decoration-tape decoration-4 underline-offset-8' }}
        >
            {label}
        </Link>
    );
    const account = <Account me={me} onLeave={() => void leave()} />;
    return (
        <nav
            aria-label="Augendo"
            className="flex flex-wrap items-baseline gap-x-3 border-b-2 border-ink px-4 py-2 sm:gap-x-5 sm:px-6"
        >
            <Link to="/" className="head hidden text-xl sm:inline">
                Augendo
            </Link>
            {places.map((each, i) => place(each, i < ON_A_PHONE ? '' : 'hidden sm:inline'))}
            <span className="grow" />
            <UnsentMark />
            <button
                type="button"
                className="inline-flex self-center"
                aria-label="Find an athlete, a ladder or a screen"
                onClick={() => setFinding(true)}
            >
                <Search size={18} aria-hidden />
            </button>
            <span className="hidden text-soft lg:inline">{dayName(me.today, true)}</span>
            <span className="hidden sm:inline">
                <Opens label="Who is signed in" content={account}>
                    {me.name}
                </Opens>
            </span>
            <span className="sm:hidden">
                <Opens
                    label="More places, and who is signed in"
                    content={
                        <div className="grid gap-1">
                            {places.slice(ON_A_PHONE).map((each) => place(each, 'block min-h-11 py-2'))}
                            <div className="border-t border-line pt-2">{account}</div>
                        </div>
                    }
                >
                    More
                </Opens>
            </span>
            {finding && <Find screens={findable} onClose={() => setFinding(false)} />}
        </nav>
    );
}
