import { useState } from 'react';

/** One thing to be said in a line or two, and kept. */
export function OneLine({
    label,
    act = 'Save',
    begun = '',
    most = 80,
    rows = 1,
    focused = true,
    empty = false,
    onSave,
    onCancel,
}: {
    label: string;
    act?: string;
    begun?: string;
    most?: number;
    rows?: number;
    focused?: boolean;
    /** Whether nothing may be said: it takes back what was. */
    empty?: boolean;
    onSave: (text: string) => void;
    onCancel?: () => void;
}) {
    const [text, setText] = useState(begun);
    const field = {
        value: text,
        maxLength: most,
        autoFocus: focused,
        onChange: (event: { target: { value: string } }) => setText(event.target.value),
    };
    return (
        <form
            className="flex grow flex-wrap items-end gap-2"
            onSubmit={(event) => {
                event.preventDefault();
                onSave(text.trim());
            }}
        >
            <label className="min-w-56 grow text-sm">
                <span className="block text-soft">{label}</span>
                {rows > 1 ? (
                    <textarea className="w-full border border-ink bg-page p-1.5 text-base" rows={rows} {...field} />
                ) : (
                    <input className="w-full border-b-2 border-ink bg-transparent py-1 text-base" {...field} />
                )}
            </label>
            <button type="submit" className="btn btn-main" disabled={!empty && text.trim() === ''}>
                {act}
            </button>
            {onCancel && (
                <button type="button" className="btn btn-quiet" onClick={onCancel}>
                    Cancel
                </button>
            )}
        </form>
    );
}
