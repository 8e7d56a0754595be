import hooks from 'eslint-plugin-react-hooks';
import { defineConfig, globalIgnores } from 'eslint/config';
import typescript from 'typescript-eslint';

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
);
