import { useCallback, useEffect, useRef, useState } from 'react';
import { type Hit, LESSON, own, taught } from './hits';
import workletUrl from './hits.worklet.ts?worker&url';

const PLAIN = { echoCancellation: false, noiseSuppression: false, autoGainControl: false };

type Open = { stream: MediaStream; audio: AudioContext };

/** Why there is no microphone, in words somebody can act on. */
function whyNot(error: unknown): string {
    const { name } = error instanceof Error ? error : { name: '' };
    if (name === 'NotAllowedError') return 'The microphone was not allowed. Allow it in the settings of this page.';
    if (name === 'NotFoundError') return 'This device has no microphone.';
    return 'The microphone could not be opened. Close whatever else uses it, and try again.';
}

/** The phone that listens: hits counted on the device. Nothing is recorded; nothing leaves the device but a number. */
export function useListening(onHit: (count: number) => void) {
    const [hits, setHits] = useState<Hit[]>([]);
    const [problem, setProblem] = useState<string | null>(null);
    const [isOn, setIsOn] = useState(false);
    /** What the device does to the sound although it was asked not to. */
    const [changes, setChanges] = useState(false);
    const open = useRef<Open | null>(null);
    const told = useRef(onHit);
    useEffect(() => {
        told.current = onHit;
    }, [onHit]);

    const stop = useCallback((): void => {
        open.current?.stream.getTracks().forEach((track) => track.stop());
        void open.current?.audio.close();
        open.current = null;
        setIsOn(false);
    }, []);
    const isGone = useRef(false);
    useEffect(() => {
        isGone.current = false;
        return () => {
            isGone.current = true;
            stop();
        };
    }, [stop]);

    const start = async (): Promise<void> => {
        setProblem(null);
        try {
            const stream = await navigator.mediaDevices.getUserMedia({ audio: PLAIN });
            const [track] = stream.getAudioTracks();
            // Allowed after the page was left: nobody waits for it any more.
            if (isGone.current) return track?.stop();
            const settings = track?.getSettings() ?? {};
            setChanges(Object.keys(PLAIN).some((name) => settings[name as keyof typeof PLAIN] === true));
            const audio = new AudioContext();
            open.current = { stream, audio };
            track?.addEventListener('ended', () => {
                setProblem('The microphone was taken away. What was heard until then is kept.');
                stop();
            });
            await audio.audioWorklet.addModule(workletUrl);
            const ear = new AudioWorkletNode(audio, 'hits', { numberOfOutputs: 0 });
            let heard: Hit[] = [];
            let learns = true;
            ear.port.onmessage = ({ data }: MessageEvent<Hit>) => {
                heard = learns ? own([...heard, data]) : [...heard, data];
                if (learns && heard.length >= LESSON) {
                    learns = false;
                    ear.port.postMessage(taught(heard));
                }
                setHits(heard);
                told.current(heard.length);
            };
            audio.createMediaStreamSource(stream).connect(ear);
            await audio.resume();
            setIsOn(true);
        } catch (error) {
            stop();
            setProblem(whyNot(error));
        }
    };

    return { count: hits.length, isOn, isTaught: hits.length >= LESSON, changes, problem, start, stop };
}
