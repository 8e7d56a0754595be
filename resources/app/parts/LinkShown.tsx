import { useState } from 'react';
import type { Token } from '../api/client';
import { dayName } from '../api/words';
import { ScanCode } from './ScanCode';
import { Sheetlet } from './Sheetlet';

/** A link that was just made. It is shown this once: only its hash is kept. */
export function LinkShown({
    made,
    onClose,
}: {
    made: { token: Token; path: string; whom: string } | null;
    onClose: () => void;
}) {
    const [copied, setCopied] = useState(false);
    // A calendar cannot read what stands after a #, so its address holds the token itself.
    const address =
        made === null
            ? ''
            : window.location.origin +
              (made.path.includes('{token}')
                  ? made.path.replace('{token}', made.token.token)
                  : `${made.path}#${made.token.token}`);
    return (
        <Sheetlet
            open={made !== null}
            onClose={() => {
                setCopied(false);
                onClose();
            }}
            title="Hand this link on now"
        >
            <div className="grid gap-3">
                <p>
                    For {made?.whom}. It is shown this once and works until{' '}
                    {made && dayName(made.token.expires_on, true)}. Whoever has it can use it: hand it to that person
                    only.
                </p>
                {made?.token.word && (
                    <p className="border-l-4 border-tape pl-3">
                        It opens with a word. Tell it on another way than the link, best face to face:{' '}
                        <strong className="figure text-xl">{made.token.word}</strong>
                    </p>
                )}
                {made?.path.includes('{token}') === false && (
                    <div className="justify-self-center">
                        <ScanCode address={address} />
                    </div>
                )}
                <input
                    className="field"
                    readOnly
                    aria-label="Link"
                    value={address}
                    onFocus={(event) => event.target.select()}
                />
                <button
                    type="button"
                    className="btn btn-main"
                    onClick={() => {
                        void navigator.clipboard?.writeText(address).then(() => setCopied(true));
                    }}
                >
                    {copied ? 'Copied' : 'Copy'}
                </button>
            </div>
        </Sheetlet>
    );
}
