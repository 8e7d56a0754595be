import { type Ear, HitEar } from './hits';

// What the audio thread has, and the types of a page do not name.
declare const sampleRate: number;
declare const registerProcessor: (name: string, processor: unknown) => void;
declare class AudioWorkletProcessor {
    readonly port: MessagePort;
}

/** Hears on the audio thread; only times and levels leave it. */
class Hits extends AudioWorkletProcessor {
    private readonly ear = new HitEar(sampleRate);

    constructor() {
        super();
        this.port.onmessage = ({ data }: MessageEvent<Ear>) => this.ear.learn(data);
    }

    process([input]: Float32Array[][]): boolean {
        const samples = input?.[0];
        if (samples) for (const hit of this.ear.push(samples)) this.port.postMessage(hit);
        return true;
    }
}

registerProcessor('hits', Hits);
