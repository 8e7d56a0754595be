/** What a browser keeps by name. Where it may keep nothing, it is kept as long as the page is open. */
const memory = new Map<string, string>();

export function recall(name: string): string | null {
    try {
        return localStorage.getItem(name) ?? memory.get(name) ?? null;
    } catch {
        return memory.get(name) ?? null;
    }
}

/** The names that begin so, of whatever is kept. */
export function namesFrom(beginning: string): string[] {
    const names = new Set(memory.keys());
    try {
        for (let i = 0; i < localStorage.length; i++) names.add(localStorage.key(i) ?? '');
    } catch {
        // Where nothing may be kept, the memory of the page is all there is.
    }
    return [...names].filter((name) => name.startsWith(beginning));
}

/** @returns whether it outlives the page */
export function remember(name: string, value: string): boolean {
    memory.set(name, value);
    try {
        localStorage.setItem(name, value);
        return true;
    } catch {
        return false;
    }
}

export function forget(name: string): void {
    memory.delete(name);
    try {
        localStorage.removeItem(name);
    } catch {
        // Nothing could be kept there, so nothing is.
    }
}
