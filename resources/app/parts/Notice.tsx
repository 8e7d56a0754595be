import type { ReactNode } from 'react';
import { Problem } from '../api/client';

/** Something went another way than asked: what, where, and the way out. */
export function Notice({ problem, children }: { problem: unknown; children?: ReactNode }) {
    if (problem == null) return null;
    const known =
        problem instanceof Problem
            ? problem
            : new Problem(
                  500,
                  'This did not work',
                  problem instanceof Error ? problem.message : JSON.stringify(problem),
              );
    const places = Object.entries(known.errors).filter(([, messages]) =>
        messages.some((message) => !known.message.includes(message)),
    );
    return (
        <div role="alert" className="my-3 border-l-4 border-stop bg-page px-3 py-2">
            <p className="head text-stop">{known.title}</p>
            <p>{known.message}</p>
            {places.length > 0 && (
                <ul className="mt-1 list-disc pl-5">
                    {places.map(([path, messages]) => (
                        <li key={path}>
                            <span className="text-soft">{path}:</span> {messages.join(' ')}
                        </li>
                    ))}
                </ul>
            )}
            {children}
        </div>
    );
}

export function Loading({ what }: { what: string }) {
    return (
        <p role="status" className="p-6 text-soft">
            Fetching {what}…
        </p>
    );
}
