import type { ReactNode } from 'react';
import { typed } from './forms';
import { useMe } from './Frame';
import { LabelledInput } from './Labelled';

/** What a clearance says of its document, as it is sent. */
export const documentOf = (form: FormData) => ({
    clinician_name: typed(form, 'clinician_name'),
    clinician_role: typed(form, 'clinician_role'),
    document_date: typed(form, 'document_date'),
    note: typed(form, 'note') || null,
});

/**
 * A clinician signs with their own name; anybody else copies name, role and date from the document. What it covers
 * stands in the middle.
 */
export function ClinicianDocument({ children }: { children: ReactNode }) {
    const me = useMe();
    const signs = me.role === 'clinician';
    return (
        <>
            <p>
                {signs
                    ? 'You sign this with your own name.'
                    : 'Copy these from the clinician’s document. Without one there is no clearance.'}
            </p>
            <LabelledInput
                label="Clinician’s name"
                name="clinician_name"
                required
                readOnly={signs}
                defaultValue={signs ? me.name : ''}
            />
            <LabelledInput label="Role, for example sports physician" name="clinician_role" required />
            <LabelledInput
                label="Date of the document"
                name="document_date"
                type="date"
                required
                max={me.today}
                defaultValue={me.today}
            />
            {children}
            <LabelledInput label="Note, may be left open" name="note" />
        </>
    );
}
