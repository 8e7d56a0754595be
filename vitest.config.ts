import { defineConfig } from 'vitest/config';

export default defineConfig({ test: { include: ['tests/Device/**/*.test.ts'], environment: 'node' } });
