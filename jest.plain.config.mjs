// The tests that take no module's place, in one process without a world of its own for each file: what they share is
// loaded and compiled once, which takes two thirds of the time. `npm run unit` runs them as any others.
import { plainTests } from './scripts/lib.mjs';

const config = {
  runner: 'jest-light-runner',
  testMatch: plainTests().map((file) => `<rootDir>/${file}`),
  globalSetup: '<rootDir>/scripts/jestSetup.mjs',
};

export default config;
