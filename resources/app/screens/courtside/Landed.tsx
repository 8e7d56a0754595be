import { useState } from 'react';
import { Pad } from '../../parts/Pad';
import { Stepper } from '../../parts/Stepper';

/** Touch where the last one landed; the aim is the middle. */
export function Landed({
    points,
    onTouch,
}: {
    points: [number, number][];
    onTouch: (point: [number, number]) => void;
}) {
    const [half, setHalf] = useState(2);
    return (
        <div className="grid gap-3">
            <Pad points={points} halfWidthM={half} onTap={onTouch} />
            <div className="flex items-center justify-between gap-3">
                <p className="text-sm text-soft">The aim is the middle; up is beyond it.</p>
                <Stepper
                    label="pad, metres each way"
                    value={half}
                    shown={`${half} m`}
                    step={1}
                    least={1}
                    most={20}
                    onChange={setHalf}
                />
            </div>
        </div>
    );
}
