import { join } from 'node:path';
import SwaggerParser from '@apidevtools/swagger-parser';
import { expect, test } from 'vitest';

test('a validator finds nothing in the description of the API', async () => {
    const description = await SwaggerParser.validate(join(import.meta.dirname, '../../docs/openapi.json'));
    expect(Object.keys(description.paths ?? {}).length).toBeGreaterThan(90);
});
