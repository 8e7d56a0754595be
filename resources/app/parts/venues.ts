import type { Venue } from '../api/client';
import { FLOORS } from './FloorChoice';

/** What is known of a venue, in a line. */
export function venueInWords(venue: Venue): string {
    const size = [venue.length_m, venue.width_m].filter((each) => each !== null).join(' × ');
    return [
        size === '' ? 'size not said' : `${size} m`,
        venue.floor === null ? 'floor not said' : (FLOORS.find(([floor]) => floor === venue.floor)?.[1] ?? ''),
        venue.balls === null ? '' : `${venue.balls} balls`,
        venue.objects === null ? '' : `${venue.objects.length} kinds of things at hand`,
    ]
        .filter((each) => each !== '')
        .join(', ');
}
