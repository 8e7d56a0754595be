import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, firstToken } from '../../api/client';
import { seated } from '../../offline/store';
import { noteActive } from '../../offline/useLock';
import { Loading, Notice } from '../../parts/Notice';
import { LabelledInput } from '../../parts/Labelled';
import { typed, typedAsIs } from '../../parts/forms';

/** Behind an invitation or a link for a new password. The token stands after the #, which browsers send to nobody. */
export function JoinScreen() {
    const [token] = useState(() => window.location.hash.slice(1));
    const [problem, setProblem] = useState<unknown>(null);
    const link = useQuery({
        queryKey: ['join', token],
        queryFn: () => api('GET', '/api/link/entry', undefined, { linkToken: token }),
        staleTime: Infinity,
        refetchOnWindowFocus: false,
    });
    if (link.error)
        return (
            <main className="mx-auto max-w-md p-6">
                <h1 className="text-2xl">Augendo</h1>
                <Notice problem={link.error} />
            </main>
        );
    if (!link.data)
        return (
            <main>
                <Loading what="the invitation" />
            </main>
        );
    const { purpose, workspace, name, role } = link.data;
    return (
        <main className="mx-auto max-w-md p-6">
            <h1 className="text-2xl">{purpose === 'invitation' ? `Join ${workspace}` : 'A new password'}</h1>
            <p className="mt-1 text-soft">
                {purpose === 'invitation'
                    ? `You are invited as ${role}. You see what that role sees, nothing else.`
                    : `For ${name}. Everywhere else you are signed out.`}
            </p>
            <form
                className="mt-4 grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    const given = {
                        password: typedAsIs(form, 'password'),
                        ...(purpose === 'invitation' ? { name: typed(form, 'name'), email: typed(form, 'email') } : {}),
                    };
                    firstToken()
                        .then(() => api('POST', '/api/link/entry', given, { linkToken: token }))
                        .then((me) => {
                            seated(me);
                            noteActive();
                            window.location.assign('/');
                        })
                        .catch(setProblem);
                }}
            >
                {purpose === 'invitation' && (
                    <>
                        <LabelledInput label="Your name" name="name" required defaultValue={name} autoComplete="name" />
                        <LabelledInput
                            label="E-mail, to sign in with"
                            name="email"
                            type="email"
                            required
                            autoComplete="username"
                        />
                    </>
                )}
                <LabelledInput
                    label="Password, ten characters or more"
                    name="password"
                    type="password"
                    required
                    minLength={10}
                    autoComplete="new-password"
                />
                <Notice problem={problem} />
                <button className="btn btn-main">{purpose === 'invitation' ? 'Join' : 'Save this password'}</button>
            </form>
        </main>
    );
}
