import { defineConfig } from 'vitest/config';

export default defineConfig({ test: { include: ['tests/Rules/**/*.test.ts'], environment: 'node' } });
