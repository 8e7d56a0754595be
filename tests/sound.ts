// Sound we make ourselves: a ball on a wall, its bounce, a hall, a neighbour, somebody who talks. Seeded.

export const RATE = 48_000;

/** A generator of even numbers from 0 to 1 (mulberry32). */
export function seeded(seed: number): () => number {
    let state = seed;
    return () => {
        state = (state + 0x6d2b79f5) | 0;
        let t = Math.imul(state ^ (state >>> 15), 1 | state);
        t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
        return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
    };
}

type Chance = () => number;

const noise = (chance: Chance): number => 2 * chance() - 1;

/** A knock: noise and a ring, gone within some hundredths of a second. */
function knock(into: Float32Array, atS: number, loud: number, ringHz: number, fallS: number, chance: Chance): void {
    const from = Math.round(atS * RATE);
    for (let i = 0; i < 0.12 * RATE && from + i < into.length; i++) {
        const t = i / RATE;
        const ring = 0.5 * Math.sin(2 * Math.PI * ringHz * t);
        into[from + i] = (into[from + i] ?? 0) + loud * Math.exp(-t / fallS) * (0.7 * noise(chance) + ring);
    }
}

/** The tail of a hall: four combs (M. R. Schroeder), each gone in the time said. */
function hall(dry: Float32Array, goneS: number, share: number): Float32Array {
    const wet = Float32Array.from(dry);
    for (const delayS of [0.0297, 0.0371, 0.0411, 0.0437]) {
        const delay = Math.round(delayS * RATE);
        const back = 10 ** ((-3 * delayS) / goneS);
        const line = new Float32Array(dry.length);
        for (let i = delay; i < dry.length; i++) {
            line[i] = (dry[i - delay] ?? 0) + back * (line[i - delay] ?? 0);
            wet[i] = (wet[i] ?? 0) + (share / 4) * (line[i] ?? 0);
        }
    }
    return wet;
}

/** One pulse of a voice: a tone and its overtones. */
const VOICE = Float32Array.from({ length: 4096 }, (_, i) => {
    let sound = 0;
    for (let k = 1; k < 30; k++) sound += Math.sin((2 * Math.PI * k * i) / 4096) / (1 + (k / 6) ** 2);
    return sound;
});

/** Syllables: a voice with its overtones that swells, and a hissed sound now and then. */
function talk(into: Float32Array, loud: number, chance: Chance): void {
    let at = 0.3;
    while (at < into.length / RATE - 0.5) {
        const lasts = 0.12 + 0.2 * chance();
        const pitch = 110 + 60 * chance();
        const hisses = chance() < 0.3;
        for (let i = 0; i < lasts * RATE; i++) {
            const t = i / RATE;
            const swell = Math.sin((Math.PI * t) / lasts) ** 2;
            let sound = 0;
            if (hisses) sound = 0.4 * noise(chance);
            else sound = VOICE[Math.floor(((pitch * t) % 1) * VOICE.length)] ?? 0;
            const place = Math.round(at * RATE) + i;
            if (place < into.length) into[place] = (into[place] ?? 0) + 0.3 * loud * swell * sound;
        }
        at += lasts + 0.05 + (chance() < 0.15 ? 0.6 : 0.1 * chance());
    }
}

export type Place = 'quiet' | 'hall' | 'neighbour' | 'talking';

/** A wall practice: so many hits, each with the bounce after it, somewhere. */
export function wallPractice(place: Place, hits: number, betweenS: [number, number], seed: number) {
    const chance = seeded(seed);
    const times: number[] = [];
    let at = 1;
    for (let i = 0; i < hits; i++) {
        times.push(at);
        at += betweenS[0] + (betweenS[1] - betweenS[0]) * chance();
    }
    let sound: Float32Array = new Float32Array(Math.round((at + 1) * RATE));
    for (const time of times) {
        // One is hit harder than the next: some three decibels either way.
        const loud = 0.4 * 10 ** ((6 * chance() - 3) / 20);
        knock(sound, time, loud, 2200, 0.012, chance);
        const bounce = time + 0.35 * betweenS[0] + 0.05 * chance();
        knock(sound, bounce, 0.4 * loud, 900, 0.015, chance);
    }
    if (place === 'neighbour')
        for (let t = 0.5; t < at; t += 0.8 + 1.4 * chance()) knock(sound, t, 0.4 * 0.2, 2000, 0.012, chance);
    if (place === 'talking') talk(sound, 0.3, chance);
    if (place === 'hall') sound = hall(sound, 1.8, 0.5);
    for (let i = 0; i < sound.length; i++) sound[i] = (sound[i] ?? 0) + 0.001 * noise(chance);
    return { sound, times };
}

/** As a file: mono, 16 bits. */
export function wav(sound: Float32Array): Buffer {
    const file = Buffer.alloc(44 + 2 * sound.length);
    file.write('RIFF', 0);
    file.writeUInt32LE(36 + 2 * sound.length, 4);
    file.write('WAVEfmt ', 8);
    file.writeUInt32LE(16, 16);
    file.writeUInt16LE(1, 20);
    file.writeUInt16LE(1, 22);
    file.writeUInt32LE(RATE, 24);
    file.writeUInt32LE(2 * RATE, 28);
    file.writeUInt16LE(2, 32);
    file.writeUInt16LE(16, 34);
    file.write('data', 36);
    file.writeUInt32LE(2 * sound.length, 40);
    sound.forEach((value, i) => file.writeInt16LE(Math.round(32767 * Math.max(-1, Math.min(1, value))), 44 + 2 * i));
    return file;
}
