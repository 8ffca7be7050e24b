// npm start -- --lan: Fika for the tablet and the phones of the house, over TLS.
import { freePort } from './ports.mjs'
import { say, Stop } from './steps.mjs'
import { ensureTls, houseAddresses } from './tls.mjs'

/**
 * What it takes to speak to the house network.
 * @returns the port, the environment of the app, and the way to tell the address
 * @throws Stop where this machine is on no network
 */
export async function askedForLan(home, addresses = houseAddresses()) {
  if (!addresses.some((a) => /^[\d.]+$/.test(a)))
    throw new Stop('This machine is on no network. Connect it, or start Fika without --lan.')
  const tls = await ensureTls(home, addresses)
  const port = await freePort(4343, '0.0.0.0')
  const urls = addresses.map((a) => `https://${a}:${port}`)
  const configured = (process.env.FIKA_ORIGIN ?? '').trim()
  return {
    port,
    urls,
    env: {
      FIKA_TLS_KEY: tls.key,
      FIKA_TLS_CERTIFICATE: tls.certificate,
      FIKA_TLS_AUTHORITY: tls.authority,
      FIKA_ORIGIN: [configured, ...urls].filter(Boolean).join(' '),
    },
    async tell() {
      const { default: encodeQR } = await import('qr')
      say(`In the house: ${urls.join(' or ')}`)
      say(`To be trusted once on each device: ${urls[0]}/authority.crt (docs/house-network.md)`)
      say(`Its fingerprint begins with ${tls.fingerprint.slice(0, 23)}`)
      process.stdout.write(`${encodeQR(urls[0], 'ascii', { ecc: 'low' })}\n`)
    },
  }
}
