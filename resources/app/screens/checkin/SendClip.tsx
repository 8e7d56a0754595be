import { useState } from 'react';
import { api, type CheckInPage, Problem } from '../../api/client';
import { Notice } from '../../parts/Notice';

type Clip = NonNullable<NonNullable<CheckInPage['film']>['clip']>;

/** A part is tried so often before somebody is asked to try again. */
const TRIES = 3;
const MEGABYTE = 1_000_000;
const PART_MS = 60_000;

/** One clip, chosen and sent part by part: a break in the connection loses a part, not the clip. */
export function SendClip({ clip, token, onSent }: { clip: Clip; token: string; onSent: (page: CheckInPage) => void }) {
    const [problem, setProblem] = useState<unknown>(null);
    const [file, setFile] = useState<File | null>(null);
    const [share, setShare] = useState<number | null>(null);
    const choose = (chosen: File): void => {
        if (chosen.size > clip.most_bytes) {
            const most = Math.floor(clip.most_bytes / MEGABYTE);
            setProblem(
                new Error(
                    `This clip has ${Math.ceil(chosen.size / MEGABYTE)} MB, and ${most} are the most. ` +
                        'Cut it to the tries, or film with a lower resolution.',
                ),
            );
            return;
        }
        setProblem(null);
        setFile(chosen);
    };
    const send = async (whole: File): Promise<void> => {
        const parts = Math.max(1, Math.ceil(whole.size / clip.part_bytes));
        for (let no = 0; no < parts; no++) {
            setShare(no / parts);
            const part = whole.slice(no * clip.part_bytes, (no + 1) * clip.part_bytes);
            await sendPart(clip.id, no, await base64Of(part), token);
        }
        setShare(1);
        onSent(await api('POST', `/api/link/film-clips/${clip.id}`, { parts }, { linkToken: token }));
    };
    return (
        <>
            <Notice problem={problem} />
            <label className="btn thumb cursor-pointer">
                {file === null ? 'Choose the clip' : file.name}
                <input
                    type="file"
                    accept="video/*"
                    className="sr-only"
                    disabled={share !== null}
                    onChange={(event) => {
                        const chosen = event.target.files?.[0];
                        event.target.value = '';
                        if (chosen) choose(chosen);
                    }}
                />
            </label>
            {file !== null && (
                <button
                    type="button"
                    className="btn btn-main thumb"
                    disabled={share !== null}
                    onClick={() => {
                        setProblem(null);
                        send(file)
                            .catch(setProblem)
                            .finally(() => setShare(null));
                    }}
                >
                    {share === null ? 'Send it' : `Sending, ${Math.round(100 * share)} %`}
                </button>
            )}
            {share !== null && <progress className="w-full" value={share} aria-label="Sent" />}
        </>
    );
}

async function sendPart(clip: string, no: number, base64: string, token: string): Promise<void> {
    for (let tried = 1; ; tried++) {
        try {
            const ways = { linkToken: token, withinMs: PART_MS };
            await api('PUT', `/api/link/film-clips/${clip}/parts/${no}`, { base64 }, ways);
            return;
        } catch (error) {
            if (!(error instanceof Problem && error.isOffline) || tried >= TRIES) throw error;
        }
    }
}

async function base64Of(part: Blob): Promise<string> {
    const address = await new Promise<string>((resolve, reject) => {
        const reader = new FileReader();
        reader.onload = () => resolve(reader.result as string);
        reader.onerror = () => reject(new Error('This file cannot be read any more. Choose it again.'));
        reader.readAsDataURL(part);
    });
    return address.slice(address.indexOf(',') + 1);
}
