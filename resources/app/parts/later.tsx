import { type ComponentType, lazy, Suspense } from 'react';

/** A part that is fetched when it is first shown: it is no part of what the first screen waits for. */
export function later<Props extends object>(fetch: () => Promise<ComponentType<Props>>): ComponentType<Props> {
    const Part = lazy(async () => ({ default: await fetch() }));
    return function Later(props: Props) {
        return (
            <Suspense fallback={null}>
                <Part {...props} />
            </Suspense>
        );
    };
}
