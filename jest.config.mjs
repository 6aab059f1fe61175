import nextJest from 'next/jest.js';

const createJestConfig = nextJest({ dir: './' });

const base = {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^server-only$': '<rootDir>/src/db/testing/serverOnly.ts' },
  globalSetup: '<rootDir>/scripts/jestSetup.mjs',
  // A test runs in a context whose own globals are looked up by name at each use, which makes the sums ten times as slow.
  sandboxInjectedGlobals: ['Array', 'Infinity', 'JSON', 'Map', 'Math', 'Number', 'Object', 'Set', 'String'],
};

const config = async () => ({
  ...(await createJestConfig(base)()),
  transformIgnorePatterns: ['/node_modules/(?!(@tanstack)/)'],
});

export default config;
