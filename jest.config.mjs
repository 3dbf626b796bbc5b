import nextJest from 'next/jest.js'

// packages that come as modules only are turned
const MODULES_ONLY = ['node_modules/(?!(ml-|is-any-array|cheminfo-types))']

const core = {
  displayName: 'core',
  testEnvironment: 'node',
  setupFiles: ['<rootDir>/tools/run/jest.tables.ts'],
  rootDir: '.',
  testMatch: [
    '<rootDir>/src/core/**/*.test.ts',
    '<rootDir>/tools/**/*.test.ts',
    '<rootDir>/src/app/**/*.test.ts',
    '<rootDir>/src/instruments/**/*.test.ts',
    '<rootDir>/src/workers/**/*.test.ts',
    '<rootDir>/src/threads/**/*.test.ts',
    '<rootDir>/src/server/**/*.test.ts',
  ],
  transform: {
    '^.+\\.[jt]sx?$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true } } },
    ],
  },
  transformIgnorePatterns: MODULES_ONLY,
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
}

const ui = nextJest({ dir: './' })({
  displayName: 'ui',
  testEnvironment: 'jsdom',
  testMatch: [
    '<rootDir>/src/ui/**/*.test.{ts,tsx}',
    '<rootDir>/src/data/**/*.test.ts',
    '<rootDir>/src/features/**/*.test.{ts,tsx}',
  ],
  setupFiles: ['<rootDir>/tools/run/jest.polyfills.ts', '<rootDir>/tools/run/jest.tables.ts'],
  setupFilesAfterEnv: ['<rootDir>/tools/run/jest.setup.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
})

// the pipeline may be several times slower than a desk; a test that hangs still ends
const config = async () => ({
  projects: [core, { ...(await ui()), transformIgnorePatterns: MODULES_ONLY }],
  testTimeout: 30_000,
})

export default config
