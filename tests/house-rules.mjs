// Rules of the house that no type checker knows: who may name whom.
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';

const root = resolve(import.meta.dirname, '..');
const files = (folder, ending) =>
    readdirSync(join(root, folder), { recursive: true })
        .map(String)
        .filter((file) => ending.test(file))
        .map((file) => join(folder, file));
const broken = [];

// A screen never imports another screen; what two screens share is a part.
for (const file of files('resources/app/screens', /\.tsx?$/)) {
    const own = file.split('/')[3];
    for (const [, path] of readFileSync(join(root, file), 'utf8').matchAll(/from '(\.[^']+)'/g)) {
        const target = relative(root, resolve(root, dirname(file), path));
        if (target.startsWith('resources/app/screens/') && target.split('/')[3] !== own)
            broken.push(`${file} imports ${target}: move what both need to resources/app/parts`);
    }
}
// Parts know nothing of screens.
for (const file of files('resources/app/parts', /\.tsx?$/)) {
    if (/from '[^']*screens\//.test(readFileSync(join(root, file), 'utf8'))) broken.push(`${file} imports a screen`);
}
// What a device works out alone is plain: no component, no clock, no store, no network.
for (const file of files('resources/app/rules', /\.tsx?$/)) {
    const text = readFileSync(join(root, file), 'utf8');
    for (const [line, path] of text.matchAll(/^import (?!type ).*from '(.+)'/gm)) {
        if (!path.startsWith('./')) broken.push(`${file} needs more than types of ${path}: ${line}`);
    }
    if (/\bDate\.now\(|new Date\(\)|Math\.random|\bfetch\(/.test(text))
        broken.push(`${file} reads a clock, chance or the network`);
}
// The core is plain PHP, and reads neither clock nor database.
for (const file of files('core/src', /\.php$/)) {
    const text = readFileSync(join(root, file), 'utf8');
    if (/\b(Illuminate|Laravel|Carbon|App)\\/.test(text)) broken.push(`${file} names the framework or the application`);
    if (/\b(time|date|now|microtime|hrtime|rand|mt_rand|random_int)\(\s*\)|new \\?DateTime|PDO\b/.test(text))
        broken.push(`${file} reads a clock, chance or a database: pass it in`);
}
// Controllers hold no rule of the job: they neither loop over records nor name the engines.
for (const file of files('app/Http/Controllers', /\.php$/)) {
    const text = readFileSync(join(root, file), 'utf8');
    if (/Augendo\\Core\\(Load|Limits|Readiness|Gates|Planning|Mechanics|Returning)\\/.test(text))
        broken.push(`${file} names an engine of the core: go through app/Records or app/Screens`);
    if (/\b(foreach|for|while)\s*\(/.test(text)) broken.push(`${file} loops: a controller fetches, asks, answers`);
}
// A reader cannot review what a line hides.
for (const [folders, ending, most] of [
    [['resources/app', 'tests', 'bench'], /\.(tsx?|mjs)$/, 120],
    [['app', 'core', 'tests', 'bench', 'database', 'routes', 'config', 'bootstrap'], /\.php$/, 140],
]) {
    for (const file of folders.flatMap((folder) => files(folder, ending))) {
        if (file.endsWith('api/schema.ts') || file.startsWith('bootstrap/cache')) continue;
        const lines = readFileSync(join(root, file), 'utf8').split('\n');
        const at = lines.findIndex((line) => line.length > most);
        if (at >= 0) broken.push(`${file}:${at + 1} is longer than ${most} characters`);
    }
}
for (const each of broken) console.error(each);
console.log(broken.length === 0 ? 'The house is in order.' : `${broken.length} to mend.`);
process.exit(broken.length === 0 ? 0 : 1);
