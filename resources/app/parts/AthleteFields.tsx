import type { Body } from '../api/typed';
import { chosen, picked, typed } from './forms';
import { Labelled, LabelledInput } from './Labelled';
/** What stands in the fields, as it is sent. */
export const athleteIn = (form: FormData): Omit<Body<'PUT', `/api/athletes/${string}`>, 'id'> => ({
    given_name: typed(form, 'given_name'),
    family_name: typed(form, 'family_name'),
    birth_date: typed(form, 'birth_date') || null,
    throwing_side: picked(form, 'throwing_side'),
    turn_direction: chosen(form, 'turn_direction'),
});

/** Names, birth date and sides of an athlete. An unknown birth date makes every age's limits apply. */
export function AthleteFields({
    given = '',
    family = '',
    birthDate = null,
    throwing = 'right',
    turn = null,
    readOnly = false,
}: {
    given?: string;
    family?: string;
    birthDate?: string | null;
    throwing?: string;
    turn?: string | null;
    readOnly?: boolean;
}) {
    return (
        <>
            <div className="grid grid-cols-2 gap-2">
                <LabelledInput label="Given name" name="given_name" required readOnly={readOnly} defaultValue={given} />
                <LabelledInput
                    label="Family name"
                    name="family_name"
                    required
                    readOnly={readOnly}
                    defaultValue={family}
                />
            </div>
            <LabelledInput
                label="Birth date; left open, every age’s limits apply and the strict school"
                type="date"
                name="birth_date"
                readOnly={readOnly}
                defaultValue={birthDate ?? ''}
            />
            <div className="grid grid-cols-2 gap-2">
                <Labelled label="Throws and serves with the">
                    <select className="field" name="throwing_side" disabled={readOnly} defaultValue={throwing}>
                        <option value="right">right hand</option>
                        <option value="left">left hand</option>
                    </select>
                </Labelled>
                <Labelled label="Turns to the">
                    <select className="field" name="turn_direction" disabled={readOnly} defaultValue={turn ?? ''}>
                        <option value="">not known</option>
                        <option value="right">right</option>
                        <option value="left">left</option>
                    </select>
                </Labelled>
            </div>
        </>
    );
}
