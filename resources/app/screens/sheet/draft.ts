import type { Addable, Block } from '../../api/client';
import type { Body } from '../../api/typed';

/** A block as it is to be: what of it is not said stays as it is; what is new says what it is. */
export type Dose = Body<'PUT', `/api/sheets/${string}`>['blocks'][number] & { distance_m: number | null };

/** What somebody changed of a sheet, and nothing else: what another saved meanwhile stays theirs. */
export type Draft = {
    /** Ids in the order they are to have; null: nobody moved, added or took away anything. */
    order: string[] | null;
    /** What was taken away. */
    gone: string[];
    /** By id: blocks that were changed, and those that are new. */
    doses: Record<string, Dose>;
};

export const NOTHING: Draft = { order: null, gone: [], doses: {} };

export const isChanged = (draft: Draft): boolean => draft.order !== null || Object.keys(draft.doses).length > 0;

export const doseOf = (block: Block): Dose => ({
    id: block.id,
    sets: block.sets,
    reps: block.reps,
    effort: block.effort,
    distance_m: block.distance_m,
});

export const added = (found: Addable, id: string): Dose => ({
    id,
    add: found.key,
    sets: found.sets,
    reps: found.reps,
    effort: found.effort,
    distance_m: found.distance_m,
});

/** The sheet as it is to be. What is not on it any more goes; what somebody else put on it meanwhile comes last. */
export function dosesOf(draft: Draft, blocks: Block[]): Dose[] {
    const there = new Map(blocks.map((block) => [block.id, block]));
    const order = draft.order ?? blocks.map((block) => block.id);
    const theirs = blocks.map((block) => block.id).filter((id) => !order.includes(id) && !draft.gone.includes(id));
    return [...order, ...theirs].flatMap((id) => {
        const block = there.get(id);
        const changed = draft.doses[id];
        if (changed && (block || changed.add !== undefined)) return [changed];
        return block ? [doseOf(block)] : [];
    });
}

export function edited(draft: Draft, dose: Dose): Draft {
    return { ...draft, doses: { ...draft.doses, [dose.id]: dose } };
}

export function moved(draft: Draft, blocks: Block[], from: number, to: number): Draft {
    const order = dosesOf(draft, blocks).map((dose) => dose.id);
    const [taken] = order.splice(from, 1);
    if (taken !== undefined) order.splice(Math.max(0, to), 0, taken);
    return { ...draft, order };
}

export function without(draft: Draft, blocks: Block[], id: string): Draft {
    const { [id]: _, ...doses } = draft.doses;
    return {
        order: dosesOf(draft, blocks)
            .map((dose) => dose.id)
            .filter((each) => each !== id),
        gone: [...draft.gone, id],
        doses,
    };
}

/** Put in before the block at a place, or last. */
export function inserted(draft: Draft, blocks: Block[], place: number, news: Dose[]): Draft {
    const order = dosesOf(draft, blocks).map((dose) => dose.id);
    order.splice(place, 0, ...news.map((dose) => dose.id));
    const doses = { ...draft.doses };
    for (const dose of news) doses[dose.id] = dose;
    return { ...draft, order, doses };
}

/** Something else in place of all of it. */
export function replaced(blocks: Block[], news: Dose[]): Draft {
    return {
        order: news.map((dose) => dose.id),
        gone: blocks.map((block) => block.id),
        doses: Object.fromEntries(news.map((dose) => [dose.id, dose])),
    };
}

/** A set of sets in two, for a drill to go in between. */
export function split(dose: Dose, again: { id: string; key: string }): [Dose, Dose] {
    const sets = Math.ceil(dose.sets / 2);
    const reps = Math.round((dose.reps * sets) / dose.sets);
    return [
        { ...dose, sets, reps },
        { ...dose, id: again.id, add: again.key, sets: dose.sets - sets, reps: dose.reps - reps },
    ];
}
