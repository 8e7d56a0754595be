import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import hooks from 'eslint-plugin-react-hooks';
import { defineConfig, globalIgnores } from 'eslint/config';
import typescript from 'typescript-eslint';

// A screen never imports another screen; what two screens share is a part. Parts know nothing of screens.
const screens = readdirSync(join(import.meta.dirname, 'resources/app/screens'), { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map((entry) => entry.name);
const ownScreenAlone = screens.map((own) => ({
    files: [`resources/app/screens/${own}/**`],
    rules: {
        'no-restricted-imports': [
            'error',
            {
                patterns: screens
                    .filter((other) => other !== own)
                    .map((other) => ({
                        regex: `^(\\.\\./|\\.\\./\\.\\./screens/)${other}(/|$)`,
                        message: 'Move what both need to parts/.',
                    })),
            },
        ],
    },
}));

export default defineConfig(
    globalIgnores(['public/', 'vendor/', 'storage/', 'bootstrap/', 'node_modules/', 'resources/app/api/schema.ts']),
    {
        files: ['**/*.{ts,tsx}'],
        extends: [typescript.configs.recommendedTypeChecked],
        languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
        linterOptions: { reportUnusedDisableDirectives: 'error' },
        rules: {
            // What is taken out of an object so that the rest is left has a name with a line before it.
            '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
            complexity: ['error', 15],
            'max-lines-per-function': ['error', { max: 120, skipBlankLines: true, skipComments: true }],
        },
    },
    { files: ['resources/**/*.{ts,tsx}'], extends: [hooks.configs.flat.recommended] },
    ...ownScreenAlone,
    {
        files: ['resources/app/parts/**', 'resources/app/offline/**'],
        rules: {
            'no-restricted-imports': [
                'error',
                { patterns: [{ regex: '/screens/', message: 'A part knows no screen.' }] },
            ],
        },
    },
    {
        // What a device works out alone is plain: no component, no clock, no chance, no store, no network.
        files: ['resources/app/rules/**'],
        rules: {
            '@typescript-eslint/no-restricted-imports': [
                'error',
                {
                    patterns: [
                        {
                            regex: '^[^.]|^\\.\\./',
                            allowTypeImports: true,
                            message: 'A rule needs rules and types alone.',
                        },
                    ],
                },
            ],
            'no-restricted-globals': ['error', 'fetch', 'window', 'document', 'localStorage', 'indexedDB', 'navigator'],
            'no-restricted-properties': [
                'error',
                { object: 'Date', property: 'now', message: 'The time comes in as an argument.' },
                { object: 'Math', property: 'random', message: 'Chance comes in as an argument.' },
            ],
            'no-restricted-syntax': [
                'error',
                {
                    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
                    message: 'The time comes in as an argument.',
                },
            ],
        },
    },
);
