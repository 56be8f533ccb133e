import tseslint from 'typescript-eslint';
import boundaries from 'eslint-plugin-boundaries';
import reactHooks from 'eslint-plugin-react-hooks';

/** Which folder may import which (README, layers): a broken arrow is an error. */
const arrows = {
  core: ['core'],
  ui: ['ui', 'core'],
  views: ['views', 'ui', 'core', 'workers'],
  workers: ['workers', 'core'],
  devices: ['devices', 'core'],
  db: ['db', 'core'],
  server: ['server', 'core', 'db', 'devices'],
  serve: ['serve', 'server', 'db'],
  pages: ['pages', 'views', 'ui', 'server', 'styles', 'core'],
};

export default tseslint.config(
  { ignores: ['dist', '.astro', 'node_modules', 'drizzle', '.scratch'] },
  ...tseslint.configs.recommended,
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { boundaries },
    settings: {
      'boundaries/elements': Object.keys(arrows).map((type) => ({
        type,
        pattern: `src/${type}/**`,
        partialMatch: false,
      })),
      'import/resolver': { node: { extensions: ['.ts', '.tsx'] } },
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: Object.entries(arrows).map(([from, allow]) => ({
            from: { element: { type: from } },
            allow: allow.map((type) => ({ to: { element: { type } } })),
          })),
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            'node:*',
            'react',
            'react-*',
            'astro',
            'astro:*',
            'drizzle-orm*',
            '@libsql/*',
            'vitest',
          ],
        },
      ],
    },
  },
  {
    // A bare number is in the unit that its field shows: one reader knows which that is.
    files: ['src/views/**/*.{ts,tsx}', 'src/ui/**/*.{ts,tsx}'],
    ignores: ['src/ui/units.ts', 'src/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/core/units/*'],
              importNames: ['parseQuantity', 'coreUnit'],
              message: 'Read by readTyped and shown by unitHere of ui/units.ts.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ...reactHooks.configs.flat.recommended,
  },
  {
    rules: {
      'no-nested-ternary': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
);
