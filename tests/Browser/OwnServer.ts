import { type ChildProcess, spawn } from 'node:child_process';
import { copyFileSync, mkdirSync, rmSync } from 'node:fs';
import { expect } from '@playwright/test';

/**
 * A server of a test's own on a database of its own, so that it can be taken down and put up again, and whoever
 * comes after it finds nothing of it. It has no worker: what is queued is done at once.
 */
export class OwnServer {
    private process: ChildProcess | null = null;

    private readonly storage: string;

    readonly url: string;

    /** Begins with the demo as the other server began with it. */
    constructor(
        from: string,
        private readonly port: number,
    ) {
        this.url = `http://localhost:${port}`;
        this.storage = `${process.cwd()}/storage/app/browser-test-${port}`;
        rmSync(this.storage, { recursive: true, force: true });
        for (const folder of ['app', 'logs', 'framework/cache/data', 'framework/sessions', 'framework/views'])
            mkdirSync(`${this.storage}/${folder}`, { recursive: true });
        copyFileSync(`${from}/app/first.sqlite`, `${this.storage}/app/augendo.sqlite`);
    }

    /** Again until it answers: the port of a server just taken down may not be free at once. */
    async up(): Promise<void> {
        await expect
            .poll(
                async () => {
                    if (this.process === null || this.process.exitCode !== null) this.start();
                    return fetch(`${this.url}/icon.svg`).then(
                        (answer) => answer.status,
                        () => 0,
                    );
                },
                { timeout: 30_000, intervals: [300] },
            )
            .toBe(200);
    }

    private start(): void {
        const root = process.cwd();
        this.process = spawn(
            'php',
            ['-d', 'variables_order=EGPCS', '-S', `localhost:${this.port}`, '../bin/router.php'],
            {
                cwd: `${root}/public`,
                detached: true,
                stdio: 'ignore',
                env: {
                    ...process.env,
                    LARAVEL_STORAGE_PATH: this.storage,
                    APP_ENV: 'local',
                    CACHE_STORE: 'file',
                    QUEUE_CONNECTION: 'sync',
                    PHP_CLI_SERVER_WORKERS: '3',
                },
            },
        );
    }

    down(): void {
        // The whole group: the workers hold the port, too.
        if (this.process?.pid && this.process.exitCode === null) process.kill(-this.process.pid, 'SIGKILL');
        this.process = null;
    }
}
