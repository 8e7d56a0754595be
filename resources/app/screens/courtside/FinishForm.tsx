import { useState } from 'react';
import { api, type Courtside, type RepEvent } from '../../api/client';
import { sendAllOf } from '../../offline/store';
import { Notice } from '../../parts/Notice';
import { LabelledInput } from '../../parts/Labelled';
import { SessionEffort } from '../../parts/SessionEffort';

/** Minutes and felt effort of the session; it ends only when every tap has arrived. */
export function FinishForm({ pack, reps, onFinished }: { pack: Courtside; reps: RepEvent[]; onFinished: () => void }) {
    const [minutes, setMinutes] = useState(() => {
        const started = reps[0] ? Date.parse(reps[0].at) : Date.now();
        return String(Math.min(600, Math.max(1, Math.round((Date.now() - started) / 60_000))));
    });
    const [rpe, setRpe] = useState<number | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const [busy, setBusy] = useState(false);
    const finish = async (): Promise<void> => {
        setBusy(true);
        try {
            await sendAllOf([pack.sheet_id]);
            await api('POST', `/api/sheets/${pack.sheet_id}/finish`, { minutes: Number(minutes), session_rpe: rpe });
            onFinished();
        } catch (error) {
            setProblem(error);
        } finally {
            setBusy(false);
        }
    };
    return (
        <form
            className="grid gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                void finish();
            }}
        >
            <p className="text-lg">{reps.length} repetitions counted.</p>
            <LabelledInput
                label="Minutes"
                inputMode="numeric"
                value={minutes}
                onChange={(event) => setMinutes(event.target.value)}
            />
            <SessionEffort value={rpe} onChange={setRpe} />
            <Notice problem={problem} />
            <button className="btn btn-main" style={{ minHeight: '4rem' }} disabled={busy}>
                {busy ? 'Sending…' : 'Finish and review'}
            </button>
            <p className="text-sm text-soft">Cool down, then ask: anything sore, and where?</p>
        </form>
    );
}
