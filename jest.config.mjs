/**
 * Tests run in Node itself, two processes side by side: in contexts of Jest’s own the same arithmetic takes half as
 * long again, and every file loads everything anew. `scripts/test-modules.mjs` reads TypeScript there (NODE_OPTIONS,
 * see scripts/test.mjs). Parts of the page have processes of their own, with a document in them.
 * @type {import('jest').Config}
 */
const config = {
  projects: [
    { displayName: 'rooms', testMatch: ['<rootDir>/src/**/*.test.ts'], runner: '<rootDir>/scripts/test-runner.mjs' },
    { displayName: 'page', testMatch: ['<rootDir>/src/**/*.test.tsx'], runner: '<rootDir>/scripts/test-runner.mjs' },
  ],
  maxWorkers: 2,
};

export default config;
