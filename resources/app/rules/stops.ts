// Held to core Readiness\StopTable: worked out ahead and only looked up here. KeptOrSaidTest holds it to the server's
// word.
import type { Courtside, CourtsideBlock } from '../api/client';
import type { KeptReport } from '../offline/store';

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
    const from = fromWhen(pack, report, `${block.load}|${side}`);
    return from === null || from.refer !== NEVER || from.none !== NEVER;
}

const NEVER = '-';

function wordOf(pack: Courtside, report: KeptReport['report'], load: string): Stop['word'] | null {
    const from = fromWhen(pack, report, load);
    // What the table does not know is the strictest case, unless nothing is sore.
    if (from === null) return report.score > 0 ? 'refer' : null;
    const reaches = (score: string): boolean => score !== NEVER && report.score >= Number.parseInt(score, 36);
    return reaches(from.refer) ? 'refer' : reaches(from.none) ? 'none' : null;
}

/** From which score on a place stops such work, as the table writes it; null where it knows nothing of it. */
function fromWhen(pack: Courtside, report: KeptReport['report'], load: string): Record<Stop['word'], string> | null {
    const place = pack.stops.places.indexOf(`${report.site}|${report.side ?? ''}`);
    const row = pack.stops.rows.find(
        (each) => each.load === load && each.moment === pack.stops.moments[report.moment] && each.kind === report.kind,
    );
    const [refer, none] = [row?.refer[place], row?.none[place]];
    return refer === undefined || none === undefined ? null : { refer, none };
}
