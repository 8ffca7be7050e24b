import { deviceWord, placeOf, publicOrigin } from './asker'

const sent = new Headers()
jest.mock('next/headers', () => ({ headers: async () => sent }))

afterEach(() => {
  for (const name of [...sent.keys()]) sent.delete(name)
  delete process.env.FIKA_ORIGIN
})

describe('who asks', () => {
  it('stands where the front says, whatever else was sent', async () => {
    sent.set('x-forwarded-for', '6.6.6.6')
    expect(await placeOf()).toBe('here')
    sent.set('x-fika-from', '203.0.113.9')
    expect(await placeOf()).toBe('203.0.113.9')
  })
  it.each([
    ['Mozilla/5.0 (Linux) Mobile Safari', '?0', 'a phone'],
    ['Mozilla/5.0 (Linux)', '?1', 'a phone'],
    ['Mozilla/5.0 (X11; Linux x86_64)', '?0', 'a computer or tablet'],
    ['', '', 'a computer or tablet'],
    ['<script>alert(1)</script>'.repeat(500), '<', 'a computer or tablet'],
  ])('%.40s (%s) comes on %s', async (agent, hint, word) => {
    sent.set('user-agent', agent)
    sent.set('sec-ch-ua-mobile', hint)
    expect(await deviceWord()).toBe(word)
  })
})

describe('the address on labels', () => {
  it('is the one that is configured, else the one the front let through, and never what a request says', async () => {
    sent.set('host', 'evil.example')
    sent.set('x-forwarded-proto', 'javascript')
    expect(await publicOrigin()).toBe('http://127.0.0.1:4310')
    sent.set('x-fika-origin', 'http://localhost:4310')
    expect(await publicOrigin()).toBe('http://localhost:4310')
    process.env.FIKA_ORIGIN = 'https://fika.example, http://studio.example'
    expect(await publicOrigin()).toBe('https://fika.example')
  })
})
