import { defineConfig } from '@playwright/test';
import './tests/Browser/clock';

const PORT = 8765;

export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: 'test-results',
    fullyParallel: false,
    workers: 1,
    timeout: 90_000,
    expect: { timeout: 10_000 },
    forbidOnly: true,
    reporter: [['list']],
    use: {
        baseURL: `http://localhost:${PORT}`,
        timezoneId: 'Europe/Lisbon',
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: [
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
            ],
        },
        viewport: { width: 1280, height: 800 },
        actionTimeout: 15_000,
        screenshot: 'only-on-failure',
    },
    webServer: {
        command: `tests/Browser/server ${PORT}`,
        url: `http://localhost:${PORT}/icon.svg`,
        timeout: 120_000,
        reuseExistingServer: false,
    },
});
