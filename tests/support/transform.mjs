/**
 * Compiles a file for Jest, and gives it what computations ask of the language by a name of its own: looked up in the
 * global scope of a test, every `Math` is a call out of the engine, and a loop over pixels takes several times as long.
 */
import { createTransformer } from '@swc/jest'

const NAMES = [
  'Math',
  'Number',
  'Array',
  'Object',
  'Infinity',
  'NaN',
  'Map',
  'Set',
  'Float64Array',
  'Float32Array',
  'Int32Array',
  'Uint8Array',
  'Uint8ClampedArray',
]
const BEGIN = '"use strict";\n'

const transformer = {
  createTransformer(options) {
    const swc = createTransformer(options)
    const named = (out) => {
      if (!out.code.startsWith(BEGIN)) return out
      const used = NAMES.filter(
        (name) =>
          new RegExp(`\\b${name}\\b`).test(out.code) &&
          !new RegExp(`\\b(const|let|var|class|function) ${name}\\b`).test(out.code),
      )
      // On the line that is there, so that every line keeps its number.
      const own = used.map((name) => `const ${name} = globalThis.${name};`).join('')
      return { ...out, code: BEGIN.trimEnd() + own + '\n' + out.code.slice(BEGIN.length) }
    }
    return {
      ...swc,
      process: (...args) => named(swc.process(...args)),
      getCacheKey: (...args) => `${swc.getCacheKey(...args)} ${NAMES.length} 1`,
    }
  },
}
export default transformer
