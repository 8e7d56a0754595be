import type { UseQueryResult } from '@tanstack/react-query';
import { Problem } from '../api/client';
import { Loading, Notice } from './Notice';
import { StartHere } from './StartHere';

/**
 * What stands in place of a screen until its data is there: that it is fetched, or why it could not be, and the way
 * out.
 */
export function Waiting({ query, what }: { query: UseQueryResult; what: string }) {
    if (!query.error)
        return (
            <main>
                <Loading what={what} />
            </main>
        );
    if (query.error instanceof Problem && query.error.type === '/problems/no-squad-yet')
        return <StartHere why={query.error.message} />;
    return (
        <main className="p-6">
            <Notice problem={query.error}>
                <button type="button" className="btn mt-2" onClick={() => void query.refetch()}>
                    Try again
                </button>
            </Notice>
        </main>
    );
}
