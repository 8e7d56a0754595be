import { describe, expect, test } from 'vitest';
import { Late } from '../../resources/app/screens/film/late';

describe('pictures that are shown late', () => {
    test('nothing until it is old enough, then the latest that is; older ones are let go', () => {
        const late = new Late<string>(30_000);
        for (let at = 0; at <= 4000; at += 1000) late.put(`at ${at}`, at);
        expect(late.takeOlderThan(5000, 4000)).toBeNull();
        expect(late.takeOlderThan(3000, 4000)).toBe('at 1000');
        expect(late.held).toBe(3);
        expect(late.takeOlderThan(3000, 4000)).toBeNull();
        expect(late.takeOlderThan(0, 4000)).toBe('at 4000');
        expect(late.held).toBe(0);
    });

    test('no more than half a minute is ever held, on a device that shows nothing as well', () => {
        const late = new Late<number>(30_000);
        for (let at = 0; at < 600_000; at += 100) late.put(at, at);
        expect(late.held).toBe(301);
    });
});
