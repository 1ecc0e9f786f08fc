import { common } from '../../jest.config.mjs'

/** The core’s own tests without projects, as the mutation runner wants them. */
export default {
  ...common,
  rootDir: '../..',
  testMatch: ['<rootDir>/core/**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/'],
  setupFiles: ['<rootDir>/tests/mutants/hurry.ts'],
  testSequencer: '<rootDir>/tests/mutants/quick-first.mjs',
  bail: 1,
}
