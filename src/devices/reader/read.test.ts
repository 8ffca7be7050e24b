import { createServer, type Server } from 'node:net'
import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { reflectanceFromHex } from '@/core/colour/reflectance'
import { random } from '../../../tests/support/random'
import { calibrateReader, readerAddress, readerStatus, readSwatch } from './read'
import { startStandIn, type StandIn, type StandInOptions } from './standIn'

const HOUR = 3_600_000

let time = Date.UTC(2026, 0, 5, 9)

const open: { close(): unknown }[] = []

async function standIn(
  more: Partial<StandInOptions> = {},
): Promise<StandIn & { address: { host: string; port: number } }> {
  const device = await startStandIn({ port: 0, random: random(3), clock: () => time, readingMs: 2, ...more })
  open.push(device)
  return { ...device, address: { host: '127.0.0.1', port: device.port } }
}

/** A device that says these lines and no more. */
async function saying(...lines: string[]) {
  const server: Server = createServer((socket) => socket.on('error', () => undefined).write(lines.join('\n') + '\n'))
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  open.push(server)
  return { host: '127.0.0.1', port: (server.address() as { port: number }).port }
}

afterEach(async () => {
  for (const o of open.splice(0)) await o.close()
})

const teal = [...reflectanceFromHex('#136a78')]

describe('reading a swatch', () => {
  it('averages noisy readings to the swatch, and says how even they are', async () => {
    const device = await standIn()
    device.place(teal)
    const read = await readSwatch(device.address, { times: 5 }, time)
    expect(deltaE00(read.lab, hexToLab('#136a78'))).toBeLessThan(0.6)
    expect(read).toMatchObject({ used: 5, rejected: 0, standIn: true, calibrate: false })
    expect(read.reflectance).toHaveLength(36)
    expect(read.spread).toBeGreaterThan(0)
  })
  it('leaves out a reading taken beside the swatch', async () => {
    const device = await standIn({ slipEvery: 4 })
    const read = await readSwatch(device.address, { times: 5, place: teal }, time)
    expect(read).toMatchObject({ used: 4, rejected: 1 })
    expect(deltaE00(read.lab, hexToLab('#136a78'))).toBeLessThan(0.6)
  })
  it('warns of a reader that has not seen its white tile, and is right after it has', async () => {
    const device = await standIn({ calibrated: false, noise: 0 })
    const before = await readSwatch(device.address, { times: 2, place: teal }, time)
    expect(before).toMatchObject({ calibrate: true, calibratedAt: null })
    expect(await calibrateReader(device.address, 1000, time)).toMatchObject({ calibrate: false })
    const after = await readSwatch(device.address, { times: 2 }, time)
    expect(deltaE00(after.lab, hexToLab('#136a78'))).toBeLessThan(0.05)
    expect(deltaE00(before.lab, hexToLab('#136a78'))).toBeGreaterThan(0.3)
    time += 9 * HOUR
    expect(await readerStatus(device.address, 1000, time)).toMatchObject({ calibrate: true, name: 'Stand-in reader' })
  })
  it('two who read at once do not get each other’s swatch', async () => {
    const device = await standIn({ noise: 0 })
    const brick = [...reflectanceFromHex('#93402f')]
    const [one, two] = await Promise.all(
      [teal, brick].map((place) => readSwatch(device.address, { times: 3, place }, time)),
    )
    expect(deltaE00(one!.lab, hexToLab('#136a78'))).toBeLessThan(0.5)
    expect(deltaE00(two!.lab, hexToLab('#93402f'))).toBeLessThan(0.5)
  })
  it('drifts while it is left alone', async () => {
    const device = await standIn({ noise: 0 })
    const at = async () => (await readSwatch(device.address, { times: 1, place: teal }, time)).lab
    const fresh = await at()
    time += 240 * HOUR
    expect(deltaE00(fresh, await at())).toBeGreaterThan(1)
  })
})

describe('a reader that sees the gloss too', () => {
  it('has the reflection of the surface taken off its spectra', async () => {
    const glossy = new Array(36).fill(0.04 + 0.96 * 0.25)
    const hello = '{"device":"colour reader","protocol":1,"name":"R","calibratedAt":null,"specularIncluded":true}'
    const address = await saying(hello, JSON.stringify({ reading: { lab: [0, 0, 0], reflectance: glossy } }))
    const read = await readSwatch(address, { times: 1, timeoutMs: 500 })
    expect(read.reflectance![0]!).toBeCloseTo(0.25, 2)
    expect(read.reflectance![0]!).toBeLessThan(glossy[0])
  })
})

describe('what goes wrong at the cable', () => {
  it('the plug pulled in the middle: one sentence, and the next reading works', async () => {
    const device = await standIn({ readingMs: 40 })
    const reading = readSwatch(device.address, { times: 5, place: teal })
    setTimeout(() => device.unplug(), 100)
    await expect(reading).rejects.toMatchObject({
      code: 'Device',
      message: expect.stringContaining('went away in the middle'),
    })
    expect((await readSwatch(device.address, { times: 2 })).used).toBe(2)
  })
  it('nothing plugged in', async () => {
    const device = await standIn()
    await device.close()
    await expect(readSwatch(device.address, { times: 1 })).rejects.toThrow('No colour reader answers')
    await expect(readerStatus(undefined)).rejects.toThrow('No colour reader answers')
  })
  it('another device, one that babbles, and one that falls silent', async () => {
    await expect(readerStatus(await saying('{"device":"toaster"}'))).rejects.toThrow('not a colour reader Fika knows')
    await expect(readerStatus(await saying('SN 0042 READY'))).rejects.toThrow('not a colour reader Fika knows')
    await expect(readerStatus(await saying('x'.repeat(70_000)))).rejects.toThrow('not a colour reader Fika knows')
    const hello = '{"device":"colour reader","protocol":1,"name":"R","calibratedAt":null}'
    await expect(readSwatch(await saying(hello), { times: 1, timeoutMs: 50 })).rejects.toThrow('does not answer')
    const wrong = await saying(hello, '{"reading":{"lab":[1,2]}}')
    await expect(readSwatch(wrong, { times: 1, timeoutMs: 200 })).rejects.toThrow('not a colour reader Fika knows')
    const refusing = await saying(hello, '{"error":"lid open"}')
    await expect(readSwatch(refusing, { times: 1, timeoutMs: 200 })).rejects.toThrow('could not do that')
  })
  it('the stand-in refuses what it does not understand and keeps going', async () => {
    const device = await standIn()
    const { connect } = await import('node:net')
    const lines = await new Promise<string>((resolve) => {
      let said = ''
      const socket = connect(device.address, () => socket.write('{"do":"dance"}\n{"do":"place"}\n{"do":"read"}\n'))
      socket.on('data', (d) => {
        said += String(d)
        if (said.includes('"reading"')) {
          socket.destroy()
          resolve(said)
        }
      })
    })
    expect(lines.match(/"error"/g)).toHaveLength(2)
  })
  it('only talks to loopback', () => {
    expect(readerAddress('127.0.0.1:7411')).toEqual({ host: '127.0.0.1', port: 7411 })
    expect(readerAddress('localhost:7411')).toEqual({ host: '127.0.0.1', port: 7411 })
    for (const bad of ['', '10.0.0.7:80', '127.0.0.1', 'reader:7411']) expect(readerAddress(bad)).toBeUndefined()
  })
})
