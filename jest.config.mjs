import { availableParallelism } from 'node:os'

/** What every Jest of this project shares; `scripts/mutants.ts` runs the core’s tests with it alone. */
export const common = {
  // A test file runs in a context of its own, where what the language ships is looked up anew each time it is named: given to each file
  // as its own, the core's tests take two thirds of the processor time. Not `Date`, which clocks that are made up replace.
  sandboxInjectedGlobals: [
    'Array', 'BigInt', 'Boolean', 'Error', 'Infinity', 'JSON', 'Map', 'Math', 'Number', 'Object', 'Promise', 'Set', 'String', 'Symbol',
    'WeakMap', 'Float32Array', 'Float64Array', 'Int8Array', 'Int32Array', 'Uint8Array', 'Uint16Array', 'Uint32Array', 'isFinite', 'isNaN',
  ],
  transform: { '^.+\\.ts$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2023' } }] },
  moduleNameMapper: {
    '^#core/(.*)$': '<rootDir>/core/$1',
    '^#reference$': '<rootDir>/reference',
    '^#schemas$': '<rootDir>/schemas',
    '^#contract$': '<rootDir>/contract',
    '^#devices(.*)$': '<rootDir>/devices$1',
    '^~/(.*)$': '<rootDir>/app/$1',
  },
  testPathIgnorePatterns: ['/node_modules/', '/.output/', '/.nuxt/'],
  modulePathIgnorePatterns: ['<rootDir>/.output/', '<rootDir>/.oxlip/'],
}

export default {
  // Left to itself Jest takes one worker less than there are cores; half of the tests wait for a database, so one more does them good.
  maxWorkers: availableParallelism() + 1,
  projects: [
    { ...common, displayName: 'core', testMatch: ['<rootDir>/{core,reference,schemas,devices,app,tests/{rules,browser}}/**/*.test.ts'] },
    {
      ...common,
      displayName: 'database',
      testMatch: ['<rootDir>/{server,scripts}/**/*.test.ts'],
      setupFilesAfterEnv: ['<rootDir>/tests/database/patience.ts'],
      globalSetup: '<rootDir>/tests/database/setup.ts',
      globalTeardown: '<rootDir>/tests/database/teardown.ts',
    },
  ],
}
