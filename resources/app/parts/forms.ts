/** What was typed into a field, blanks and all: a password is what it is. */
export function typedAsIs(form: FormData, name: string): string {
    const value = form.get(name);
    return typeof value === 'string' ? value : '';
}

/** What was chosen of the options of a field, which are those the API takes; null where nothing was. */
export function chosen<Option extends string>(form: FormData, name: string): Option | null {
    return (typed(form, name) || null) as Option | null;
}

/** What was chosen of the options of a field that always has one. */
export function picked<Option extends string>(form: FormData, name: string): Option {
    return typed(form, name) as Option;
}

/** A number that was typed; null where nothing was. */
export function figure(form: FormData, name: string): number | null {
    const text = typed(form, name);
    return text === '' ? null : Number(text);
}

/** What was typed into a field of a form, without blanks at its ends; empty where there is no such field. */
export function typed(form: FormData, name: string): string {
    const value = form.get(name);
    return typeof value === 'string' ? value.trim() : '';
}
