import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { readSecrets } from './secrets.mjs'

let home: string
const file = () => join(home, 'secrets.json')
beforeEach(() => {
  home = mkdtempSync(join(tmpdir(), 'fika-secrets-'))
})
afterEach(() => rmSync(home, { recursive: true, force: true }))

describe('the passwords of a data folder', () => {
  it('are made once, long, each its own, and for this user alone', () => {
    const first = readSecrets(home)
    expect(first.made).toBe(true)
    expect(new Set(Object.values(first.secrets)).size).toBe(4)
    for (const secret of Object.values(first.secrets)) expect(secret).toMatch(/^[0-9a-f]{48,}$/)
    expect(statSync(file()).mode & 0o777).toBe(0o600)
    expect(readSecrets(home)).toEqual({ secrets: first.secrets, made: false })
  })

  it.each(['', '{"admin": "short"}', '{"admin": 7}', 'null', '[]'])(
    'are made anew where %p is all there is, and what was there is kept beside',
    (damage) => {
      const { secrets } = readSecrets(home)
      writeFileSync(file(), damage)
      const again = readSecrets(home)
      expect(again.made).toBe(true)
      expect(again.secrets.admin).not.toBe(secrets.admin)
      expect(readFileSync(`${file()}.damaged`, 'utf8')).toBe(damage)
      expect(readSecrets(home)).toEqual({ secrets: again.secrets, made: false })
    },
  )

  it('are closed to others again where somebody opened them', () => {
    const { secrets } = readSecrets(home)
    rmSync(file())
    writeFileSync(file(), JSON.stringify(secrets), { mode: 0o644 })
    expect(readSecrets(home).made).toBe(false)
    expect(statSync(file()).mode & 0o777).toBe(0o600)
  })
})
