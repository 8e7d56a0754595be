import { useQuery } from '@tanstack/react-query';
import { useNavigate } from '@tanstack/react-router';
import { clsx } from 'clsx';
import { type KeyboardEvent, useMemo, useState } from 'react';
import { api } from '../api/client';
import { found, type Findable } from '../rules/find';
import { Sheetlet } from './Sheetlet';

const MOST = 9;

/** From anywhere to an athlete, a ladder or a screen: a few letters and Enter. */
export function Find({ screens, onClose }: { screens: (readonly [to: string, label: string])[]; onClose: () => void }) {
    const navigate = useNavigate();
    const [typed, setTyped] = useState('');
    const [at, setAt] = useState(0);
    const roster = useQuery({ queryKey: ['roster'], queryFn: () => api('GET', '/api/athletes') });
    const ladders = useQuery({ queryKey: ['ladders'], queryFn: () => api('GET', '/api/ladders') });
    const all = useMemo(() => {
        const squads = new Map(roster.data?.squads.map((squad) => [squad.id, squad.name]));
        return [
            ...(roster.data?.athletes ?? []).map((athlete): Findable => ({
                name: athlete.name,
                about: athlete.retired_on
                    ? 'retired'
                    : athlete.squads.flatMap((squad) => squads.get(squad) ?? []).join(', '),
                to: `/athletes/${athlete.id}`,
            })),
            ...screens.map(([to, name]): Findable => ({ name, about: 'screen', to })),
            ...(ladders.data ?? []).map((ladder): Findable => ({
                name: ladder.name,
                about: 'ladder',
                to: `/library/${ladder.id}`,
            })),
        ];
    }, [roster.data, ladders.data, screens]);
    const hits = found(typed, all, MOST);
    const go = (hit: Findable | undefined): void => {
        if (hit === undefined) return;
        onClose();
        void navigate({ to: hit.to });
    };
    const onKeyDown = (event: KeyboardEvent): void => {
        const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        if (step !== 0) {
            event.preventDefault();
            setAt((at + step + hits.length) % Math.max(1, hits.length));
        } else if (event.key === 'Enter') {
            event.preventDefault();
            go(hits[at]);
        }
    };
    return (
        <Sheetlet open onClose={onClose} title="Find">
            <input
                aria-label="An athlete, a ladder or a screen"
                role="combobox"
                aria-expanded
                aria-controls="found"
                aria-activedescendant={hits[at] ? `found-${at}` : undefined}
                className="field w-full text-lg"
                placeholder="An athlete, a ladder, a screen"
                autoFocus
                value={typed}
                onChange={(event) => {
                    setTyped(event.target.value);
                    setAt(0);
                }}
                onKeyDown={onKeyDown}
            />
            <ul id="found" role="listbox" aria-label="Found" className="mt-2">
                {hits.map((hit, i) => (
                    <li
                        key={hit.to}
                        id={`found-${i}`}
                        role="option"
                        aria-selected={i === at}
                        className={clsx(
                            'flex min-h-11 cursor-pointer items-center gap-3 border-b border-line px-2',
                            i === at && 'bg-faint',
                        )}
                        onMouseEnter={() => setAt(i)}
                        onClick={() => go(hit)}
                    >
                        <span className="head grow truncate">{hit.name}</span>
                        <span className="truncate text-sm text-soft">{hit.about}</span>
                    </li>
                ))}
            </ul>
            {hits.length === 0 && (
                <p className="py-3 text-soft">
                    {roster.isPending ? 'Looking.' : `Nothing is called “${typed}”. Try a name.`}
                </p>
            )}
            <p className="mt-2 hidden text-sm text-soft sm:block">
                <kbd>/</kbd> or <kbd>Ctrl</kbd> <kbd>K</kbd> opens this anywhere.
            </p>
        </Sheetlet>
    );
}
