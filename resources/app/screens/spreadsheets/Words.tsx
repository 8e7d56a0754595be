import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Import } from '../../api/client';
import { Options } from '../../parts/Labelled';
import type { Choices } from './choices';

type Word = Import['skills'][number];
type Named = { id: string; name: string };

/** Said of a word so far: an id, null for “stays out”; not there: nothing yet. */
type Meanings = ReadonlyMap<string, string | null>;

const OUT = '-';

/** Words of the file that mean nothing here yet: somebody says it once for all rows they stand in. */
export function Words({ file, onSaid }: { file: Import; onSaid: (some: Partial<Choices>) => void }) {
    const skills = useQuery({ queryKey: ['skills'], queryFn: () => api('GET', '/api/skills') });
    const roster = useQuery({ queryKey: ['roster'], queryFn: () => api('GET', '/api/athletes') });
    const [ofSkills, setOfSkills] = useState<Meanings>(() => said(file.skills));
    const [ofAthletes, setOfAthletes] = useState<Meanings>(() => said(file.athletes));
    if (file.skills.length + file.athletes.length === 0) return null;
    const news = (words: Word[], now: Meanings): boolean =>
        words.some((each) => now.get(each.word) !== said(words).get(each.word));
    const changed = news(file.skills, ofSkills) || news(file.athletes, ofAthletes);
    return (
        <form
            className="my-2 max-w-3xl border-l-4 border-tape bg-page px-3 py-2"
            onSubmit={(event) => {
                event.preventDefault();
                onSaid({ skills: asList(ofSkills), athletes: asList(ofAthletes) });
            }}
        >
            <Asked
                title="What is this here?"
                words={file.skills}
                of={skills.data}
                said={ofSkills}
                onSay={setOfSkills}
            />
            <Asked
                title="Who is this?"
                words={file.athletes}
                of={roster.data?.athletes}
                said={ofAthletes}
                onSay={setOfAthletes}
            />
            <button className="btn mt-2" disabled={!changed}>
                Look at the rows again
            </button>
        </form>
    );
}

const said = (words: Word[]): Meanings =>
    new Map(words.filter((each) => each.rows === 0).map((each) => [each.word, each.means]));

const asList = (meanings: Meanings): Choices['athletes'] => [...meanings].map(([word, means]) => ({ word, means }));

function Asked({
    title,
    words,
    of = [],
    said,
    onSay,
}: {
    title: string;
    words: Word[];
    of: Named[] | undefined;
    said: Meanings;
    onSay: (said: Meanings) => void;
}) {
    if (words.length === 0) return null;
    const say = (word: string, value: string): void => {
        const next = new Map(said);
        if (value === '') next.delete(word);
        else next.set(word, value === OUT ? null : value);
        onSay(next);
    };
    return (
        <fieldset className="mb-1">
            <legend className="head">{title}</legend>
            {words.map((each) => {
                const means = said.get(each.word);
                return (
                    <label
                        key={each.word}
                        className="grid grid-cols-[1fr_14rem] items-center gap-3 border-b border-line py-1"
                    >
                        <span className="min-w-0 truncate">
                            “{each.word}”{' '}
                            {each.rows > 0 && (
                                <span className="text-soft">
                                    in {each.rows} {each.rows === 1 ? 'row' : 'rows'}
                                </span>
                            )}
                        </span>
                        <select
                            className="field"
                            value={means === undefined ? '' : (means ?? OUT)}
                            onChange={(event) => say(each.word, event.target.value)}
                        >
                            <option value="">Not said yet</option>
                            <option value={OUT}>Leave these rows out</option>
                            <Options of={of} />
                        </select>
                    </label>
                );
            })}
        </fieldset>
    );
}
