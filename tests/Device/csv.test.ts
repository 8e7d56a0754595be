import { describe, expect, it } from 'vitest';
import { asCsv } from '../../resources/app/rules/csv';

describe('a list as a file', () => {
    it('keeps commas, quotes and lines inside their cell', () => {
        expect(asCsv([['Sand, Mira', 'said "no"', 'two\nlines', 7, null, undefined, '']])).toBe(
            '"Sand, Mira","said ""no""","two\nlines",7,,,\r\n',
        );
    });

    it('hands no formula to a spreadsheet program', () => {
        expect(asCsv([['=1+1', '+1', '-2', '@a', -3]])).toBe("'=1+1,'+1,'-2,'@a,-3\r\n");
    });
});
