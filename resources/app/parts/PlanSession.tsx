import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type SessionMade, type Today } from '../api/client';
import { useMe } from './Frame';
import { Notice } from './Notice';
import { Sheetlet } from './Sheetlet';

/** A session for the squad: everybody on a ladder gets a sheet, fitted to that day. */
export function PlanSession({ squad, open, onClose }: { squad: Today['squad']; open: boolean; onClose: () => void }) {
    const me = useMe();
    const queries = useQueryClient();
    const [problem, setProblem] = useState<unknown>(null);
    const [made, setMade] = useState<SessionMade | null>(null);
    const close = (): void => { setMade(null); setProblem(null); onClose(); };
    return (
        <Sheetlet open={open} onClose={close} title={`Plan a session for ${squad.name}`}>
            {made !== null ? (
                <div className="grid gap-3"><p className="text-lg">{made.sheets} {made.sheets === 1 ? 'sheet is' : 'sheets are'} fitted to the limits.</p>{made.left_out.length > 0 && <ul className="border-l-4 border-tape pl-3">{made.left_out.map((each) => <li key={each}>{each}.</li>)}</ul>}<button type="button" className="btn btn-main" onClick={close}>Done</button></div>
            ) : (
                <form className="grid gap-3" onSubmit={(event) => {
                    event.preventDefault();
                    api<SessionMade>('POST', `/api/squads/${squad.id}/sessions`, Object.fromEntries(new FormData(event.currentTarget))).then((answer) => { setMade(answer); setProblem(null); void queries.invalidateQueries(); }, setProblem);
                }}>
                    <div className="grid grid-cols-2 gap-2"><label className="grid gap-1"><span className="label">Day</span><input className="field" type="date" name="day" required min={me.today} defaultValue={me.today} /></label><label className="grid gap-1"><span className="label">Starts at</span><input className="field" type="time" name="starts_at" required defaultValue="17:00" /></label></div>
                    <label className="grid gap-1"><span className="label">What it is called</span><input className="field" name="title" required defaultValue="Evening session" /></label>
                    <Notice problem={problem} />
                    <button className="btn btn-main">Make the sheets</button>
                </form>
            )}
        </Sheetlet>
    );
}
