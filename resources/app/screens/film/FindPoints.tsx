import { useState } from 'react';
import type { Points } from '../../rules/frame';
import { type Box, FINDABLE, findPoints } from './finder';
import { isDrawable } from './source';

/** The model on the device proposes; a person looks at each point and puts right what is wrong. */
export function FindPoints({
    picture,
    box,
    onBox,
    onFound,
}: {
    picture: ImageBitmap | null;
    box: Box | null;
    onBox: () => void;
    onFound: (points: Points) => void;
}) {
    const [said, setSaid] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const look = (): void => {
        if (!isDrawable(picture)) return;
        setBusy(true);
        setSaid('Looking. The first time the model is fetched, which takes a while.');
        findPoints(picture, box)
            .then(
                (found) => {
                    onFound(found);
                    setSaid(
                        `Found ${Object.keys(found).length} of ${FINDABLE}: look at each, drag what is wrong. ` +
                            'The model was not tested on children or on throwers.',
                    );
                },
                (error: unknown) => setSaid(error instanceof Error ? error.message : String(error)),
            )
            .finally(() => setBusy(false));
    };
    return (
        <div className="border-t border-line py-2">
            <div className="flex flex-wrap gap-1.5">
                <button type="button" className="btn min-h-9 px-2" disabled={busy || !picture} onClick={look}>
                    {busy ? 'Looking…' : 'Find the points'}
                </button>
                <button type="button" className="btn btn-quiet min-h-9" disabled={busy} onClick={onBox}>
                    {box ? 'Another box' : 'Box round the athlete'}
                </button>
            </div>
            <p aria-live="polite" className="text-sm text-soft">
                {said}
            </p>
        </div>
    );
}
