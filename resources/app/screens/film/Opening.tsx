import { useEffect, useRef, useState } from 'react';
import type { Side } from '../../rules/frame';
import { openCamera } from './camera';
import { drawnClip } from './drawn';
import { LateMirror } from './LateMirror';
import { NotShown } from './source';
import { type OpenClip, openFile } from './useClip';

/** Where a clip comes from: a file, the camera, or the figure that is drawn here. */
export function Opening({
    mayFilm,
    busy,
    side,
    onOpen,
}: {
    mayFilm: boolean;
    busy: boolean;
    side: Side;
    onOpen: (make: () => Promise<OpenClip>) => void;
}) {
    const [camera, setCamera] = useState<'film' | 'mirror' | null>(null);
    const opened = (file: File): void => onOpen(() => openFile(file));
    return (
        <section aria-label="Open a clip" className="grid gap-2 py-3">
            <div className="flex flex-wrap items-center gap-2">
                <label
                    className={`btn btn-main ${mayFilm && !busy ? 'cursor-pointer' : 'pointer-events-none opacity-40'}`}
                >
                    {busy ? 'Opening…' : 'Open a clip'}
                    <input
                        type="file"
                        accept="video/*"
                        className="sr-only"
                        disabled={!mayFilm || busy}
                        onChange={(event) => {
                            const file = event.target.files?.[0];
                            event.target.value = '';
                            if (file) opened(file);
                        }}
                    />
                </label>
                <button type="button" className="btn" disabled={!mayFilm || busy} onClick={() => setCamera('film')}>
                    Film now
                </button>
                <button type="button" className="btn" disabled={!mayFilm || busy} onClick={() => setCamera('mirror')}>
                    Late mirror
                </button>
                <button
                    type="button"
                    className="btn btn-quiet"
                    onClick={() =>
                        onOpen(() =>
                            Promise.resolve({ source: drawnClip(side), isDrawn: true, endedMs: null, key: 'drawn' }),
                        )
                    }
                >
                    Try it with a drawn figure
                </button>
            </div>
            {camera === 'mirror' && mayFilm && <LateMirror onClose={() => setCamera(null)} />}
            {camera === 'film' && mayFilm && (
                <Camera
                    onFilmed={(file) => {
                        setCamera(null);
                        if (file) opened(file);
                    }}
                />
            )}
        </section>
    );
}

const MOST_S = 60;

const whyNot = (error: unknown): string =>
    error instanceof NotShown ? error.message : 'The camera did not start. Close it and open it again, or open a clip.';

/** The camera of this device: what it sees, then a clip of it, which stays here. */
function Camera({ onFilmed }: { onFilmed: (file: File | null) => void }) {
    const video = useRef<HTMLVideoElement>(null);
    const stream = useRef<MediaStream | null>(null);
    const recorder = useRef<MediaRecorder | null>(null);
    const [state, setState] = useState<'asking' | 'ready' | 'filming'>('asking');
    const [problem, setProblem] = useState<string | null>(null);
    useEffect(() => {
        let gone = false;
        openCamera().then(
            (opened) => {
                if (gone) return opened.getTracks().forEach((track) => track.stop());
                stream.current = opened;
                if (video.current) video.current.srcObject = opened;
                setState('ready');
            },
            (error: unknown) => setProblem(whyNot(error)),
        );
        return () => {
            gone = true;
            stream.current?.getTracks().forEach((track) => track.stop());
        };
    }, []);
    const start = async (): Promise<void> => {
        // A camera that another page took, or that fell asleep, is asked for once more.
        if (!stream.current?.active) {
            const opened = await openCamera();
            // Left meanwhile: nothing stays open behind a page that is gone.
            if (!video.current) return opened.getTracks().forEach((track) => track.stop());
            stream.current = opened;
            video.current.srcObject = opened;
        }
        const parts: Blob[] = [];
        const made = new MediaRecorder(stream.current);
        made.ondataavailable = (event) => parts.push(event.data);
        made.onstop = () =>
            onFilmed(new File(parts, `Filmed ${new Date().toLocaleTimeString()}`, { type: made.mimeType }));
        made.start(1000);
        recorder.current = made;
        setState('filming');
        setTimeout(() => made.state === 'recording' && made.stop(), MOST_S * 1000);
    };
    return (
        <div className="grid max-w-xl gap-2">
            {problem === null ? (
                <video ref={video} autoPlay muted playsInline className="w-full border-2 border-ink bg-[#14201c]" />
            ) : (
                <p role="alert" className="border-l-4 border-stop pl-3">
                    {problem}
                </p>
            )}
            <div className="flex gap-2">
                {state === 'ready' && (
                    <button
                        type="button"
                        className="btn btn-main"
                        onClick={() => void start().catch((error: unknown) => setProblem(whyNot(error)))}
                    >
                        Start, {MOST_S} seconds at most
                    </button>
                )}
                {state === 'filming' && (
                    <button type="button" className="btn btn-main" onClick={() => recorder.current?.stop()}>
                        Stop and look
                    </button>
                )}
                <button type="button" className="btn" onClick={() => onFilmed(null)}>
                    Close the camera
                </button>
            </div>
        </div>
    );
}
