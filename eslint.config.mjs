import tseslint from 'typescript-eslint';
import boundaries from 'eslint-plugin-boundaries';

/** Which folder may import which (docs/engineering.md): a broken arrow is an error. */
const arrows = {
  core: ['core'],
  ui: ['ui', 'core'],
  views: ['views', 'ui', 'core', 'workers'],
  workers: ['workers', 'core'],
  devices: ['devices', 'core'],
  db: ['db', 'core'],
  server: ['server', 'core', 'db', 'devices'],
  pages: ['pages', 'views', 'ui', 'server', 'styles', 'core'],
};

export default tseslint.config(
  { ignores: ['dist', '.astro', 'node_modules', 'drizzle'] },
  ...tseslint.configs.recommended,
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { boundaries },
    settings: {
      'boundaries/elements': Object.keys(arrows).map((type) => ({ type, pattern: `src/${type}/**`, mode: 'full' })),
      'import/resolver': { node: { extensions: ['.ts', '.tsx'] } },
    },
    rules: {
      'boundaries/element-types': [
        'error',
        { default: 'disallow', rules: Object.entries(arrows).map(([from, allow]) => ({ from, allow })) },
      ],
    },
  },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
);
