import { useEffect, useRef, useState } from 'react';
import { Opens } from '../../parts/Opens';
import { Stepper } from '../../parts/Stepper';
import { click } from '../../parts/sound';

const HOLDS_S = [10, 15, 30];
const BEATS = ['1', '2', '3'];

/** Holds counted down, and steps counted aloud at a tempo, in the words of the block where it has some. */
export function Pacer({ holdS, counts }: { holdS: number | null; counts: string[] }) {
    return (
        <Opens
            label="Timer: hold, or beat"
            className="btn btn-quiet shrink-0"
            content={
                <div className="grid gap-4">
                    <Hold first={holdS} />
                    <Beat words={counts.length > 0 ? counts : BEATS} />
                </div>
            }
        >
            Timer
        </Opens>
    );
}

function Hold({ first }: { first: number | null }) {
    const [seconds, setSeconds] = useState<number | null>(null);
    const [left, setLeft] = useState(0);
    const audio = useRef<AudioContext | null>(null);
    useEffect(() => {
        if (seconds === null) return;
        const until = Date.now() + seconds * 1000;
        const tick = (): void => {
            const now = Math.ceil((until - Date.now()) / 1000);
            setLeft(now);
            if (now <= 0) {
                if (audio.current) click(audio.current, audio.current.currentTime, true);
                setSeconds(null);
            }
        };
        tick();
        const timer = window.setInterval(tick, 200);
        return () => window.clearInterval(timer);
    }, [seconds]);
    const start = (chosen: number): void => {
        audio.current ??= new AudioContext();
        click(audio.current, audio.current.currentTime, false);
        setSeconds(chosen);
    };
    const holds = first === null || HOLDS_S.includes(first) ? HOLDS_S : [first, ...HOLDS_S];
    return (
        <div role="group" aria-label="Hold">
            <p className="head">Hold</p>
            {seconds === null ? (
                <div className="mt-1 flex flex-wrap gap-1.5">
                    {holds.map((choice) => (
                        <button
                            key={choice}
                            type="button"
                            className={`btn thumb ${choice === first ? 'btn-main' : ''}`}
                            onClick={() => start(choice)}
                        >
                            {choice} s
                        </button>
                    ))}
                </div>
            ) : (
                <div className="mt-1 flex items-center gap-4">
                    <p role="timer" className="figure text-5xl">
                        {Math.max(0, left)}
                    </p>
                    <button type="button" className="btn thumb" onClick={() => setSeconds(null)}>
                        Stop
                    </button>
                </div>
            )}
        </div>
    );
}

function Beat({ words }: { words: string[] }) {
    const [perMinute, setPerMinute] = useState(60);
    const [step, setStep] = useState<number | null>(null);
    const running = step !== null;
    const beats = words.length;
    useEffect(() => {
        if (!running) return;
        const audio = new AudioContext();
        let count = 0;
        const beat = (): void => {
            click(audio, audio.currentTime, count % beats === 0);
            setStep(count % beats);
            count++;
        };
        beat();
        const timer = window.setInterval(beat, 60_000 / perMinute);
        return () => {
            window.clearInterval(timer);
            void audio.close();
        };
    }, [running, perMinute, beats]);
    return (
        <div role="group" aria-label="Beat">
            <p className="head">Count the steps</p>
            <div className="mt-1 flex flex-wrap items-center gap-4">
                <Stepper
                    label="beats a minute"
                    value={perMinute}
                    shown={`${perMinute} a minute`}
                    step={5}
                    least={30}
                    most={160}
                    onChange={setPerMinute}
                />
                <button
                    type="button"
                    className="btn thumb"
                    aria-pressed={running}
                    onClick={() => setStep(running ? null : 0)}
                >
                    {running ? 'Stop' : 'Start'}
                </button>
                {running && <p className="figure text-5xl">{words[step]}</p>}
            </div>
        </div>
    );
}
