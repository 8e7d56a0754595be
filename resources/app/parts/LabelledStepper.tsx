import type { ComponentProps } from 'react';
import { Stepper } from './Stepper';

type Given = Omit<ComponentProps<typeof Stepper>, 'label' | 'shown'> & { label: string; shown?: string };

/** A figure moved in steps, with its name above it. */
export function LabelledStepper({ label, value, shown = String(value), ...given }: Given) {
    return (
        <div>
            <span className="label block">{label}</span>
            <Stepper label={label.toLowerCase()} value={value} shown={shown} {...given} />
        </div>
    );
}
