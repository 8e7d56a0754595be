/** What was typed into a field of a form, without blanks at its ends; empty where there is no such field. */
export function typed(form: FormData, name: string): string {
    const value = form.get(name);
    return typeof value === 'string' ? value.trim() : '';
}
