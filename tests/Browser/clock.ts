import { readFileSync } from 'node:fs';

/** A run lasts a while: it begins early enough in the day not to end in another one. */
const LATEST_HOUR = 22;

const instants = (JSON.parse(readFileSync('tests/instants.json', 'utf8')) as string[]).filter(
    (at) => Number(at.slice(11, 13)) < LATEST_HOUR,
);

// Drawn once a run and handed on to the server and to every worker. Printed, so that a run can be had again.
if (!process.env.AUGENDO_TEST_SEED) {
    process.env.AUGENDO_TEST_SEED = String(Math.floor(Math.random() * 1_000_000));
    const at = instants[Number(process.env.AUGENDO_TEST_SEED) % instants.length];
    process.env.AUGENDO_CLOCK_AHEAD_MS = String(Date.parse(at ?? '') - Date.now());
    console.log(
        `The clock begins at ${at}. To have this run again: ` +
            `AUGENDO_TEST_SEED=${process.env.AUGENDO_TEST_SEED} npx playwright test`,
    );
} else if (!process.env.AUGENDO_CLOCK_AHEAD_MS) {
    process.env.AUGENDO_CLOCK_AHEAD_MS = String(
        Date.parse(instants[Number(process.env.AUGENDO_TEST_SEED) % instants.length] ?? '') - Date.now(),
    );
}

export const AHEAD_MS = Number(process.env.AUGENDO_CLOCK_AHEAD_MS);

/** The time it is for the server and for the pages. */
export const now = (): number => Date.now() + AHEAD_MS;
