import { ChevronLeft, ChevronRight, Pause, Play } from 'lucide-react';
import type { ClipSource } from './source';
import { type Draft, secondsAt } from './marks';
import type { Looking } from './useClip';

const SPEEDS = [
    [1, '1×'],
    [0.5, '½×'],
    [0.25, '¼×'],
] as const;

/** Where in the clip one is: stepped picture by picture, dragged along, or played. */
export function Timeline({ source, looking, draft }: { source: ClipSource; looking: Looking; draft: Draft }) {
    const { no, go, last, speed, setSpeed } = looking;
    const at = (picture: number): string => `${last === 0 ? 0 : (100 * picture) / last}%`;
    return (
        <div className="grid gap-1.5 py-2">
            <div className="relative">
                <input
                    type="range"
                    aria-label="Picture"
                    aria-valuetext={`picture ${no + 1} of ${last + 1}`}
                    className="w-full accent-ink"
                    min={0}
                    max={last}
                    value={no}
                    onChange={(event) => go(Number(event.target.value))}
                />
                <div aria-hidden className="relative h-2 border-y border-ink/60 bg-tape-dim">
                    {draft.marks.map((mark) => (
                        <span
                            key={`${mark.rep} ${mark.moment}`}
                            className="absolute -inset-y-0.5 w-0.5 bg-ink"
                            style={{ left: at(mark.no) }}
                        />
                    ))}
                </div>
            </div>
            <div className="flex flex-wrap items-center gap-1.5">
                <button type="button" className="btn min-w-12" aria-label="One picture back" onClick={() => go(no - 1)}>
                    <ChevronLeft size={20} aria-hidden />
                </button>
                <button type="button" className="btn min-w-12" aria-label="One picture on" onClick={() => go(no + 1)}>
                    <ChevronRight size={20} aria-hidden />
                </button>
                {SPEEDS.map(([each, name]) => (
                    <button
                        key={name}
                        type="button"
                        aria-pressed={speed === each}
                        aria-label={`Play at ${name}`}
                        className={`btn px-2 ${speed === each ? 'btn-main' : ''}`}
                        onClick={() => setSpeed(speed === each ? null : each)}
                    >
                        {speed === each ? <Pause size={16} aria-hidden /> : <Play size={16} aria-hidden />}
                        {name}
                    </button>
                ))}
                <span className="grow" />
                <span className="figure text-lg">{secondsAt(source.times, no, draft.rate).toFixed(3)} s</span>
                <span className="text-sm text-soft">
                    picture {no + 1} of {last + 1}
                </span>
            </div>
        </div>
    );
}
