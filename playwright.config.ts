import { defineConfig } from '@playwright/test';
import './tests/Browser/clock';
import { serverOf, SERVERS } from './tests/Browser/servers';

export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: 'test-results',
    fullyParallel: false,
    workers: SERVERS,
    timeout: 90_000,
    // A look that passes waits for nothing: these are for a machine that has a slow minute.
    expect: { timeout: 20_000 },
    forbidOnly: true,
    reporter: [['list']],
    use: {
        timezoneId: 'Europe/Lisbon',
        // Each context would fetch every screen once more, for nothing: tests that go without a connection allow it.
        serviceWorkers: 'block',
        launchOptions: {
            executablePath: '/usr/bin/chromium-headless-shell',
            args: [
                '--no-sandbox',
                // A camera that shows a test picture, and a yes to it: without, this browser knows no camera at all.
                '--use-fake-device-for-media-stream',
                '--use-fake-ui-for-media-stream',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
            ],
        },
        viewport: { width: 1280, height: 800 },
        actionTimeout: 20_000,
        screenshot: 'only-on-failure',
    },
    webServer: Array.from({ length: SERVERS }, (_, worker) => serverOf(worker)).map(
        ({ port, url, storage, clock }) => ({
            command: `tests/Browser/server ${port}`,
            env: { LARAVEL_STORAGE_PATH: storage, AUGENDO_CLOCK_FILE: clock },
            url: `${url}/icon.svg`,
            timeout: 120_000,
            reuseExistingServer: false,
        }),
    ),
});
