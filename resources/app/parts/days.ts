/** Days as the API writes them, YYYY-MM-DD: no hour, no zone. */

const DAY_MS = 86_400_000;

const time = (iso: string): number => Date.parse(`${iso}T00:00:00Z`);

export const plusDays = (iso: string, days: number): string =>
    new Date(time(iso) + days * DAY_MS).toISOString().slice(0, 10);

export const daysBetween = (from: string, to: string): number => Math.round((time(to) - time(from)) / DAY_MS);

/** 1 Monday to 7 Sunday. */
export const weekdayOf = (iso: string): number => ((new Date(time(iso)).getUTCDay() + 6) % 7) + 1;

export const mondayOf = (iso: string): string => plusDays(iso, 1 - weekdayOf(iso));

/** The first day of the month a day is in, so many months on. */
export function monthOf(iso: string, on = 0): string {
    const day = new Date(time(iso));
    return new Date(Date.UTC(day.getUTCFullYear(), day.getUTCMonth() + on, 1)).toISOString().slice(0, 10);
}

export const monthName = (iso: string): string =>
    new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(new Date(time(iso)));

/** The weeks a month lies in, Monday to Sunday. */
export function weeksOf(month: string): string[][] {
    const weeks: string[][] = [];
    const next = monthOf(month, 1);
    for (let monday = mondayOf(month); monday < next; monday = plusDays(monday, 7)) {
        weeks.push(Array.from({ length: 7 }, (_, i) => plusDays(monday, i)));
    }
    return weeks;
}
