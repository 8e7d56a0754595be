import type { Soreness } from '../../api/client';
import { daysBetween } from '../../parts/days';

const DAYS = 28;

/**
 * Four weeks of every place that was sore: a bar a day by its worst score, a dot where somebody asked and it was not
 * sore.
 */
export function SorenessTrends({ reports, today }: { reports: Soreness[]; today: string }) {
    const ago = (day: string): number => daysBetween(day, today);
    const recent = reports.filter((report) => ago(report.day) < DAYS);
    const places = [
        ...new Map(
            recent
                .filter((report) => report.site !== 'none' && report.score > 0)
                .map((report) => [`${report.side ?? ''} ${report.site_name}`.trim(), report]),
        ).keys(),
    ];
    if (places.length === 0) return null;
    const asked = new Set(recent.map((report) => ago(report.day)));
    return (
        <ul className="mb-2">
            {places.map((place) => {
                const ofPlace = recent.filter((report) => `${report.side ?? ''} ${report.site_name}`.trim() === place);
                return (
                    <li key={place} className="grid grid-cols-[8.5rem_1fr] items-end gap-2 border-t border-line py-1">
                        <span className="first-letter:uppercase">{place}</span>
                        <svg
                            viewBox={`0 0 ${DAYS * 10} 26`}
                            height="26"
                            className="w-full max-w-md"
                            preserveAspectRatio="none"
                            role="img"
                            aria-label={`${place}, four weeks: ${ofPlace.map((report) => report.score).join(', ')}`}
                        >
                            <path
                                d={`M0 ${26 - 3 * 2.4}H${DAYS * 10}`}
                                stroke="var(--color-line)"
                                strokeDasharray="3 3"
                            />
                            {Array.from({ length: DAYS }, (_, i) => {
                                const worst = Math.max(
                                    -1,
                                    ...ofPlace
                                        .filter((report) => ago(report.day) === DAYS - 1 - i)
                                        .map((report) => report.score),
                                );
                                if (worst > 0)
                                    return (
                                        <rect
                                            key={i}
                                            x={i * 10 + 1}
                                            width="8"
                                            y={26 - worst * 2.4}
                                            height={worst * 2.4}
                                            fill={worst >= 3 ? 'var(--color-stop)' : 'var(--color-reduced)'}
                                        />
                                    );
                                return asked.has(DAYS - 1 - i) ? (
                                    <rect key={i} x={i * 10 + 4} width="2" y="23" height="2" fill="var(--color-soft)" />
                                ) : null;
                            })}
                        </svg>
                    </li>
                );
            })}
        </ul>
    );
}
