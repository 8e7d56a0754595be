import { Opens } from '../../parts/Opens';
import type { Court } from './useCourtside';

/** What has to be known before the next repetition: who counts, what differs, what is not kept, what waits. */
export function Notices({ court: { pack, second, taps } }: { court: Court }) {
    const { held, refused } = taps;
    return (
        <>
            {second && (
                <p role="status" className="bg-ink px-3 py-1.5 text-chalk">
                    <strong>Judging along.</strong> Nothing here counts as load or as evidence. Tap every repetition the
                    other one counts, “Not seen” too.
                </p>
            )}
            {pack.conflicts.length > 0 && (
                <Opens
                    label="What two devices say differently"
                    className="border-b border-line bg-faint px-3 py-1.5 text-left"
                    content={
                        <ul className="grid gap-2">
                            {pack.conflicts.map((each) => (
                                <li key={each}>{each}</li>
                            ))}
                        </ul>
                    }
                >
                    <strong>
                        Two devices differ{pack.conflicts.length > 1 ? ` in ${pack.conflicts.length} places` : ''}.
                    </strong>{' '}
                    Nothing is dropped. <span className="underline">Look</span>
                </Opens>
            )}
            {held > 0 && (
                <p role="alert" className="bg-stop px-3 py-2 font-bold text-chalk">
                    {held} {held === 1 ? 'tap is' : 'taps are'} neither stored nor sent, and not counted. Keep this page
                    open until there is a connection, or write the count down.
                </p>
            )}
            {pack.refitting && (
                <p role="status" className="border-b border-line bg-faint px-3 py-1.5">
                    {pack.refitting}
                </p>
            )}
            {pack.after_stop && (
                <p role="status" className="border-b border-line bg-faint px-3 py-1.5">
                    {pack.after_stop}
                </p>
            )}
            {refused.length > 0 && (
                <p role="alert" className="px-3 py-1 text-stop">
                    {refused.length} taps were refused and are kept here: {refused[0]?.why}
                </p>
            )}
        </>
    );
}
