import reactHooks from 'eslint-plugin-react-hooks';
import { globalIgnores, defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';

/** Packages that core may use, each in one place only. */
const CORE_PACKAGES = {
  'numeric-quantity': 'src/core/quantity/readNumber.ts',
  papaparse: 'src/core/interchange/csv.ts',
  yalps: 'src/core/numeric/linearProgram.ts',
  bessel: 'src/core/batch/conduction.ts',
};

/** From before the bound; none is added. */
const LONGER_THAN_NEW_FILES_MAY_BE = [
  'src/words/safety.ts',
  'src/core/batch/planBatch.ts',
  'src/core/balance/{rounding,planSearch}.ts',
  'src/core/emulsion/column.ts',
  'src/contract/api/operations.ts',
  'src/web/sync/workingSlice.ts',
  'src/web/features/shelf/ShelfPage.tsx',
  'src/web/features/batch/RunLoads.tsx',
  'src/web/features/versions/VersionsPage.tsx',
  'src/web/features/compose/{HoldPanel,StylePanel}.tsx',
];

export default defineConfig(
  globalIgnores(['dist', 'node_modules', 'data', '.cache', '**/.types', 'src/server/db/migrations']),
  tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      'no-restricted-syntax': [
        'error',
        { selector: 'TSEnumDeclaration', message: 'Use a union of string literals.' },
        { selector: 'ExportDefaultDeclaration', message: 'Use named exports.' },
      ],
    },
  },
  {
    files: ['*.config.ts', 'e2e/*.config.ts', '*.config.js', '.dependency-cruiser.js'],
    rules: { 'no-restricted-syntax': 'off' },
  },
  // What does not fit a screen is in pieces with names.
  {
    files: ['src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: { 'max-lines-per-function': ['error', { max: 80 }] },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['**/*.test.tsx', '**/testing/**'],
    rules: { 'max-lines-per-function': ['error', { max: 150 }] },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', ...LONGER_THAN_NEW_FILES_MAY_BE],
    rules: { 'max-lines': ['error', { max: 300 }] },
  },
  {
    files: ['src/web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^(?!\\.|#core/)',
              message: 'The core stands alone: no packages, no Node, no other layer.',
            },
            { regex: '^#core/.*/', message: 'Go through the folder’s door: #core/<folder>.' },
            { regex: '^\\.\\./', message: 'Go through the folder’s door: #core/<folder>.' },
          ],
        },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time is an argument.' },
        { object: 'Math', property: 'random', message: 'Randomness is an argument.' },
      ],
      'no-restricted-globals': [
        'error',
        ...[
          'window',
          'document',
          'fetch',
          'process',
          'console',
          'setTimeout',
          'performance',
          'crypto',
          'globalThis',
        ],
      ],
      'no-restricted-syntax': [
        'error',
        { selector: 'TSEnumDeclaration', message: 'Use a union of string literals.' },
        { selector: 'ExportDefaultDeclaration', message: 'Use named exports.' },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time is an argument.',
        },
      ],
    },
  },
  ...Object.entries(CORE_PACKAGES).map(([name, file]) => ({
    files: [file],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: `^(?!\\.|#core/|${name}$)`, message: 'The core stands alone.' }] },
      ],
    },
  })),
);
