const REASONS = ['Rested first', 'Made it easier', 'Only the last few', 'Asked again, looked again'];

/** A clear stop that is no hard limit: going on takes a reason, and the reason is kept. */
export function GoingOn({
    why,
    onReason,
    onFinish,
}: {
    why: string;
    onReason: (reason: string) => void;
    onFinish: () => void;
}) {
    return (
        <div role="alert" className="grid gap-3 border-y-4 border-reduced py-4">
            <p className="head text-2xl text-reduced">Stop and look</p>
            <p className="text-lg">{why}</p>
            <button type="button" className="btn btn-main thumb" onClick={onFinish}>
                Finish here
            </button>
            <p className="label">Going on needs a reason; it is kept</p>
            <div className="grid grid-cols-2 gap-1.5">
                {REASONS.map((reason) => (
                    <button
                        key={reason}
                        type="button"
                        className="btn thumb whitespace-normal px-2 leading-tight"
                        onClick={() => onReason(reason)}
                    >
                        {reason}
                    </button>
                ))}
            </div>
        </div>
    );
}
