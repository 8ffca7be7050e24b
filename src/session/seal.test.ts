import { sealData } from 'iron-session'
import { sealing, tokenIn } from './seal'

const SECRET = 'a secret of thirty-two characters'
beforeAll(() => {
  process.env.FIKA_COOKIE_SECRET = SECRET
})

describe('the cookie', () => {
  it('is for this server alone, out of reach of scripts, and under TLS bound to this host', () => {
    expect(sealing('fika', false)).toMatchObject({
      cookieName: 'fika',
      cookieOptions: { httpOnly: true, sameSite: 'lax', secure: false, path: '/' },
    })
    expect(sealing('fika', true)).toMatchObject({
      cookieName: '__Host-fika',
      cookieOptions: { httpOnly: true, sameSite: 'lax', secure: true, path: '/' },
    })
    expect(sealing('fika-device', true, 365)).toMatchObject({ cookieName: '__Host-fika-device', ttl: 365 * 24 * 3600 })
  })
  it('is read only where we sealed it', async () => {
    const ours = await sealData({ token: 't1' }, { password: SECRET })
    const other = await sealData({ token: 't2' }, { password: 'another secret of thirty-two char' })
    expect(await tokenIn(`a=b; fika=${ours}; c=d`)).toBe('t1')
    expect(await tokenIn(`__Host-fika=${encodeURIComponent(ours)}`)).toBe('t1')
    for (const none of [
      '',
      'a=b',
      `fika=${other}`,
      `fika=${ours.slice(0, -3)}`,
      'fika=t1',
      `notfika=${ours}`,
      'fika=%',
    ])
      expect(await tokenIn(none)).toBeUndefined()
  })
})
