// The passwords of a data folder: made once, kept for this user alone.
import { randomBytes } from 'node:crypto'
import { chmodSync, existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const secret = () => randomBytes(24).toString('hex')
const NAMES = ['admin', 'owner', 'app', 'cookie']

const fileOf = (home) => join(home, 'secrets.json')

/** What is kept; undefined where nothing is, or where it is not whole. */
function kept(home) {
  try {
    const secrets = JSON.parse(readFileSync(fileOf(home), 'utf8'))
    return NAMES.every((n) => typeof secrets[n] === 'string' && secrets[n].length >= 32) ? secrets : undefined
  } catch (error) {
    if (error.code && error.code !== 'ENOENT') throw error
    return undefined
  }
}

/**
 * The secrets of a data folder.
 * @returns them, and whether they were made just now: because there were none, or because those there are not whole
 */
export function readSecrets(home) {
  const found = kept(home)
  if (found) {
    chmodSync(fileOf(home), 0o600)
    return { secrets: found, made: false }
  }
  const file = fileOf(home)
  if (existsSync(file)) renameSync(file, `${file}.damaged`)
  const secrets = { admin: secret(), owner: secret(), app: secret(), cookie: secret() + secret() }
  writeFileSync(`${file}.partial`, JSON.stringify(secrets), { mode: 0o600 })
  renameSync(`${file}.partial`, file)
  return { secrets, made: true }
}
