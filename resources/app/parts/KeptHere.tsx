import { useState } from 'react';
import { dropSetAside, sendAgain, type SetAside, setAside } from '../offline/store';
import { useKept } from '../offline/useKept';
import { useUnsent } from '../offline/useUnsent';
import { later } from './later';
import { saveText } from './saveFile';

const Sheetlet = later(async () => (await import('./Sheetlet')).Sheetlet);

/** Says what lies on this device only; opens to what the server refused, with the reason and the ways out. */
export function UnsentMark() {
    const { waiting, refused, held, clips, away, stores } = useUnsent();
    const [open, setOpen] = useState(false);
    if (waiting === 0 && refused === 0 && held === 0 && clips === 0 && !away && stores) return null;
    const said = [
        away ? 'No connection, as last seen' : null,
        waiting > 0 ? `${waiting} not sent yet` : null,
        clips > 0 ? `${clips} measured ${clips === 1 ? 'clip' : 'clips'} not sent yet` : null,
        held > 0 ? `${held} held by this page alone` : null,
        stores ? null : 'this device stores nothing',
    ]
        .filter((each) => each !== null)
        .join(', ');
    return (
        <>
            <span role="status" className="head text-reduced first-letter:uppercase">
                {said}
            </span>
            {refused > 0 && (
                <button type="button" className="head ml-2 text-stop underline" onClick={() => setOpen(true)}>
                    {refused} refused, kept here
                </button>
            )}
            {open && <SetAsideList onClose={() => setOpen(false)} />}
        </>
    );
}

const NONE: SetAside[] = [];

/** What the server refused for good: nothing of it is lost, and none of it holds up the rest. */
function SetAsideList({ onClose }: { onClose: () => void }) {
    const items = useKept(setAside, NONE);
    const [written, setWritten] = useState<SetAside[]>([]);
    const [busy, setBusy] = useState(false);
    const write = (): void => {
        const kept = items.map(({ table, why, entry }) => ({ table, why, entry }));
        saveText('augendo-not-taken.json', 'application/json', JSON.stringify(kept, null, 2));
        setWritten(items);
    };
    const reasons = [...new Set(items.map((item) => item.why))];
    return (
        <Sheetlet open onClose={onClose} title={`${items.length} refused, kept on this device`}>
            <p className="mb-2">
                The server did not take these. They hold up nothing else. Send them again when the reason is gone (a
                clock that was wrong, say), or write them to a file.
            </p>
            <ul className="grid gap-2">
                {reasons.map((why) => {
                    const these = items.filter((item) => item.why === why);
                    return (
                        <li key={why} className="border-t border-line pt-1">
                            <p className="head text-stop">{why}</p>
                            <p className="text-soft">
                                {these
                                    .slice(0, 4)
                                    .map((item) => item.about)
                                    .join('; ')}
                                {these.length > 4 ? `; and ${these.length - 4} more` : ''}
                            </p>
                        </li>
                    );
                })}
            </ul>
            <div className="mt-3 flex flex-wrap gap-2">
                <button
                    type="button"
                    className="btn btn-main"
                    disabled={busy || items.length === 0}
                    onClick={() => {
                        setBusy(true);
                        void sendAgain().finally(() => setBusy(false));
                    }}
                >
                    {busy ? 'Sending…' : 'Send again'}
                </button>
                <button type="button" className="btn" disabled={items.length === 0} onClick={write}>
                    Write to a file
                </button>
                {written.length > 0 && (
                    <button type="button" className="btn" onClick={() => void dropSetAside(written).then(onClose)}>
                        Take off this device
                    </button>
                )}
            </div>
        </Sheetlet>
    );
}
