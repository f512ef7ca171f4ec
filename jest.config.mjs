const swc = [
  '@swc/jest',
  {
    jsc: {
      target: 'es2023',
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'es6' },
  },
];

/** @type {import('jest').Config} */
const config = {
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
  testEnvironment: 'node',
  // HarfBuzz starts with a top-level await, so every test runs as an ES module.
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '\\.tsx?$': swc },
  // Tests of files meet the bundle that makes them, not its sources.
  resolver: '<rootDir>/scripts/jest-resolver.cjs',
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '^server-only$': '<rootDir>/src/shims/empty.ts',
    '^hyphen/(.*)$': '<rootDir>/node_modules/hyphen/$1/index.js',
  },
  maxWorkers: 2,
  // A limit is for what hangs, not for what is slow on a busy machine.
  testTimeout: 600_000,
};

export default config;
