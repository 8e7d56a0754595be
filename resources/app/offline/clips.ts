import type { Body } from '../api/typed';
import { own } from './person';
import { forget, namesFrom, recall, remember } from './place';
import { changes } from './store';

/** What was measured on a clip, and nobody but this device knows yet. */
export type KeptClip = Body<'POST', `/api/athletes/${string}/film/clips`>;

const place = (athleteId: string): string => own(`film-unsent-${athleteId}`);
const at = (name: string): KeptClip[] => JSON.parse(recall(name) ?? '[]') as KeptClip[];

export const clipsOf = (athleteId: string): KeptClip[] => at(place(athleteId));

/** Of whoever is here, whichever athlete they are of. */
export const clipsWaiting = (): number => namesFrom(place('')).reduce((sum, name) => sum + at(name).length, 0);

export function keepClips(athleteId: string, clips: KeptClip[]): void {
    if (clips.length === 0) forget(place(athleteId));
    else remember(place(athleteId), JSON.stringify(clips));
    changes.dispatchEvent(new CustomEvent('changed', { detail: null }));
}
