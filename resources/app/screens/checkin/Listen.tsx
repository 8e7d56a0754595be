import { useRef, useState } from 'react';
import { n } from '../../api/words';
import { LESSON } from '../../listen/hits';
import { useListening } from '../../listen/useListening';
import { LabelledStepper } from '../../parts/LabelledStepper';
import { click } from '../../parts/sound';
import { Toggle } from '../../parts/Toggle';
import { useAwake } from '../../parts/useAwake';

const SAID_EVERY = 10;
const STEP = 5;
const MOST = 300;

function say(count: number): void {
    if ('speechSynthesis' in window) window.speechSynthesis.speak(new SpeechSynthesisUtterance(String(count)));
}

/** A soft end: three tones, and the counting goes on. */
function chime(): void {
    const audio = new AudioContext();
    for (let i = 0; i < 3; i++) click(audio, audio.currentTime + 0.05 + i * 0.25, i === 2);
    window.setTimeout(() => void audio.close(), 1500);
}

/** Alone and with both hands busy: the phone hears the ball on the wall, and counts. */
export function Listen({
    dose,
    onHeard,
    onClose,
}: {
    dose: number;
    onHeard: (count: number) => void;
    onClose: () => void;
}) {
    const [asked, setAsked] = useState(dose);
    const [aloud, setAloud] = useState(false);
    const ended = useRef(false);
    useAwake();
    const heard = useListening((count) => {
        if (aloud && count % SAID_EVERY === 0) say(count);
        if (count >= asked && !ended.current) {
            ended.current = true;
            chime();
        }
    });
    const { count } = heard;
    const done = count >= asked;
    return (
        <section aria-label="Counting by ear" className="grid gap-3 border-y-4 border-ink py-3">
            <p className="figure text-center text-[7rem] leading-none" aria-live="polite" data-testid="heard">
                {n(count)}
            </p>
            <p role="status" className="text-center text-lg">
                {!heard.isOn && count === 0 && 'Put the phone down, a few steps from the wall.'}
                {heard.isOn && !heard.isTaught && `Hit as you will: ${LESSON - count} more, and it knows your hits.`}
                {heard.isOn && heard.isTaught && !done && `${n(asked - count)} to go`}
                {done && <strong>That was the dose. Stop here; more counts as well.</strong>}
            </p>
            {heard.problem !== null && <p role="alert">{heard.problem}</p>}
            {heard.changes && (
                <p role="alert">
                    This phone changes the sound by itself: it may miss some. Check the number afterwards.
                </p>
            )}
            {!heard.isOn && count === 0 && (
                <div className="flex flex-wrap items-end gap-4">
                    <LabelledStepper
                        label="The dose"
                        value={asked}
                        step={STEP}
                        least={STEP}
                        most={MOST}
                        onChange={setAsked}
                    />
                    <Toggle on={aloud} onChange={setAloud}>
                        Say every tenth aloud
                    </Toggle>
                </div>
            )}
            <div className="grid grid-cols-[auto_1fr] gap-2">
                <button type="button" className="btn thumb" onClick={onClose}>
                    Cancel
                </button>
                {heard.isOn || count > 0 ? (
                    <button
                        type="button"
                        className="btn btn-main thumb"
                        onClick={() => {
                            heard.stop();
                            onHeard(count);
                        }}
                    >
                        Done: use this number
                    </button>
                ) : (
                    <button type="button" className="btn btn-main thumb" onClick={() => void heard.start()}>
                        Listen
                    </button>
                )}
            </div>
            <p className="text-sm text-soft">
                Nothing is recorded; only the number is sent. Tried with sound we made ourselves, not in your hall: look
                whether the number is right. Stop when anything hurts.
            </p>
        </section>
    );
}
