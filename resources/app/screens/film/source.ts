import type { InputVideoTrack, VideoSample } from 'mediabunny';
import type { Points } from '../../rules/frame';

/** Pictures in order, wherever they come from: a file, the camera, or the drawn figure that ships. */
export type ClipSource = {
    readonly name: string;
    /** of its pictures, in pixels, as they are shown */
    readonly width: number;
    readonly height: number;
    /** when each picture is shown, in seconds from the first */
    readonly times: readonly number[];
    picture(no: number): Promise<ImageBitmap>;
    /** whether the file is damaged, so that only what comes before can be looked at */
    readonly isCutShort?: boolean;
    /** where the joints are, of a figure that is drawn */
    readonly known?: (no: number) => Points;
    close(): void;
};

/** Whether a picture can be drawn: one that had to make room for others is empty, though somebody may still hold it. */
export const isDrawable = (picture: ImageBitmap | null): picture is ImageBitmap => (picture?.width ?? 0) > 0;

/** What cannot be looked at, in words for whoever opened it. */
export class NotShown extends Error {}

/** Nobody is on this picture, as far as can be seen: on the next one somebody may be. */
export class NobodyFound extends NotShown {}

/** A longer clip is cut first: nobody looks through more pictures than this. */
const MOST_PICTURES = 45_000;
/** Pictures are kept no larger than this: finer than a fingertip, and three minutes do not fill the memory. */
const LONGEST_SIDE_PX = 1280;
/** Kept at once, around the one that is looked at: 40 of 1280 × 720 are 150 megabytes. */
const KEPT = 40;
const BEFORE = 8;
const AHEAD = 16;

/** The last picture has no next one: it is shown at least so long. */
const LAST_SHOWN_S = 0.001;
/** A browser that names other times than the file is not waited for longer. */
const SHOWN_WITHIN_MS = 1_500;

/** Two pictures lie further apart than a tenth of a millisecond; a decoder rounds to a thousandth of one. */
const tick = (timeS: number): number => Math.round(timeS * 10_000);

/** Keeps pictures by their number; whatever was not asked for the longest goes first. */
export class Kept {
    private readonly pictures = new Map<number, ImageBitmap>();

    constructor(private readonly most = KEPT) {}

    get(no: number): ImageBitmap | undefined {
        const found = this.pictures.get(no);
        if (found) {
            this.pictures.delete(no);
            this.pictures.set(no, found);
        }
        return found;
    }

    has(no: number): boolean {
        return this.pictures.has(no);
    }

    keep(no: number, picture: ImageBitmap): void {
        this.pictures.get(no)?.close();
        this.pictures.delete(no);
        this.pictures.set(no, picture);
        for (const [oldest, gone] of this.pictures) {
            if (this.pictures.size <= this.most) break;
            gone.close();
            this.pictures.delete(oldest);
        }
    }

    clear(): void {
        for (const picture of this.pictures.values()) picture.close();
        this.pictures.clear();
    }
}

/**
 * Opens a clip on this device; nothing of it is sent.
 *
 * @throws NotShown when it is no clip, or none that this browser can show
 */
export async function openClip(file: File): Promise<ClipSource> {
    if (file.size === 0) throw new NotShown('This file is empty. Choose another one.');
    const { ALL_FORMATS, BlobSource, EncodedPacketSink, Input } = await import('mediabunny');
    const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
    const track = await input.getPrimaryVideoTrack().catch(() => {
        throw new NotShown(
            'This is no clip that can be read: an MP4, MOV or WebM from a phone is. Was it copied to the end?',
        );
    });
    if (!track) throw new NotShown('There is sound in this file and no picture. Choose another one.');
    const times: number[] = [];
    let isCutShort = false;
    try {
        for await (const packet of new EncodedPacketSink(track).packets(undefined, undefined, { metadataOnly: true })) {
            times.push(packet.timestamp);
            if (times.length > MOST_PICTURES) break;
        }
    } catch {
        isCutShort = true;
    }
    if (times.length > MOST_PICTURES)
        throw new NotShown('This clip is longer than anybody looks through. Cut it to three minutes or less.');
    times.sort((a, b) => a - b);
    const first = times[0];
    if (first === undefined)
        throw new NotShown(
            isCutShort
                ? 'This clip is damaged from its first picture on. Copy it from the phone once more.'
                : 'There is no picture in this clip. Choose another one.',
        );
    const [fullWidth, fullHeight] = [await track.getDisplayWidth(), await track.getDisplayHeight()];
    const share = Math.min(1, LONGEST_SIDE_PX / Math.max(fullWidth, fullHeight));
    const size = { width: Math.round(fullWidth * share), height: Math.round(fullHeight * share) };
    const kept = new Kept();
    const isDecoded = 'VideoDecoder' in globalThis && (await track.canDecode());
    const pictures = isDecoded
        ? await decoded(track, times, size, kept)
        : await played(file, times, size, kept, (await track.getCodecParameterString()) ?? 'unnamed');
    let fetching: Promise<void> = Promise.resolve();
    return {
        name: file.name,
        isCutShort,
        ...size,
        times: times.map((time) => time - first),
        picture: async (no) => {
            const known = kept.get(no);
            if (known) return known;
            fetching = fetching.catch(() => undefined).then(() => (kept.has(no) ? undefined : pictures.fetch(no)));
            await fetching.catch(() => {
                throw new NotShown('This picture cannot be read: the clip is damaged here. Go on to another one.');
            });
            const found = kept.get(no);
            if (!found)
                throw new NotShown('This picture cannot be read: the clip is damaged here. Go on to another one.');
            return found;
        },
        close: () => {
            kept.clear();
            pictures.close();
            input.dispose();
        },
    };
}

