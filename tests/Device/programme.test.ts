import { expect, test } from 'vitest';
import { readDefinition } from '../../resources/app/screens/returns/programme';

const stage = { name: 'Easy', text: 'Slowly.', sets: 1, reps: 8, effort: 0.4 };
const file = (of: unknown): string => JSON.stringify(of);

test('a programme is read with what it leaves out, and what nobody knows stays in it', () => {
    const read = readDefinition(file({ $schema: 'x', id: 'ours', name: 'Ours', stages: [stage], extra: 7 }));
    expect(read).toEqual({
        $schema: 'x',
        id: 'ours',
        name: 'Ours',
        stages: [stage],
        extra: 7,
        summary: '',
        cautions: [],
        families: [],
        channel: 'arm',
    });
});

test.each([
    ['no JSON', '{"name": '],
    ['nothing', 'null'],
    ['a list', '[1, 2]'],
    ['a name that is no text', file({ name: 7, stages: [stage] })],
    ['no stages', file({ name: 'Ours' })],
    ['stages that are none', file({ name: 'Ours', stages: ['easy', null] })],
    ['a stage without a name', file({ name: 'Ours', stages: [{ text: 'Slowly.' }] })],
])('%s is no programme, and nothing breaks', (_, text) => {
    expect(readDefinition(text)).toBeNull();
});
