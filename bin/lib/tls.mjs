// TLS for the house network: an authority of this house, made once and trusted once on each device, and a certificate
// for the addresses this machine has now. Made by openssl, from Debian.
import { X509Certificate } from 'node:crypto'
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { hostname, networkInterfaces } from 'node:os'
import { BlockList, isIP } from 'node:net'
import { join } from 'node:path'
import { must } from './shell.mjs'
import { step } from './steps.mjs'

const AUTHORITY_DAYS = 3650
/** Browsers take a certificate of at most 398 days (CA/Browser Forum, baseline requirements 6.3.2). */
const CERTIFICATE_DAYS = 397
const RENEWED_BEFORE_DAYS = 30

/**
 * What the authority may speak for: the house's own names and the networks that are never routed between houses (RFC
 * 1918, RFC 6598, RFC 3927, RFC 6762, RFC 8375). Whoever got hold of its key could not stand in for anybody else.
 */
const NETWORKS = [
  ['10.0.0.0', '255.0.0.0', 8],
  ['172.16.0.0', '255.240.0.0', 12],
  ['192.168.0.0', '255.255.0.0', 16],
  ['100.64.0.0', '255.192.0.0', 10],
  ['169.254.0.0', '255.255.0.0', 16],
  ['127.0.0.0', '255.0.0.0', 8],
]
const NAMES = ['local', 'home.arpa', 'localhost']

const house = new BlockList()
for (const [network, , bits] of NETWORKS) house.addSubnet(network, bits)

const isIp = (address) => isIP(address) !== 0

/** Whether an address is one of the house's own. */
const isOfHouse = (address) =>
  isIp(address) ? house.check(address) : NAMES.some((n) => address === n || address.endsWith(`.${n}`))

/** Addresses this machine has in the house: its network addresses, and its name as the house knows it. */
export function houseAddresses() {
  const found = Object.values(networkInterfaces())
    .flat()
    .filter((a) => a && !a.internal && a.family === 'IPv4')
    .map((a) => a.address)
  const name = hostname().split('.')[0].toLowerCase()
  return /^[a-z0-9-]{1,63}$/.test(name) ? [...found, `${name}.local`] : found
}

const alt = (address) => (isIp(address) ? `IP:${address}` : `DNS:${address}`)

/** Writes a file for our eyes, then does something with its path, then is rid of it. */
async function withFile(path, text, work) {
  writeFileSync(path, text, { mode: 0o600 })
  try {
    return await work(path)
  } finally {
    rmSync(path, { force: true })
  }
}

const newKey = ['-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:P-256', '-nodes']

/** @param addresses those outside the house's own ranges are permitted one by one */
async function makeAuthority(folder, addresses) {
  const own = addresses.filter((a) => !isOfHouse(a)).map((a) => (isIp(a) ? `IP:${a}/255.255.255.255` : `DNS:${a}`))
  const permitted = [
    ...NETWORKS.map(([network, mask]) => `IP:${network}/${mask}`),
    ...NAMES.map((n) => `DNS:${n}`),
    ...own,
  ]
  const config = `[req]
distinguished_name = dn
x509_extensions = of_authority
prompt = no
[dn]
CN = Fika in this house, ${new Date().toISOString().slice(0, 10)}
[of_authority]
basicConstraints = critical, CA:TRUE, pathlen:0
keyUsage = critical, keyCertSign, cRLSign
subjectKeyIdentifier = hash
nameConstraints = critical, ${permitted.map((p) => `permitted;${p}`).join(', ')}
`
  const [key, crt] = [join(folder, 'authority.key'), join(folder, 'authority.crt')]
  await withFile(join(folder, 'authority.conf'), config, (conf) =>
    must('openssl', [
      ...['req', '-x509', '-config', conf, ...newKey, '-keyout', `${key}.partial`, '-out', `${crt}.partial`],
      ...['-sha256', '-days', String(AUTHORITY_DAYS)],
    ]),
  )
  chmodSync(`${key}.partial`, 0o600)
  renameSync(`${key}.partial`, key)
  renameSync(`${crt}.partial`, crt)
}

async function makeCertificate(folder, addresses) {
  const at = (name) => join(folder, name)
  const config = `[req]
distinguished_name = dn
prompt = no
[dn]
CN = Fika
[of_server]
basicConstraints = critical, CA:FALSE
keyUsage = critical, digitalSignature
extendedKeyUsage = serverAuth
subjectKeyIdentifier = hash
authorityKeyIdentifier = keyid
subjectAltName = ${addresses.map(alt).join(', ')}
`
  await withFile(at('server.conf'), config, async (conf) => {
    await must('openssl', [
      ...['req', '-new', '-config', conf, ...newKey],
      ...['-keyout', at('server.key.partial'), '-out', at('server.csr')],
    ])
    await must('openssl', [
      ...['x509', '-req', '-in', at('server.csr'), '-CA', at('authority.crt'), '-CAkey', at('authority.key')],
      ...['-CAcreateserial', '-sha256', '-days', String(CERTIFICATE_DAYS)],
      ...['-extfile', conf, '-extensions', 'of_server', '-out', at('server.crt.partial')],
    ])
  })
  chmodSync(at('server.key.partial'), 0o600)
  renameSync(at('server.key.partial'), at('server.key'))
  renameSync(at('server.crt.partial'), at('server.crt'))
  rmSync(at('server.csr'), { force: true })
}

/** Whether a certificate speaks for all of these addresses, and still will for a while. */
function stillGood(file, authority, addresses, now) {
  try {
    const certificate = new X509Certificate(readFileSync(file))
    const left = new Date(certificate.validTo).getTime() - now.getTime()
    return (
      left > RENEWED_BEFORE_DAYS * 86_400_000 &&
      certificate.checkIssued(new X509Certificate(readFileSync(authority))) &&
      addresses.every((a) => (isIp(a) ? certificate.checkIP(a) : certificate.checkHost(a)))
    )
  } catch {
    return false
  }
}

/**
 * What TLS needs for these addresses; made where it is not there, or not good any more. The authority stays as it is,
 * so that no device has to trust it twice.
 * @returns the texts of key, certificate and authority (PEM), and the authority's fingerprint to compare
 */
export async function ensureTls(home, addresses, now = new Date()) {
  const folder = join(home, 'tls')
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const at = (name) => join(folder, name)
  const isNew = !existsSync(at('authority.key')) || !existsSync(at('authority.crt'))
  if (isNew) await step('Making an authority of this house', () => makeAuthority(folder, addresses))
  if (isNew || !stillGood(at('server.crt'), at('authority.crt'), addresses, now))
    await step(`Making a certificate for ${addresses.join(', ')}`, () => makeCertificate(folder, addresses))
  const text = (name) => readFileSync(at(name), 'utf8')
  return {
    key: text('server.key'),
    certificate: text('server.crt'),
    authority: text('authority.crt'),
    fingerprint: new X509Certificate(text('authority.crt')).fingerprint256,
  }
}