type Size = { width: number; height: number };
/** What puts a picture, and those it comes with, where pictures are kept. */
type Pictures = { fetch: (no: number) => Promise<void>; close: () => void };

/** The browser's own decoder: pictures by their times, with their neighbours. */
async function decoded(track: InputVideoTrack, times: number[], size: Size, kept: Kept): Promise<Pictures> {
    const { VideoSampleSink } = await import('mediabunny');
    const numbers = new Map(times.map((time, no) => [tick(time), no]));
    const sink = new VideoSampleSink(track);
    const keep = (sample: VideoSample): void => {
        // By its own time: one that cannot be read does not move those after it.
        const at = numbers.get(tick(sample.timestamp));
        if (at !== undefined && !kept.has(at)) {
            const canvas = new OffscreenCanvas(size.width, size.height);
            const context = canvas.getContext('2d');
            if (context) sample.draw(context, 0, 0, size.width, size.height);
            kept.keep(at, canvas.transferToImageBitmap());
        }
        sample.close();
    };
    return {
        /** A picture depends on those before it: whoever asks for one is likely to ask for its neighbours. */
        fetch: async (no) => {
            const to = times[Math.min(times.length - 1, no + AHEAD)] ?? 0;
            try {
                for await (const sample of sink.samples(times[Math.max(0, no - BEFORE)], to + 1e-6)) keep(sample);
            } catch {
                // Damage further on, which is read ahead of: this one alone, and nothing beyond it.
                const sample = kept.has(no) ? null : await sink.getSample(times[no] ?? 0);
                if (sample) keep(sample);
            }
        },
        close: () => undefined,
    };
}

/** Once the picture of that time is the one that stands there; at once where the browser does not tell. */
function isShown(video: HTMLVideoElement, at: number, within: number): Promise<void> {
    if (!('requestVideoFrameCallback' in video)) return Promise.resolve();
    return new Promise((resolve) => {
        const look = (_: number, { mediaTime }: { mediaTime: number }): void => {
            if (Math.abs(mediaTime - at) <= within) resolve();
            else video.requestVideoFrameCallback(look);
        };
        video.requestVideoFrameCallback(look);
    });
}

/** An older browser plays it: each picture is sought, a little after its time, and drawn. Slower, and as exact. */
async function played(file: File, times: number[], size: Size, kept: Kept, kind: string): Promise<Pictures> {
    const video = document.createElement('video');
    const address = URL.createObjectURL(file);
    const happens = (what: string): Promise<void> =>
        new Promise((resolve, reject) => {
            video.addEventListener(what, () => resolve(), { once: true });
            video.addEventListener('error', () => reject(new Error(what)), { once: true });
        });
    video.muted = video.playsInline = true;
    video.preload = 'auto';
    const ready = happens('loadeddata');
    video.src = address;
    await ready.catch(() => {
        URL.revokeObjectURL(address);
        throw new NotShown(
            `This browser cannot show pictures of this kind (${kind}). ` +
                'Film with the setting “most compatible”, or open it in another browser.',
        );
    });
    return {
        fetch: async (no) => {
            const [at, next] = [times[no] ?? 0, times[no + 1]];
            const within = next === undefined ? LAST_SHOWN_S : (next - at) / 2;
            const sought = happens('seeked');
            const shown = isShown(video, at, within);
            video.currentTime = at + within;
            // Sought is not shown yet: on a busy device the picture before still stands there.
            await sought;
            await Promise.race([shown, new Promise((resolve) => setTimeout(resolve, SHOWN_WITHIN_MS))]);
            const canvas = new OffscreenCanvas(size.width, size.height);
            canvas.getContext('2d')?.drawImage(video, 0, 0, size.width, size.height);
            kept.keep(no, canvas.transferToImageBitmap());
        },
        close: () => {
            video.removeAttribute('src');
            video.load();
            URL.revokeObjectURL(address);
        },
    };
}
