import { describe, expect, it } from 'vitest';
import { mondayOf, monthName, monthOf, plusDays, weekdayOf, weeksOf } from '../../resources/app/parts/days';

describe('days of a calendar', () => {
    it('counts over ends of months and years, and over the nights the clock is put back or forward', () => {
        expect(plusDays('2027-02-28', 1)).toBe('2027-03-01');
        expect(plusDays('2028-02-28', 1)).toBe('2028-02-29');
        expect(plusDays('2026-12-31', 1)).toBe('2027-01-01');
        expect(plusDays('2027-03-27', 2)).toBe('2027-03-29');
        expect(plusDays('2026-10-26', -2)).toBe('2026-10-24');
    });

    it('begins weeks on Monday', () => {
        expect(weekdayOf('2026-11-26')).toBe(4);
        expect(weekdayOf('2026-11-29')).toBe(7);
        expect(mondayOf('2026-11-29')).toBe('2026-11-23');
        expect(mondayOf('2026-11-23')).toBe('2026-11-23');
    });

    it('goes from month to month', () => {
        expect(monthOf('2026-11-26', 1)).toBe('2026-12-01');
        expect(monthOf('2027-01-31', 1)).toBe('2027-02-01');
        expect(monthOf('2027-01-31', -1)).toBe('2026-12-01');
        expect(monthName('2026-12-01')).toBe('December 2026');
    });

    it('lays a month out in whole weeks that follow each other', () => {
        for (let month = '2026-01-01'; month < '2029-01-01'; month = monthOf(month, 1)) {
            const days = weeksOf(month).flat();
            expect(days.length % 7).toBe(0);
            expect(weekdayOf(days[0] ?? '')).toBe(1);
            expect(days).toContain(month);
            expect(days).toContain(plusDays(monthOf(month, 1), -1));
            days.slice(1).forEach((day, i) => expect(day).toBe(plusDays(days[i] ?? '', 1)));
        }
        expect(weeksOf('2027-02-01')).toHaveLength(4);
        expect(weeksOf('2026-11-01')).toHaveLength(6);
    });
});
