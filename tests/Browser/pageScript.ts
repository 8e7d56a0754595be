import { fileURLToPath } from 'node:url';
import { build, type Rollup } from 'vite';

/** Stands in no file: it is put together for a page. */
const HERE = fileURLToPath(new URL('./put-together.js', import.meta.url));
const ENTRY = 'virtual:put-together';

/** A script with all that it imports in one piece, to be evaluated in a page of any address. */
export async function pageScript(code: string): Promise<string> {
    const built = (await build({
        configFile: false,
        logLevel: 'silent',
        build: { write: false, minify: false, rollupOptions: { input: ENTRY, output: { format: 'iife' } } },
        plugins: [
            {
                name: 'put-together',
                resolveId: (id) => (id === ENTRY ? HERE : null),
                load: (id) => (id === HERE ? code : null),
            },
        ],
    })) as Rollup.RollupOutput;
    return built.output[0].code;
}
