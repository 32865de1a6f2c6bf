/** Unit and server tests. The web's own logic is tested here too; its screens are tested in e2e. */
export default {
  testMatch: ['<rootDir>/{core,server,web,demo,bench,tools}/**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  testEnvironment: 'node',
  transform: {
    '^.+\\.tsx$': [
      '<rootDir>/jest.transform.mjs',
      {
        swcrc: false,
        jsc: {
          target: 'es2023',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
        sourceMaps: 'inline',
      },
    ],
    '^.+\\.ts$': [
      '<rootDir>/jest.transform.mjs',
      {
        swcrc: false,
        jsc: { target: 'es2023', parser: { syntax: 'typescript', tsx: false } },
        module: { type: 'es6' },
        sourceMaps: 'inline',
      },
    ],
  },
  // What takes long, or needs a disk of its own, runs on demand.
  testPathIgnorePatterns: ['/node_modules/', ...(process.env.PUNTADA_LONG ? [] : ['\\.long\\.test\\.ts$'])],
  modulePathIgnorePatterns: ['<rootDir>/.cache', '<rootDir>/web/dist', '<rootDir>/server/dist'],
  // Both cores of a small machine; jest would leave one idle.
  maxWorkers: 2,
  testTimeout: 30000,
};
