import { useState } from 'react';
import { type Me, signIn } from '../../api/client';
import { typed } from '../../parts/forms';
import { Notice } from '../../parts/Notice';
import { LabelledInput } from '../../parts/Labelled';

/** Used as a screen of its own, and laid over any other when a session has ended. */
export function SignIn({ onSignedIn, again = false }: { onSignedIn: (me: Me) => void; again?: boolean }) {
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    return (
        <form
            className="grid gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                const form = new FormData(event.currentTarget);
                setBusy(true);
                setProblem(null);
                signIn(typed(form, 'email'), form.get('password') as string)
                    .then(onSignedIn, setProblem)
                    .finally(() => setBusy(false));
            }}
        >
            {again && (
                <p>
                    Your session has ended. What you entered is kept on this device and is sent as soon as you are
                    signed in.
                </p>
            )}
            <LabelledInput label="E-mail" name="email" type="email" autoComplete="username" required autoFocus />
            <LabelledInput label="Password" name="password" type="password" autoComplete="current-password" required />
            <Notice problem={problem} />
            <button className="btn btn-main" style={{ minHeight: '3rem' }} disabled={busy}>
                {busy ? 'Signing in…' : 'Sign in'}
            </button>
        </form>
    );
}

export function SignInScreen({ onSignedIn }: { onSignedIn: (me: Me) => void }) {
    return (
        <main className="mx-auto grid min-h-dvh max-w-4xl items-center gap-10 p-6 sm:grid-cols-[1.2fr_1fr]">
            <div>
                <h1 className="text-5xl">Augendo</h1>
                <div className="relative my-5 h-8 max-w-md" aria-hidden="true">
                    <div className="notches absolute inset-0 border-y border-ink/60 bg-tape" />
                    <div className="absolute inset-y-0 left-0 w-[46%] bg-[#14201c]" />
                    <div className="hatch absolute inset-y-0 left-[46%] w-[21%]" />
                    <div className="absolute -inset-y-1.5 right-0 w-1 bg-ink" />
                </div>
                <p className="max-w-md text-lg">
                    How many throws, serves and landings are left today, for each athlete, and which limit is full then.
                    And whether they are ready for the next rung, with the evidence.
                </p>
            </div>
            <section aria-label="Sign in" className="border-l-2 border-ink pl-6">
                <SignIn onSignedIn={onSignedIn} />
            </section>
        </main>
    );
}
