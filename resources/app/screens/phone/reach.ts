/** Whether a phone that opens this address may use its camera and work without a connection. */
export type Reach = 'secure' | 'open' | 'this-machine' | 'none';

const THIS_MACHINE = /^(localhost|127(\.\d+){3}|\[::1\])$/;

/**
 * What an address is good for on another device.
 *
 * @returns none when it is no address; this-machine when no other device can reach it; open without TLS
 */
export function reachOf(address: string): Reach {
    let url: URL;
    try {
        url = new URL(address);
    } catch {
        return 'none';
    }
    if (!/^https?:$/.test(url.protocol) || url.hostname === '') return 'none';
    if (THIS_MACHINE.test(url.hostname)) return 'this-machine';
    return url.protocol === 'https:' ? 'secure' : 'open';
}
