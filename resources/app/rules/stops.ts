// Held to core Readiness\StopTable: worked out ahead and only looked up here. KeptOrSaidTest holds it to the server's
// word.
import type { Courtside, CourtsideBlock } from '../api/client';
import type { KeptReport } from '../offline/store';

/** The top of the scale that soreness is told on. */
const WORST = 10;

export type Stop = { word: 'none' | 'refer'; report: KeptReport['report'] };

/**
 * What a report that lies on this device means for a block, by the table the core worked out ahead: nothing is worked
 * out here. An answer of the server that knows of the report takes its place.
 */
export function stopFrom(pack: Courtside, kept: KeptReport[], block: CourtsideBlock, side: string): Stop | null {
    const open = kept.filter(
        ({ id, sending, report }) =>
            !pack.reports_known.includes(id) && (sending === 'waiting' || report.at.slice(0, 10) >= pack.held_on),
    );
    let found: Stop | null = null;
    for (const { report } of open) {
        const word = wordOf(pack, report, `${block.load}|${side}`);
        if (word === 'refer' || (word === 'none' && found === null)) found = { word, report };
    }
    return found;
}

/** Whether this sort of report could stop work of a block at all: what it does not load is no reason to look. */
export function touches(pack: Courtside, report: KeptReport['report'], block: CourtsideBlock, side: string): boolean {
    return wordOf(pack, { ...report, score: WORST }, `${block.load}|${side}`) !== null;
}

function wordOf(pack: Courtside, report: KeptReport['report'], load: string): Stop['word'] | null {
    const place = pack.stops.places.indexOf(`${report.site}|${report.side ?? ''}`);
    const row = pack.stops.rows.find(
        (each) => each.load === load && each.moment === pack.stops.moments[report.moment] && each.kind === report.kind,
    );
    // A place the table does not know is the strictest case, unless nothing is sore.
    if (place < 0 || row === undefined) return report.score > 0 ? 'refer' : null;
    const reaches = (from: string): boolean =>
        from[place] !== '-' && report.score >= Number.parseInt(from[place] ?? '0', 36);
    return reaches(row.refer) ? 'refer' : reaches(row.none) ? 'none' : null;
}
