import { useEffect, useRef, useState } from 'react';
import { Labelled, Options } from '../../parts/Labelled';
import { Toggle } from '../../parts/Toggle';
import { useAwake } from '../../parts/useAwake';
import { openCamera } from './camera';
import { Late } from './late';
import { NotShown } from './source';

const DELAYS_S = [5, 8, 12, 20, 30] as const;
const MOST_MS = 31_000;
/** So many pictures a second are enough to see oneself, and half a minute of them fits into any memory. */
const EVERY_MS = 66;
const WIDTH = 640;
const QUALITY = 0.7;

/**
 * The camera of a stand, shown so many seconds late: after each try athletes see themselves, and nobody touches
 * anything. Nothing is saved; pictures are in the memory of this device until they were shown.
 */
export function LateMirror({ onClose }: { onClose: () => void }) {
    const [delayS, setDelayS] = useState<number>(8);
    const [mirror, setMirror] = useState(true);
    const canvas = useRef<HTMLCanvasElement>(null);
    const { problem, waitS } = useLate(canvas, delayS);
    useAwake();
    return (
        <div className="grid max-w-3xl gap-2">
            {problem !== null && (
                <p role="alert" className="border-l-4 border-stop pl-3">
                    {problem}
                </p>
            )}
            <div className="relative border-2 border-ink bg-[#14201c]">
                <canvas
                    ref={canvas}
                    role="img"
                    aria-label={`The camera, ${delayS} seconds late`}
                    className="w-full"
                    style={mirror ? { transform: 'scaleX(-1)' } : undefined}
                />
                <span className="absolute top-2 left-2 rounded-sm bg-page px-2 py-0.5 text-lg">
                    {waitS > 0 ? `in ${waitS} s` : `${delayS} s late`}
                </span>
            </div>
            <div className="flex flex-wrap items-end gap-2">
                <Labelled label="How late" tight>
                    <select
                        className="field"
                        value={delayS}
                        onChange={(event) => setDelayS(Number(event.target.value))}
                    >
                        <Options of={DELAYS_S.map((each) => [String(each), `${each} seconds`] as const)} />
                    </select>
                </Labelled>
                <Toggle on={mirror} onChange={setMirror}>
                    As in a mirror
                </Toggle>
                <button type="button" className="btn" onClick={onClose}>
                    Close the camera
                </button>
            </div>
            <p className="text-sm text-soft">
                Nothing is saved or sent. Only who agreed to film stands before it: turn it away from everybody else.
            </p>
        </div>
    );
}

/** Draws on the canvas what the camera saw so many seconds ago. */
function useLate(canvas: React.RefObject<HTMLCanvasElement | null>, delayS: number) {
    const [problem, setProblem] = useState<string | null>(null);
    const [waitS, setWaitS] = useState(delayS);
    const delay = useRef(delayS);
    useEffect(() => {
        delay.current = delayS;
    }, [delayS]);
    useEffect(() => {
        const video = document.createElement('video');
        video.muted = video.playsInline = true;
        const late = new Late<Blob>(MOST_MS);
        const small = document.createElement('canvas');
        let stream: MediaStream | null = null;
        let timer = 0;
        let gone = false;
        let since = 0;
        const draw = async (blob: Blob): Promise<void> => {
            const picture = await createImageBitmap(blob);
            const on = canvas.current;
            if (on && !gone) {
                if (on.width !== picture.width) [on.width, on.height] = [picture.width, picture.height];
                on.getContext('2d')?.drawImage(picture, 0, 0);
            }
            picture.close();
        };
        const step = (): void => {
            const now = performance.now();
            since ||= now;
            small.getContext('2d')?.drawImage(video, 0, 0, small.width, small.height);
            small.toBlob((blob) => blob && late.put(blob, now), 'image/jpeg', QUALITY);
            const shown = late.takeOlderThan(1000 * delay.current, now);
            if (shown) void draw(shown);
            setWaitS(Math.max(0, Math.ceil(delay.current - (now - since) / 1000)));
        };
        openCamera()
            .then(async (opened) => {
                if (gone) return opened.getTracks().forEach((track) => track.stop());
                stream = opened;
                video.srcObject = opened;
                await video.play();
                small.width = WIDTH;
                small.height = Math.round((WIDTH * video.videoHeight) / Math.max(1, video.videoWidth));
                timer = window.setInterval(step, EVERY_MS);
            })
            .catch((error: unknown) => setProblem(error instanceof NotShown ? error.message : String(error)));
        return () => {
            gone = true;
            window.clearInterval(timer);
            stream?.getTracks().forEach((track) => track.stop());
        };
    }, [canvas]);
    return { problem, waitS };
}
