/** Pictures by when they were taken, the oldest first; what was shown is let go. */
export class Late<T> {
    private readonly pictures: Array<{ at: number; picture: T }> = [];

    /** @param mostMs longer than this nothing is held, whatever is asked for */
    constructor(private readonly mostMs: number) {}

    put(picture: T, at: number): void {
        this.pictures.push({ at, picture });
        while ((this.pictures[0]?.at ?? at) < at - this.mostMs) this.pictures.shift();
    }

    /** The latest that is so old; what is older than it is let go. Null where nothing is so old yet. */
    takeOlderThan(ms: number, now: number): T | null {
        let found: T | null = null;
        while (this.pictures[0] && this.pictures[0].at <= now - ms) found = this.pictures.shift()?.picture ?? null;
        return found;
    }

    get held(): number {
        return this.pictures.length;
    }
}
