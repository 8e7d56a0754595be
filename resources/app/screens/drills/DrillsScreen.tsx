import { useQuery } from '@tanstack/react-query';
import { Link } from '@tanstack/react-router';
import { useDeferredValue, useState } from 'react';
import { api, type DrillCard } from '../../api/client';
import { DRILL_WITH, LOADED_PARTS } from '../../parts/dose';
import { Figure } from '../../parts/Figure';
import { HandSwitch, type Hand } from '../../parts/HandSwitch';
import { Notice } from '../../parts/Notice';
import { Waiting } from '../../parts/Waiting';
import { OwnDrills } from './OwnDrills';

const EXAMPLES = ['elbow drops', 'no partner', 'indoors', 'sore wrist', 'from a chair'];

const LOADS = new Map(LOADED_PARTS);
const WITH = new Map(DRILL_WITH);

/** Which drill mends it, with the people, the place and the body there are today? */
export function DrillsScreen() {
    const [words, setWords] = useState('');
    const [hand, setHand] = useState<Hand>('right');
    const asked = useDeferredValue(words.trim());
    const query = useQuery({
        queryKey: ['drills', asked, hand],
        queryFn: () => api('GET', `/api/drills?hand=${hand}&words=${encodeURIComponent(asked)}`),
        placeholderData: (before) => before,
        staleTime: 60_000,
    });
    if (!query.data) return <Waiting query={query} what="the drills" />;
    const { understood, refers, all, drills } = query.data;
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="flex flex-wrap items-end gap-4 border-b-2 border-ink py-3">
                <div className="max-w-prose">
                    <p className="label">
                        <Link to="/library" className="hover:underline">
                            Library
                        </Link>
                    </p>
                    <h1 className="text-2xl">Drills</h1>
                    <p className="text-soft">
                        Whether anything may be done today is what the word of the day says, not this page.
                    </p>
                </div>
                <span className="grow" />
                <OwnDrills />
                <HandSwitch hand={hand} onHand={setHand} />
                <label className="grid w-full gap-1 sm:w-96">
                    <span className="label">A fault, a cue, who is there, where, what is sore</span>
                    <input
                        className="field"
                        type="search"
                        maxLength={200}
                        placeholder="toss, no partner, indoors"
                        value={words}
                        onChange={(event) => setWords(event.target.value)}
                    />
                </label>
            </header>
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
                <p role="status" className="label">
                    {drills.length} of {all} drills
                </p>
                {understood.map((each) => (
                    <p key={each} className="text-soft">
                        {each}
                    </p>
                ))}
                <span className="grow" />
                {EXAMPLES.filter((each) => !words.includes(each)).map((each) => (
                    <button
                        key={each}
                        type="button"
                        className="btn btn-quiet"
                        onClick={() => setWords(words.trim() === '' ? each : `${words.trim()}, ${each}`)}
                    >
                        {each}
                    </button>
                ))}
            </div>
            <Notice problem={query.error} />
            {refers && <p className="border-l-4 border-stop pl-3 text-lg">{refers}</p>}
            {drills.length === 0 && refers === null && (
                <p className="py-6 text-lg">No drill says that. Take a word away, or try a shorter one: “elbow”.</p>
            )}
            <ul className="gap-x-12 lg:columns-2">
                {drills.map((drill) => (
                    <Card key={[drill.title, ...drill.ladders, drill.text, drill.seated].join('|')} drill={drill} />
                ))}
            </ul>
        </main>
    );
}

function Card({ drill }: { drill: DrillCard }) {
    const loads = drill.loads.map((part) => LOADS.get(part)).join(', ');
    return (
        <li className="break-inside-avoid border-b border-line py-2">
            {drill.picture && (
                <div className="float-right ml-3">
                    <Figure pose={drill.picture} small />
                </div>
            )}
            <h2 className="text-base">
                {drill.title}
                {drill.safety && <span className="label ml-2 text-stop">can hurt</span>}
            </h2>
            {drill.mends && (
                <p>
                    <span className="text-soft">Mends:</span> {drill.mends.toLowerCase()}. “{drill.cue}”
                </p>
            )}
            <p>{drill.text}</p>
            <p className="text-sm text-soft">
                {drill.dose && `${drill.dose}. `}
                {(WITH.get(drill.with) ?? '').replace(/^./, (letter) => letter.toUpperCase())};{' '}
                {loads === '' ? 'loads nothing' : `loads ${loads}`}
                {drill.far ? '; needs a sector' : ''}
                {drill.seated ? '; can be done from a chair' : ''}.{drill.stop && ` Stop: ${drill.stop}`}
            </p>
            {drill.ladders.length > 0 && <p className="label">{drill.ladders.join(' · ')}</p>}
        </li>
    );
}
