import { expect, test } from 'vitest';
import { reachOf } from '../../resources/app/screens/phone/reach';

test.each([
    ['https://club.example', 'secure'],
    ['https://192.168.1.10:8443/', 'secure'],
    ['http://192.168.1.10:8000', 'open'],
    ['http://localhost:8000', 'this-machine'],
    ['https://127.0.0.1', 'this-machine'],
    ['http://[::1]:8000', 'this-machine'],
    ['192.168.1.10', 'none'],
    ['ftp://club.example', 'none'],
    ['', 'none'],
])('%s is %s', (address, reach) => {
    expect(reachOf(address)).toBe(reach);
});
