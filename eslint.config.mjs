import withNuxt from './.nuxt/eslint.config.mjs'

/**
 * Imports run one way: app and server -> contract -> schemas -> reference -> core; core -> nothing outside itself. Folders of core are
 * entered by their door, index.ts. Which folder of core may know which stands in `.dependency-cruiser.mjs`.
 */
const CORE_ROOMS = 'abrasives|barrel|bench|climate|defects|evening|figures|film|findings|format|intake|method|money|orders|plan|sanding|'
  + 'shelf|simulate|stock|sure|units'
const pastTheDoor = { regex: `(#core|core)/(${CORE_ROOMS})/.+`, message: 'Import from the door of that folder of core, its index.' }
const forbid = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns: [pastTheDoor, ...patterns] }] })
const outward = (folders, message) => ({ regex: `(^#(${folders})($|/))|(^(\\.\\./)+(${folders})($|/))|(^~~?/(${folders})($|/))`, message })

export default withNuxt(
  { ignores: ['.output/**', '.nuxt/**', '.oxlip/**', '.stryker/**'] },
  {
    rules: {
      '@stylistic/max-len': ['error', { code: 140, ignoreUrls: true, ignoreRegExpLiterals: true }],
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
    },
  },
  // A value that may be missing is handled; what only a reader can know is said in a comment at the place. Tests fail loudly by themselves.
  {
    files: ['**/*.ts', '**/*.vue'],
    ignores: ['**/*.test.ts', '**/*.spec.ts', 'tests/**'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'error' },
  },
  // Released migrations are never edited, not even in their looks.
  {
    files: ['server/db/migrations/000[1-5]-*.ts'],
    rules: { '@stylistic/max-len': 'off', '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      ...forbid(
        outward('app|server|contract|schemas|reference|devices|scripts|tests', 'core imports nothing outside itself.'),
        { regex: '^(?!simple-statistics$)[^.]', message: 'core is pure: no packages but the one for statistics, no Node.' },
        { regex: `^\\.\\./(${CORE_ROOMS})/.+`, message: 'Import from the door of that folder of core, its index.' },
      ),
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'fetch',
        'process',
        'performance',
        'setTimeout',
        'setInterval',
        'crypto',
      ],
      'no-restricted-properties': ['error', { object: 'Date', property: 'now' }, { object: 'Math', property: 'random' }],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'NewExpression[callee.name=\'Date\'][arguments.length=0]',
          message: 'core has no clock of its own: take the time as an argument.',
        },
      ],
    },
  },
  {
    files: ['reference/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: forbid(outward('app|server|contract|schemas', 'reference knows types of core only.')),
  },
  {
    files: ['schemas/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: forbid(outward('app|server|contract', 'schemas stand below app, server and what they agree on.')),
  },
  {
    files: ['contract/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: forbid(outward('app|server|devices|scripts', 'What app and server agree on knows neither of them.')),
  },
  {
    files: ['devices/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: forbid(outward('app|server|contract|schemas|reference|core', 'instruments know nothing of what is done with their readings.')),
  },
  { files: ['server/**/*.ts'], ignores: ['**/*.test.ts'], rules: forbid(outward('app', 'server imports nothing of app.')) },
  {
    files: ['server/db/**/*.ts'],
    rules: forbid(
      outward('app', 'server imports nothing of app.'),
      { regex: '^(\\.\\./)+http/', message: 'The tables know nothing of HTTP.' },
    ),
  },
  {
    files: ['app/**/*.{ts,vue}'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        { patterns: [pastTheDoor, { regex: 'server/', message: 'app takes from the server only what stands in the contract.' }] },
      ],
    },
  },
)
