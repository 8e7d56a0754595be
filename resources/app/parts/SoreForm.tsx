import { useState } from 'react';
import { KINDS, MOMENTS, nowWithOffset } from '../api/words';
import { newId, type Report } from '../offline/store';
import { BodyPicture, type Place } from './BodyPicture';
import { clsx } from 'clsx';

/** Five drawn faces stand for 0, 2, 4, 6 and 8 under nine years. */
function Face({ score }: { score: number }) {
    const bend = 10 - score * 2.4;
    return (
        <svg viewBox="0 0 40 40" width="44" height="44" aria-hidden="true">
            <circle cx="20" cy="20" r="17" fill="var(--color-page)" stroke="currentColor" strokeWidth="2" />
            <circle cx="14" cy="16" r="2" fill="currentColor" />
            <circle cx="26" cy="16" r="2" fill="currentColor" />
            <path
                d={`M12 ${27 - bend / 4}Q20 ${27 + bend} 28 ${27 - bend / 4}`}
                fill="none"
                stroke="currentColor"
                strokeWidth="2.2"
                strokeLinecap="round"
            />
        </svg>
    );
}

/** The body, what it is like and how bad: places are gathered, and kept all at once. Nothing sore is one tap. */
export function SoreForm({
    young,
    moment: given,
    onKeep,
}: {
    young: boolean;
    moment: Report['moment'];
    onKeep: (reports: Report[]) => void;
}) {
    const [moment, setMoment] = useState(given);
    const [place, setPlace] = useState<Place | null>(null);
    const [kind, setKind] = useState<Report['kind'] | null>(null);
    const [named, setNamed] = useState<Array<Report & { label: string }>>([]);
    const report = (site: Report['site'], side: Report['side'], ofKind: Report['kind'], score: number): Report => ({
        id: newId(),
        at: nowWithOffset(),
        moment,
        site,
        side,
        kind: ofKind,
        score,
        note: null,
    });
    const score = (value: number): void => {
        if (!place || !kind) return;
        setNamed([
            ...named,
            {
                ...report(place.site, place.side, kind, value),
                label: `${place.label}: ${KINDS.find(([each]) => each === kind)?.[1].toLowerCase() ?? kind}, ${value}`,
            },
        ]);
        setPlace(null);
        setKind(null);
    };
    return (
        <>
            <Moments moment={moment} onChange={setMoment} />
            {named.length > 0 && (
                <ul className="mb-3">
                    {named.map((each) => (
                        <li key={each.id} className="flex items-center justify-between border-t border-line">
                            <span className="first-letter:uppercase">{each.label}</span>
                            <button
                                type="button"
                                className="btn btn-quiet"
                                onClick={() => setNamed(named.filter((other) => other.id !== each.id))}
                            >
                                Take back
                            </button>
                        </li>
                    ))}
                </ul>
            )}
            {place === null && (
                <>
                    {named.length === 0 ? (
                        <button
                            type="button"
                            className="btn btn-main thumb w-full text-lg"
                            onClick={() => onKeep([report('none', null, 'muscle', 0)])}
                        >
                            Nothing sore
                        </button>
                    ) : (
                        <button
                            type="button"
                            className="btn btn-main thumb w-full text-lg"
                            onClick={() => onKeep(named.map(({ label: _label, ...each }) => each))}
                        >
                            Save {named.length === 1 ? 'this report' : `these ${named.length} reports`}
                        </button>
                    )}
                    <p className="label my-2 text-center">
                        {named.length === 0 ? 'or touch the place that is sore' : 'or touch another place'}
                    </p>
                    <BodyPicture
                        chosen={named.map((each) => ({
                            site: each.site,
                            side: each.side,
                            label: each.label,
                        }))}
                        onChoose={setPlace}
                    />
                </>
            )}
            {place !== null && (
                <HowSore
                    place={place}
                    kind={kind}
                    young={young}
                    onKind={setKind}
                    onScore={score}
                    onBack={() => {
                        setPlace(null);
                        setKind(null);
                    }}
                />
            )}
            <p className="mt-3 border-t border-line pt-2 text-sm text-soft">
                Numbness, swelling, a locked or unstable joint, or a head knock stops the session and goes to a licensed
                clinician. Augendo gives no diagnosis.
            </p>
        </>
    );
}

/** What a place is like, then how bad; under nine years by faces. */
function HowSore({
    place,
    kind,
    young,
    onKind,
    onScore,
    onBack,
}: {
    place: Place;
    kind: string | null;
    young: boolean;
    onKind: (kind: Report['kind']) => void;
    onScore: (score: number) => void;
    onBack: () => void;
}) {
    return (
        <div>
            <p className="head mb-2 text-lg first-letter:uppercase">{place.label}</p>
            <p className="label mb-1">What is it like?</p>
            <div className="grid grid-cols-2 gap-1.5">
                {KINDS.map(([each, label]) => (
                    <button
                        key={each}
                        type="button"
                        aria-pressed={kind === each}
                        onClick={() => onKind(each)}
                        className={`btn justify-start ${kind === each ? 'btn-main' : ''}`}
                        style={{ minHeight: '3rem' }}
                    >
                        {label}
                    </button>
                ))}
            </div>
            <p className="label mb-1 mt-4">
                {kind === null ? 'First what it is like, then how bad' : 'How bad, 0 to 10?'}
            </p>
            {young ? (
                <div className="flex justify-between">
                    {[0, 2, 4, 6, 8].map((value) => (
                        <button
                            key={value}
                            type="button"
                            disabled={kind === null}
                            aria-label={`Face ${value} of 10`}
                            onClick={() => onScore(value)}
                            className="p-1 disabled:opacity-40"
                        >
                            <Face score={value} />
                        </button>
                    ))}
                </div>
            ) : (
                <div className="grid grid-cols-11 gap-0.5">
                    {Array.from({ length: 11 }, (_, value) => (
                        <button
                            key={value}
                            type="button"
                            disabled={kind === null}
                            onClick={() => onScore(value)}
                            className={clsx(
                                'head border-y-2 border-ink text-lg enabled:hover:bg-tape disabled:border-line',
                                'disabled:text-soft',
                            )}
                            style={{ minHeight: '3.5rem' }}
                        >
                            {value}
                        </button>
                    ))}
                </div>
            )}
            <button type="button" className="btn btn-quiet mt-2" onClick={onBack}>
                Another place
            </button>
        </div>
    );
}

function Moments({ moment, onChange }: { moment: Report['moment']; onChange: (moment: Report['moment']) => void }) {
    return (
        <div role="group" aria-label="Moment" className="mb-3 flex flex-wrap gap-x-3 gap-y-1">
            {MOMENTS.map(([each, label]) => (
                <button
                    key={each}
                    type="button"
                    aria-pressed={moment === each}
                    onClick={() => onChange(each)}
                    className={clsx(
                        'min-h-9 px-1',
                        moment === each ? 'border-b-[3px] border-ink font-bold' : 'text-soft',
                    )}
                >
                    {label}
                </button>
            ))}
        </div>
    );
}
