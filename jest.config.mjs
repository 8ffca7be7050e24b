import { availableParallelism } from 'node:os'

/** Unit and SQL tests: pure files anywhere under src, SQL against a real server named by FIKA_TEST_DATABASE. */
const config = {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{src,demo,bin,tests/system}/**/*.test.{ts,tsx}'],
  moduleNameMapper: {
    '^fast-check$': '<rootDir>/tests/support/fastCheck.cjs',
    '\\.module\\.css$': '<rootDir>/tests/support/cssModule.cjs',
    '^@/(.*)$': '<rootDir>/src/$1',
  },
  transform: {
    '^.+\\.(t|j|mj)sx?$': [
      '<rootDir>/tests/support/transform.mjs',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(uuid|qr|culori|node-pg-migrate|glob|p-limit|yocto-queue)/)'],
  testTimeout: 30000,
  // One more than there are cores: some wait for what other processes do.
  maxWorkers: availableParallelism() + 1,
}
export default config
