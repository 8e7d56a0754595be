import { dayName } from '../../api/words';
import { figure, typed } from '../../parts/forms';
import { useMe } from '../../parts/Frame';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import type { Editing } from './useIntake';

/** Who sees the athlete without working with the squad. One more takes somebody who agrees, no second invitation. */
export function SharedWith({ intake: { kept, send } }: { intake: Editing }) {
    const me = useMe();
    return (
        <section aria-label="Shared with">
            <h2 className="text-base">Shared with</h2>
            {kept.shared.length === 0 && (
                <p className="text-sm text-soft">Only those who work with the squad see {kept.athlete.given_name}.</p>
            )}
            <ul>
                {kept.shared.map((each) => (
                    <li key={each.id} className="flex items-center justify-between gap-3 border-t border-line">
                        <span className="min-w-0">
                            {each.name} <span className="text-soft">{each.role}</span>{' '}
                            {each.agreed_by && (
                                <span className="text-sm text-soft">
                                    {each.agreed_by} agreed, {dayName(each.agreed_on ?? '')}
                                </span>
                            )}
                        </span>
                        {each.may_be_taken_back && (
                            <button
                                type="button"
                                className="btn btn-quiet"
                                onClick={() =>
                                    void send('POST', `/shares/${each.id}/take-back`, undefined, 'No longer shared.')
                                }
                            >
                                Take back
                            </button>
                        )}
                    </li>
                ))}
            </ul>
            {kept.may_share.length > 0 && (
                <form
                    key={kept.shared.length}
                    className="mt-2 grid grid-cols-2 items-end gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const form = new FormData(event.currentTarget);
                        const person = figure(form, 'person') ?? 0;
                        const agreed = { agreed_by: typed(form, 'agreed_by'), agreed_on: typed(form, 'agreed_on') };
                        void send('POST', '/shares', { person, ...agreed }, 'Shared.');
                    }}
                >
                    <Labelled label="With">
                        <select className="field" name="person" required>
                            <Options of={kept.may_share} />
                        </select>
                    </Labelled>
                    <LabelledInput label="Who agreed" name="agreed_by" required />
                    <LabelledInput
                        label="on"
                        name="agreed_on"
                        type="date"
                        required
                        max={me.today}
                        defaultValue={me.today}
                    />
                    <button className="btn">Share</button>
                </form>
            )}
            <p className="mt-1 text-sm text-soft">
                The athlete agrees, under 16 a guardian. A clinician sees reports, returns and clearances.
            </p>
        </section>
    );
}
