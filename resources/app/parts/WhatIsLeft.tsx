import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type AthleteCard, type Sheet, type Swap } from '../api/client';
import { doseInWords, nowWithOffset } from '../api/words';
import { flush, keepReports, newId } from '../offline/store';
import { Notice } from './Notice';
import { Sheetlet } from './Sheetlet';
import { Waiting } from './Waiting';
import { clsx } from 'clsx';

type Ask = Swap['asks'][number];
type Line = Swap['lines'][number];
const SCORES = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10];

/** The work of the day is gone: what is left, as a session to take up in one touch. A sore place is asked first. */
export function WhatIsLeft({
    sheetId,
    athlete,
    onTaken,
    onClose,
}: {
    sheetId: string;
    athlete: AthleteCard;
    onTaken: (sheet: Sheet) => void;
    onClose: () => void;
}) {
    const queries = useQueryClient();
    const swap = useQuery({
        queryKey: ['swap', sheetId],
        // What this device still holds counts: it is sent before anything is asked.
        queryFn: () => flush().then(() => api('GET', `/api/sheets/${sheetId}/swap`)),
        staleTime: 0,
    });
    const [problem, setProblem] = useState<unknown>(null);
    const [taking, setTaking] = useState(false);
    // One id for one wish: a second touch while the first is under way is the same.
    const [id] = useState(newId);
    const take = (version: number): void => {
        setTaking(true);
        api('POST', `/api/sheets/${sheetId}/swap`, { id, version })
            .then(async (sheet) => {
                await queries.invalidateQueries();
                onTaken(sheet);
            }, setProblem)
            .finally(() => setTaking(false));
    };
    const answer = (ask: Ask, score: number): void => {
        const { site, side, kind, moment } = ask;
        keepReports(athlete.id, [{ id: newId(), at: nowWithOffset(), site, side, kind, moment, score, note: null }])
            .then(flush)
            .then(() => queries.invalidateQueries())
            .catch(setProblem);
    };
    return (
        <Sheetlet open wide onClose={onClose} title={`What ${athlete.given_name} can do today`}>
            <Notice problem={problem} />
            {swap.data ? (
                <Offer swap={swap.data} taking={taking} onAnswer={answer} onTake={() => take(swap.data.version)} />
            ) : (
                <Waiting query={swap} what="what is left" />
            )}
        </Sheetlet>
    );
}

function Offer({
    swap,
    taking,
    onAnswer,
    onTake,
}: {
    swap: Swap;
    taking: boolean;
    onAnswer: (ask: Ask, score: number) => void;
    onTake: () => void;
}) {
    const [ask] = swap.asks;
    return (
        <>
            <p className="text-soft">{swap.why.join(' ')}</p>
            {ask && <AskAgain key={`${ask.site} ${ask.side}`} ask={ask} onAnswer={(score) => onAnswer(ask, score)} />}
            <p className="head mt-3 text-lg">
                {swap.instead} {swap.minutes !== null && <span className="label">{swap.minutes} min</span>}
            </p>
            <Left lines={swap.lines} />
            {swap.out.length > 0 && (
                <p className="mt-2 text-sm text-soft">
                    Not today: {swap.out.join(', ')}.
                    {swap.objects_out.length > 0 && ` Stays in the bag: ${swap.objects_out.join(', ')}.`}
                </p>
            )}
            {swap.lines.length > 0 && (
                // In reach however long the list is.
                <div className="sticky -bottom-4 -mx-4 -mb-4 bg-page px-4 py-3 sm:-bottom-5 sm:-mx-5 sm:-mb-5 sm:px-5">
                    <button
                        type="button"
                        className="btn btn-main thumb w-full text-lg"
                        disabled={taking || ask !== undefined}
                        onClick={onTake}
                    >
                        {ask ? 'Ask first how it is now' : 'Take this session'}
                    </button>
                </div>
            )}
        </>
    );
}

/** It may have eased, or got worse: the answer is a report like any other, and what is left follows it. */
function AskAgain({ ask, onAnswer }: { ask: Ask; onAnswer: (score: number) => void }) {
    const [answered, setAnswered] = useState<number | null>(null);
    return (
        <fieldset className="mt-2 border-l-4 border-reduced pl-3" disabled={answered !== null}>
            <legend className="head float-left mb-1 w-full">
                {ask.said} How is it now? <span className="label">0 nothing, 10 the worst</span>
            </legend>
            <div className="clear-both grid grid-cols-6 gap-1 sm:grid-cols-11">
                {SCORES.map((score) => (
                    <button
                        key={score}
                        type="button"
                        className={clsx(
                            'btn min-h-12 px-0',
                            score === (answered ?? ask.score) && 'border-2 border-ink',
                        )}
                        onClick={() => {
                            setAnswered(score);
                            onAnswer(score);
                        }}
                    >
                        {score}
                        {score === ask.score && <span className="sr-only">, as before</span>}
                    </button>
                ))}
            </div>
        </fieldset>
    );
}

function Left({ lines }: { lines: Line[] }) {
    return (
        <ol className="mt-1">
            {lines.map((line, i) => (
                <li
                    key={`${i} ${line.title}`}
                    className="grid gap-x-4 border-t border-line py-1.5 sm:grid-cols-[6rem_1fr_auto]"
                >
                    <span className="label">{line.kind_name}</span>
                    <span>
                        <span className="head">{line.title}</span>
                        {line.judged && <span className="label"> · judged</span>}
                        <span className="block text-sm text-soft">{line.text}</span>
                        <span className="block text-sm">
                            {line.from} <span className="text-reduced">{line.trims.join(' ')}</span>
                        </span>
                    </span>
                    <span className="figure whitespace-nowrap sm:text-right">{doseInWords(line)}</span>
                </li>
            ))}
        </ol>
    );
}
