import { expect, test } from 'vitest';
import { isDrawable, Kept } from '../../resources/app/screens/film/source';

/** A picture as a browser has it: once closed, it is empty. */
function picture(): ImageBitmap {
    const made = { width: 960, height: 540, close: () => Object.assign(made, { width: 0, height: 0 }) };
    return made;
}

test('whatever was not asked for the longest makes room, and whoever still holds it draws nothing', () => {
    const kept = new Kept(2);
    const [first, second, third] = [picture(), picture(), picture()];
    kept.keep(1, first);
    kept.keep(2, second);
    expect(kept.get(1)).toBe(first);
    kept.keep(3, third);
    expect([kept.has(1), kept.has(2), kept.has(3)]).toEqual([true, false, true]);
    expect([first, second, third, null].map(isDrawable)).toEqual([true, false, true, false]);
    kept.clear();
    expect([first, third].map(isDrawable)).toEqual([false, false]);
});
