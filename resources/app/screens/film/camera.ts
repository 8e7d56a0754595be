import { NotShown } from './source';

/**
 * The camera of this device, without sound.
 *
 * @throws NotShown when there is none, or it was refused
 */
export async function openCamera(): Promise<MediaStream> {
    // Over plain http from another machine a browser has no camera at all.
    const devices = navigator.mediaDevices as MediaDevices | undefined;
    if (!devices?.getUserMedia)
        throw new NotShown('The camera opens only at a safe address (https). Film with the phone, then open the clip.');
    try {
        return await devices.getUserMedia({
            audio: false,
            video: { facingMode: 'environment', frameRate: { ideal: 60 }, width: { ideal: 1280 } },
        });
    } catch (error) {
        if (error instanceof DOMException && error.name === 'NotAllowedError')
            throw new NotShown(
                'The camera was refused. Allow it in the browser’s settings for this page, or open a clip.',
            );
        throw new NotShown('No camera answered. Another application may hold it; or open a clip.');
    }
}
