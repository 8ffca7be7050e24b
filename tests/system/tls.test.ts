import { execFile } from 'node:child_process'
import { X509Certificate } from 'node:crypto'
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { request } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { serve, type Front } from '@/front/serve'

interface Made {
  readonly key: string
  readonly certificate: string
  readonly authority: string
  readonly fingerprint: string
}

const home = mkdtempSync(join(tmpdir(), 'fika-tls-'))
afterAll(() => rmSync(home, { recursive: true }))

/** What the launcher makes for these addresses, on some day. */
async function made(addresses: readonly string[], now = new Date(), at = home): Promise<Made> {
  const script = `const t = await import(${JSON.stringify(join(process.cwd(), 'bin/lib/tls.mjs'))})
    console.log('ANSWER ' + JSON.stringify(await t.ensureTls(${JSON.stringify(at)}, ${JSON.stringify(addresses)}, new Date(${now.getTime()}))))`
  const { stdout } = await promisify(execFile)(process.execPath, ['--input-type=module', '-e', script])
  return JSON.parse(stdout.split('ANSWER ')[1]!) as Made
}

let front: Front | undefined
afterEach(async () => {
  await front?.stop()
  front = undefined
})

/** Asks a server that speaks TLS as `servername`; an authority that is not named is not trusted. */
const ask = (port: number, path: string, ca?: string, address = '127.0.0.1', headers: Record<string, string> = {}) =>
  new Promise<{ status: number; text: string; headers: Record<string, unknown> }>((resolve, reject) => {
    const sent = request(
      // The name of the certificate is checked against the host that is asked for.
      { host: address, port, path, ...(ca ? { ca } : {}), headers: { host: `127.0.0.1:${port}`, ...headers } },
      (r) => {
        let text = ''
        r.on('data', (d: Buffer) => (text += d.toString()))
        r.on('end', () => resolve({ status: r.statusCode!, text, headers: r.headers }))
      },
    )
    sent.on('error', reject)
    sent.end()
  })

async function served(tls: Made): Promise<number> {
  const app = (_: unknown, response: { end(text: string): void }) => response.end('the app')
  const probe = await serve(app as never, async () => false, { host: '127.0.0.1', port: 0 }, {})
  const { port } = probe.server.address() as AddressInfo
  await probe.stop()
  front = await serve(
    app as never,
    async () => false,
    { host: '127.0.0.1', port, tls: { key: tls.key, cert: tls.certificate, authority: tls.authority } },
    { FIKA_ORIGIN: `https://127.0.0.1:${port}` },
  )
  return port
}

describe('TLS in the house', () => {
  it('is trusted by who trusts the house’s authority, and by nobody else', async () => {
    const tls = await made(['127.0.0.1', 'bench.local'])
    const port = await served(tls)
    await expect(ask(port, '/rack')).rejects.toMatchObject({ code: expect.stringMatching(/SELF_SIGNED|UNABLE_TO/) })
    const said = await ask(port, '/rack', tls.authority)
    expect(said).toMatchObject({ status: 200, text: 'the app' })
    expect(said.headers['strict-transport-security']).toMatch(/^max-age=/)
    // The authority is fetched from the server itself, once; it is the public half alone.
    const fetched = await ask(port, '/authority.crt', tls.authority)
    expect(fetched).toMatchObject({ status: 200, text: tls.authority })
    expect(fetched.text).not.toContain('PRIVATE')
  })
  it('speaks for its addresses alone, and the authority for none outside a house', async () => {
    const tls = await made(['127.0.0.1', 'bench.local'])
    const certificate = new X509Certificate(tls.certificate)
    expect(certificate.checkIP('127.0.0.1')).toBe('127.0.0.1')
    expect(certificate.checkHost('bench.local')).toBe('bench.local')
    expect(certificate.checkHost('fika.example')).toBeUndefined()
    expect(certificate.ca).toBe(false)
    expect(new X509Certificate(tls.authority).ca).toBe(true)
    const days = (new Date(certificate.validTo).getTime() - new Date(certificate.validFrom).getTime()) / 86_400_000
    expect(days).toBeLessThanOrEqual(398)
    // A name outside is not taken from it, though the certificate says so: the authority is bound to the house.
    const outside = await made(['203.0.113.9', '127.0.0.1'])
    const port = await served(outside)
    await expect(ask(port, '/rack', outside.authority)).rejects.toThrow(/permitted subtree violation|UNSPECIFIED/i)
  })
  it('of a machine whose address is none of a house’s own speaks for that one address as well', async () => {
    const elsewhere = mkdtempSync(join(tmpdir(), 'fika-tls-'))
    try {
      const tls = await made(['203.0.113.9', '127.0.0.1'], new Date(), elsewhere)
      const port = await served(tls)
      expect(await ask(port, '/rack', tls.authority)).toMatchObject({ status: 200 })
      await front!.stop()
      const moved = await made(['203.0.113.10', '127.0.0.1'], new Date(), elsewhere)
      const again = await served(moved)
      await expect(ask(again, '/rack', moved.authority)).rejects.toThrow(/permitted subtree violation|UNSPECIFIED/i)
    } finally {
      rmSync(elsewhere, { recursive: true })
    }
  })
  it('keeps its authority; a new address or a month before the end makes a new certificate', async () => {
    const first = await made(['127.0.0.1'])
    expect(await made(['127.0.0.1'])).toEqual(first)
    const moved = await made(['127.0.0.1', '192.168.1.20'])
    expect([moved.authority, moved.fingerprint]).toEqual([first.authority, first.fingerprint])
    expect(moved.certificate).not.toBe(first.certificate)
    const later = await made(['127.0.0.1'], new Date(Date.now() + 370 * 86_400_000))
    expect(later.certificate).not.toBe(moved.certificate)
    expect(later.authority).toBe(first.authority)
  })
  it('leaves keys for its owner’s eyes alone, and nothing half made', () => {
    const folder = join(home, 'tls')
    expect(statSync(folder).mode & 0o077).toBe(0)
    for (const name of readdirSync(folder)) {
      expect(name).toMatch(/^(authority|server)\.(key|crt|srl)$/)
      if (name.endsWith('.key')) {
        expect(statSync(join(folder, name)).mode & 0o077).toBe(0)
        expect(readFileSync(join(folder, name), 'utf8')).toContain('PRIVATE KEY')
      }
    }
  })
})
