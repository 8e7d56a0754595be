import { describe, expect, it } from 'vitest';
import { finds, found } from '../../resources/app/rules/find';

describe('what is found by its name', () => {
    it('the beginning of each word, in any order, without accents', () => {
        expect(finds('osei', 'Henrike Osei')).toBe(true);
        expect(finds('ose hen', 'Henrike Osei')).toBe(true);
        expect(finds('sei', 'Henrike Osei')).toBe(false);
        expect(finds('ostergard', 'Noé Østergård')).toBe(true);
        expect(finds('noe', 'Noé Østergård')).toBe(true);
        expect(finds('strauss', 'Lena Strauß')).toBe(true);
    });

    it('nothing typed finds everything, and a sign that is no letter nothing more', () => {
        expect(finds('', 'anything')).toBe(true);
        expect(finds('  ', 'anything')).toBe(true);
        expect(finds('(', 'anything')).toBe(false);
        expect(finds('float-serve', 'Volleyball float serve')).toBe(false);
        expect(finds('float serve', 'Volleyball float-serve')).toBe(true);
    });

    it('a name comes before what is said of somebody else', () => {
        const all = [
            { name: 'Mira Okonjo', about: 'Harbour squad', to: '/a' },
            { name: 'Harbour drill', about: '', to: '/b' },
            { name: 'Ilse Varga', about: 'Harbour squad', to: '/c' },
        ];
        expect(found('harb', all, 2).map((each) => each.to)).toEqual(['/b', '/a']);
        expect(found('nobody', all, 2)).toEqual([]);
    });
});
