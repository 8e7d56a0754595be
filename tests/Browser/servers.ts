/** As many as are browsers side by side: each has a server, a database and a clock of its own. */
export const SERVERS = 2;

const FIRST_PORT = 8765;

export interface ServerOfWorker {
    port: number;
    url: string;
    /** all it keeps: database, sessions, cache, logs */
    storage: string;
    /** a file with the instant the server takes for now, where there is one */
    clock: string;
}

export function serverOf(worker: number): ServerOfWorker {
    const port = FIRST_PORT + worker;
    const storage = `${process.cwd()}/storage/app/browser-test-${port}`;
    return {
        port,
        url: `http://localhost:${port}`,
        storage,
        clock: `${storage}/test-clock`,
    };
}
