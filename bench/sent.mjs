// What a browser is sent before the first screen stands there, gzipped: the entry, what it names, and Today.
//   npx vite build && node bench/sent.mjs
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const build = new URL('../public/build/', import.meta.url);
const manifest = JSON.parse(readFileSync(new URL('manifest.json', build), 'utf8'));
const sent = new Map();
const size = (file) => gzipSync(readFileSync(new URL(file, build)), { level: 9 }).length;

function walk(key) {
    const chunk = manifest[key];
    if (sent.has(chunk.file)) return;
    sent.set(chunk.file, size(chunk.file));
    for (const each of chunk.imports ?? []) walk(each);
}
walk('resources/app/main.tsx');
walk('resources/app/screens/today/TodayScreen.tsx');

const kB = (bytes) => (bytes / 1000).toFixed(1).padStart(6);
const all = [...sent].sort(([, a], [, b]) => b - a);
for (const [file, bytes] of all) console.log(`${kB(bytes)} kB  ${file}`);
const total = all.reduce((sum, [, bytes]) => sum + bytes, 0);
const packages = all.filter(([file]) => /\/frame-/.test(file)).reduce((sum, [, bytes]) => sum + bytes, 0);
console.log(`${kB(total)} kB of JavaScript for the first screen; ${kB(packages)} kB of it React, router and query.`);
