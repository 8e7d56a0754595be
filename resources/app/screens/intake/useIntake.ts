import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type Given, type Intake } from '../../api/client';
import type { Body } from '../../api/typed';
import { newId } from '../../offline/store';

/** The intake of one athlete as it is read and changed here. */
export function useIntake(athleteId: string) {
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const [said, setSaid] = useState<string | null>(null);
    const id = useRef(newId());
    const path = `/api/athletes/${athleteId}` as const;
    return {
        path,
        problem,
        setProblem,
        said,
        /** The id of what is entered next: sent twice, it is kept once. */
        nextId: (): string => id.current,
        /**
         * Sends a change whose answer is the intake anew. True once it is kept; what was typed stays in its form
         * until then.
         */
        send: async <M extends 'POST' | 'PUT', const To extends string>(
            method: M,
            to: To,
            body: Body<M, `/api/athletes/${string}${To}`>,
            words: string,
        ): Promise<boolean> => {
            try {
                const answer = await api(
                    method,
                    `${path}${to}`,
                    ...([body] as Given<M, `/api/athletes/${string}${To}`>),
                );
                id.current = newId();
                queries.setQueryData(['intake', athleteId], answer);
                void queries.invalidateQueries({ queryKey: ['athlete', athleteId] });
                setProblem(null);
                setSaid(words);
                return true;
            } catch (refusal) {
                setProblem(refusal);
                return false;
            }
        },
        reload: () => queries.invalidateQueries({ queryKey: ['intake', athleteId] }),
    };
}

/** What every part of the intake is given. */
export type Editing = ReturnType<typeof useIntake> & { kept: Intake };
