import { useState } from 'react';
import { canHaveCode, hasCode, isCode, MOST_TRIES, setCode, triesMade } from '../offline/useLock';

/** Four digits, on keys large enough for cold hands. */
function Digits({ onCode, again }: { onCode: (code: string) => void; again: number }) {
    const [typed, setTyped] = useState('');
    const press = (digit: string): void => {
        const next = typed + digit;
        if (next.length < 4) return setTyped(next);
        setTyped('');
        onCode(next);
    };
    return (
        <div key={again}>
            <input
                className="field mb-2 w-full text-center text-2xl tracking-[0.6em]"
                type="password"
                inputMode="numeric"
                pattern="[0-9]*"
                maxLength={4}
                autoComplete="off"
                autoFocus
                aria-label="Code of four digits"
                value={typed}
                onChange={(event) => {
                    const digits = event.target.value.replace(/\D/g, '');
                    if (digits.length === 4) {
                        setTyped('');
                        onCode(digits);
                    } else setTyped(digits);
                }}
            />
            <div className="grid grid-cols-3 gap-1.5">
                {['1', '2', '3', '4', '5', '6', '7', '8', '9', 'Back', '0'].map((key) => (
                    <button
                        key={key}
                        type="button"
                        className="btn thumb text-xl"
                        onClick={() => (key === 'Back' ? setTyped(typed.slice(0, -1)) : press(key))}
                    >
                        {key}
                    </button>
                ))}
            </div>
        </div>
    );
}

/**
 * Nobody touched the device for ten minutes: whoever picks it up now says who they are first. Counting goes on
 * without.
 */
export function Locked({
    name,
    onUnlock,
    onSignOut,
    password,
}: {
    name: string;
    onUnlock: () => void;
    onSignOut: () => void;
    password: React.ReactNode;
}) {
    const [tries, setTries] = useState(triesMade);
    const [choseIt, setChoseIt] = useState(!hasCode() || !canHaveCode());
    const byPassword = choseIt || tries >= MOST_TRIES;
    const attempt = async (code: string): Promise<void> => {
        if (await isCode(code)) return onUnlock();
        setTries(triesMade());
    };
    return (
        <main className="mx-auto grid min-h-dvh max-w-sm content-center gap-4 p-6">
            <h1 className="text-2xl">{name}, are you still here?</h1>
            <p>
                Nobody has touched this device for ten minutes.{' '}
                {byPassword ? 'Sign in to go on.' : 'Your code of four digits, to go on.'} Nothing is lost meanwhile.
            </p>
            {byPassword ? password : <Digits onCode={(code) => void attempt(code)} again={tries} />}
            {tries > 0 && (
                <p role="alert" className="text-stop">
                    {byPassword
                        ? `The code was wrong ${tries} times.`
                        : `Not this code. ${MOST_TRIES - tries} more ` +
                          `${MOST_TRIES - tries === 1 ? 'try' : 'tries'}, then the password is asked.`}
                </p>
            )}
            <p className="flex flex-wrap gap-2 border-t border-line pt-3">
                {!byPassword && (
                    <button type="button" className="btn" onClick={() => setChoseIt(true)}>
                        With the password
                    </button>
                )}
                <button type="button" className="btn" onClick={onSignOut}>
                    I am somebody else
                </button>
            </p>
        </main>
    );
}

/** Chooses the code that ends the ten-minute lock on this device. */
export function ChooseCode() {
    const [state, setState] = useState<'closed' | 'first' | 'second' | 'differs' | 'kept'>('closed');
    const [first, setFirst] = useState('');
    if (!canHaveCode()) return null;
    const choose = (code: string): void => {
        if (state === 'first' || state === 'differs') {
            setFirst(code);
            setState('second');
        } else if (code !== first) {
            setState('differs');
        } else {
            void setCode(code).then(() => setState('kept'));
        }
    };
    return (
        <div className="mt-2 border-t border-line pt-2">
            <p className="label">After ten minutes idle</p>
            {state === 'closed' && (
                <button type="button" className="btn" onClick={() => setState('first')}>
                    {hasCode() ? 'Change the code of this device' : 'Choose a code for this device'}
                </button>
            )}
            {state === 'kept' && <p role="status">Saved. The code holds on this device.</p>}
            {['first', 'second', 'differs'].includes(state) && (
                <>
                    <p role="status" className="mb-1">
                        {state === 'second'
                            ? 'The same four digits again.'
                            : state === 'differs'
                              ? 'The two differ. Four digits, from the start.'
                              : 'Four digits that nobody would guess.'}
                    </p>
                    <Digits onCode={choose} again={state === 'second' ? 1 : 0} />
                </>
            )}
        </div>
    );
}
