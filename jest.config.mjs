import nextJest from 'next/jest.js';

const createJestConfig = nextJest({ dir: './' });

const base = {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^server-only$': '<rootDir>/scripts/jest/empty.cjs' },
};

export default async () => ({
  ...(await createJestConfig(base)()),
  transformIgnorePatterns: ['/node_modules/(?!(@tanstack)/)'],
});
