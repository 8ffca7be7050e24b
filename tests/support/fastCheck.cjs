/**
 * fast-check as the tests use it: a case that fails is told at once with its seed. Making it smaller can take most of an
 * hour where amounts are doubles; FIKA_SHRINK=1 does so. FIKA_RUNS=1000 tries that many cases where a test names none.
 */
// eslint-disable-next-line @typescript-eslint/no-require-imports -- a mapped module is CommonJS
const fc = require('../../node_modules/fast-check/lib/cjs/fast-check.js')

fc.configureGlobal({
  endOnFailure: !process.env.FIKA_SHRINK,
  ...(process.env.FIKA_RUNS ? { numRuns: Number(process.env.FIKA_RUNS) } : {}),
})

module.exports = fc
