import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { FIGURES, FINDS } from '../../resources/app/screens/library/asked';

type Enum = { enum: string[] };
const schema = JSON.parse(
    readFileSync(new URL('../../library/schema/ladder.schema.json', import.meta.url), 'utf8'),
) as {
    properties: {
        moments: { items: { properties: { find: Enum } } };
        checkpoints: { items: { properties: { measure: { properties: { figure: Enum } } } } };
    };
};

test('the editor offers every figure and every way to a moment that a ladder may name, and no other', () => {
    const { moments, checkpoints } = schema.properties;
    expect(FIGURES.map(([id]) => id)).toEqual(checkpoints.items.properties.measure.properties.figure.enum);
    expect(FINDS.map(([id]) => id)).toEqual(['', ...moments.items.properties.find.enum]);
});
