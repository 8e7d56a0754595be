import { useState } from 'react';
import { api } from '../../api/client';
import type { Body } from '../../api/typed';
import { newId } from '../../offline/store';

export type Kind = Body<'POST', '/api/imports'>['kind'];

/** Bytes sent at once: a part that fails is sent again, not the whole file. */
const PART = 1_000_000;

const TRIES = 3;

/** Sends a file in parts; what is on its way, and why it did not arrive. */
export function useUpload(onArrived: (id: string) => void) {
    const [share, setShare] = useState<number | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const send = async (kind: Kind, file: File): Promise<void> => {
        const id = newId();
        const parts = Math.max(1, Math.ceil(file.size / PART));
        setProblem(null);
        setShare(0);
        try {
            await api('POST', '/api/imports', { id, kind, file_name: file.name.slice(-120), parts });
            for (let no = 0; no < parts; no++) {
                await sendPart(id, no, await base64(file.slice(no * PART, (no + 1) * PART)));
                setShare((no + 1) / parts);
            }
            onArrived(id);
        } catch (error) {
            setProblem(error);
        } finally {
            setShare(null);
        }
    };
    return { share, problem, send };
}

async function sendPart(id: string, no: number, part: string): Promise<void> {
    for (let tries = 1; ; tries++) {
        try {
            await api('PUT', `/api/imports/${id}/parts/${no}`, { base64: part });
            return;
        } catch (error) {
            if (tries === TRIES) throw error;
        }
    }
}

/** An empty part cannot be sent: a blank stands for it, which is no row either. */
function base64(part: Blob): Promise<string> {
    return new Promise((resolve, reject) => {
        const reader = new FileReader();
        reader.onload = () => resolve((reader.result as string).replace(/^[^,]*,?/, '') || btoa(' '));
        reader.onerror = () => reject(new Error('The file can no longer be read. Choose it again.'));
        reader.readAsDataURL(part);
    });
}
