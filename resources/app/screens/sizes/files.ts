/** As library/schema/sizes.schema.json has it. */
export type SizeFile = { source: string; tables: Record<string, SizeTable> };
export type SizeTable = {
    name: string;
    skills: string[];
    /** the smallest first */
    sizes: string[];
    meant: string;
    ages: { to_age: number; object: string }[];
    grown: string;
    hands: { below_cm: number; object: string }[];
};
