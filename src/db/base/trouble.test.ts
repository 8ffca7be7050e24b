import pg from 'pg'
import { troubleOf } from './trouble'

const coded = (code: string) => Object.assign(new Error('x'), { code })

describe('a database that cannot', () => {
  it('is told as such, with what to do, and everything else is none of it', () => {
    for (const code of ['57P01', 'ECONNREFUSED', '53300'])
      expect(troubleOf(coded(code))?.message).toMatch(/does not answer.*try again/)
    for (const code of ['53100', 'ENOSPC']) expect(troubleOf(coded(code))?.message).toMatch(/disk is full.*Make room/)
    for (const error of [coded('23505'), new Error('timeout'), undefined, null, 'x'])
      expect(troubleOf(error)).toBeUndefined()
  })
  it('is known by what node-postgres throws: refused, cut off, and no line coming free', async () => {
    const refused = await new pg.Client({ host: '127.0.0.1', port: 1, user: 'x', password: 'x' })
      .connect()
      .catch((e: Error) => e)
    expect(troubleOf(refused)?.code).toBe('Busy')
    const client = new pg.Client({ connectionString: process.env.FIKA_DATABASE })
    await client.connect()
    client.on('error', () => undefined)
    const cut = client.query('select pg_terminate_backend(pg_backend_pid())').catch((e: Error) => e)
    expect(troubleOf(await cut)?.code).toBe('Busy')
    const pool = new pg.Pool({ connectionString: process.env.FIKA_DATABASE, max: 1 })
    const held = await pool.connect()
    pool.options.connectionTimeoutMillis = 50
    const none = await pool.connect().catch((e: Error) => e)
    expect(troubleOf(none)?.message).toMatch(/^Fika is busy just now/)
    held.release()
    await pool.end()
  })
})
