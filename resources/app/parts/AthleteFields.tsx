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
                <label className="grid gap-1">
                    <span className="label">Given name</span>
                    <input className="field" name="given_name" required readOnly={readOnly} defaultValue={given} />
                </label>
                <label className="grid gap-1">
                    <span className="label">Family name</span>
                    <input className="field" name="family_name" required readOnly={readOnly} defaultValue={family} />
                </label>
            </div>
            <label className="grid gap-1">
                <span className="label">Birth date; left open, every age’s limits apply and the strict school</span>
                <input
                    className="field"
                    type="date"
                    name="birth_date"
                    readOnly={readOnly}
                    defaultValue={birthDate ?? ''}
                />
            </label>
            <div className="grid grid-cols-2 gap-2">
                <label className="grid gap-1">
                    <span className="label">Throws and serves with the</span>
                    <select className="field" name="throwing_side" disabled={readOnly} defaultValue={throwing}>
                        <option value="right">right hand</option>
                        <option value="left">left hand</option>
                    </select>
                </label>
                <label className="grid gap-1">
                    <span className="label">Turns to the</span>
                    <select className="field" name="turn_direction" disabled={readOnly} defaultValue={turn ?? ''}>
                        <option value="">not known</option>
                        <option value="right">right</option>
                        <option value="left">left</option>
                    </select>
                </label>
            </div>
        </>
    );
}
