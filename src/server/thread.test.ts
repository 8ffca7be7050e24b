import { inThread, type ThreadKind } from './thread'

const KIND: ThreadKind = {
  file: '../tests/support/slowThread.ts',
  mostMb: 64,
  mostMs: 1500,
  tooMuch: 'Too much of it.',
}
const ask = (what: string) => inThread<string>(KIND, what)

describe('work in a thread', () => {
  it('is answered, with what it hands out on the way', async () => {
    const parts: string[] = []
    expect(await inThread<string>(KIND, 'hello', (part: string) => parts.push(part))).toBe('hello')
    expect(parts).toEqual(['half'])
  })
  it('that takes for ever, or everything, ends with a sentence; the next is answered, and this process goes on', async () => {
    let ticks = 0
    const tick = setInterval(() => (ticks += 1), 10)
    await expect(ask('forever')).rejects.toMatchObject({ code: 'TooLarge', message: 'Too much of it.' })
    clearInterval(tick)
    expect(ticks).toBeGreaterThan(50)
    await expect(ask('everything')).rejects.toMatchObject({ code: 'TooLarge' })
    expect(await ask('after')).toBe('after')
  })
  it('keeps what kind of refusal it was, tells a fault from one, and lives through its thread leaving', async () => {
    await expect(ask('refuse')).rejects.toMatchObject({ name: 'Invalid', field: 'file', message: 'Not this one.' })
    await expect(ask('break')).rejects.toThrow('TypeError: a bug')
    await expect(ask('leave')).rejects.toMatchObject({ code: 'TooLarge' })
    expect(await ask('after')).toBe('after')
  })
})
