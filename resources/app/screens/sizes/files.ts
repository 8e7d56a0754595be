/** What a club may say, as core SizeTables reads it. */
export type SizeFile = { source: string; tables: Record<string, SizeTable> };
export type SizeTable = {
    ages: { to_age: number; object: string }[];
    grown: string;
    hands: { below_cm: number; object: string }[];
};
