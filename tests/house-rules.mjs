// Rules of the house that neither PHPStan (tests/Architecture) nor eslint can hold.
import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';

const root = resolve(import.meta.dirname, '..');
const files = (folder, ending) =>
    readdirSync(join(root, folder), { recursive: true })
        .map(String)
        .filter((file) => ending.test(file))
        .map((file) => join(folder, file));
const broken = [];

// The core reads neither clock nor chance; tests/Architecture holds whom it may name.
for (const file of files('core/src', /\.php$/)) {
    const text = readFileSync(join(root, file), 'utf8');
    if (/\b(time|date|now|microtime|hrtime|rand|mt_rand|random_int)\(\s*\)/.test(text))
        broken.push(`${file} reads a clock or chance: pass it in`);
}
// Controllers hold no rule of the job: they do not loop over records.
for (const file of files('app', /Controller\.php$/)) {
    const text = readFileSync(join(root, file), 'utf8');
    if (/\b(foreach|for|while)\s*\(/.test(text)) broken.push(`${file} loops: a controller fetches, asks, answers`);
}
// Whoever reads and then writes does so alone (App\Records\Alone); a club is made before there is anybody to wait for.
for (const file of files('app', /\.php$/)) {
    if (file.startsWith('app/Records/') || file.endsWith('Console/ClubCommand.php')) continue;
    if (readFileSync(join(root, file), 'utf8').includes('DB::transaction('))
        broken.push(`${file} begins a transaction of its own: Alone::with or Alone::inClub`);
}
// A reader cannot review what a line hides.
for (const [folders, ending, most] of [
    [['resources/app', 'tests', 'bench'], /\.(tsx?|mjs)$/, 120],
    [['app', 'core', 'tests', 'bench', 'database', 'routes', 'config', 'bootstrap'], /\.php$/, 140],
]) {
    for (const file of folders.flatMap((folder) => files(folder, ending))) {
        if (file.endsWith('api/schema.ts') || file.startsWith('bootstrap/cache')) continue;
        const lines = readFileSync(join(root, file), 'utf8').split('\n');
        const at = lines.findIndex((line) => Buffer.byteLength(line) > most);
        if (at >= 0) broken.push(`${file}:${at + 1} is longer than ${most} characters`);
    }
}
// How Augendo talks: what nobody should have to read stands in no screen and in no wording.
const notRead = Object.entries(JSON.parse(readFileSync(join(root, 'tests/words-not-read.json'), 'utf8')));
for (const file of [
    ...files('resources/app', /\.tsx$/),
    ...files('app/Wording', /\.php$/),
    ...files('library', /\.json$/),
]) {
    for (const line of readFileSync(join(root, file), 'utf8').split('\n')) {
        if (/^\s*(\*|\/\/|\/\*)/.test(line)) continue;
        for (const [word, instead] of notRead)
            if (new RegExp(word, 'u').test(line)) broken.push(`${file}: ${line.trim()} (say: ${instead})`);
    }
}
for (const each of broken) console.error(each);
console.log(broken.length === 0 ? 'The house is in order.' : `${broken.length} to mend.`);
process.exit(broken.length === 0 ? 0 : 1);
