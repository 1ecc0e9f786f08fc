import withNuxt from './.nuxt/eslint.config.mjs'

/**
 * Imports run one way: app and server -> schemas, core, reference; reference and schemas -> core; core -> nothing outside itself. Folders of core are
 * entered by their door, index.ts.
 */
const CORE_ROOMS = 'abrasives|barrel|bench|climate|defects|figures|film|plan|sanding|units'
const pastTheDoor = { regex: `(#core|core)/(${CORE_ROOMS})/.+`, message: 'Import from the door of that folder of core, its index.' }
const forbid = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns: [pastTheDoor, ...patterns] }] })
const outward = (folders, message) => ({ regex: `(^#(${folders})($|/))|(^(\\.\\./)+(${folders})($|/))|(^~~?/(${folders})($|/))`, message })

export default withNuxt(
  { ignores: ['.output/**', '.nuxt/**', '.oxlip/**'] },
  { rules: { 'vue/multi-word-component-names': 'off', 'vue/max-attributes-per-line': 'off', 'vue/singleline-html-element-content-newline': 'off', 'vue/html-self-closing': 'off' } },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      ...forbid(
        outward('app|server|schemas|reference|devices|scripts|tests', 'core imports nothing outside itself.'),
        { regex: '^(?!simple-statistics$)[^.]', message: 'core is pure: no packages but the one for statistics, no Node.' },
        { regex: `^\\.\\./(${CORE_ROOMS})/.+`, message: 'Import from the door of that folder of core, its index.' },
      ),
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'fetch', 'process', 'performance', 'setTimeout', 'setInterval', 'crypto'],
      'no-restricted-properties': ['error', { object: 'Date', property: 'now' }, { object: 'Math', property: 'random' }],
      'no-restricted-syntax': ['error', { selector: 'NewExpression[callee.name=\'Date\'][arguments.length=0]', message: 'core has no clock of its own: take the time as an argument.' }],
    },
  },
  { files: ['reference/**/*.ts'], ignores: ['**/*.test.ts'], rules: forbid(outward('app|server|schemas', 'reference knows types of core only.')) },
  { files: ['schemas/**/*.ts'], ignores: ['**/*.test.ts'], rules: forbid(outward('app|server', 'schemas stand below app and server.')) },
  { files: ['devices/**/*.ts'], ignores: ['**/*.test.ts'], rules: forbid(outward('app|server|schemas|reference|core', 'instruments know nothing of what is done with their readings.')) },
  { files: ['server/**/*.ts'], ignores: ['**/*.test.ts'], rules: forbid(outward('app', 'server imports nothing of app.')) },
  { files: ['app/**/*.{ts,vue}'], rules: { '@typescript-eslint/no-restricted-imports': ['error', { patterns: [pastTheDoor, { regex: 'server/', allowTypeImports: true, message: 'app takes types of the server only.' }] }] } },
)
