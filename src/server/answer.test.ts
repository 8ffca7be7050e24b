import { number, object, string } from 'yup'
import { Conflict, Invalid } from '@/core/errors'
import { idSchema } from '@/db/base/idSchema'
import { answer, checked } from './answer'

jest.mock('@/session/cookie', () => ({ tokenHere: async () => undefined }))

const schema = object({
  name: string().trim().required('Type a name.'),
  parts: number().min(0, 'Parts cannot be below zero.'),
})

describe('what comes in', () => {
  it('is trimmed, stripped and typed', async () => {
    expect(await checked(schema, { name: ' Teal ', parts: '2', more: 1 })).toEqual({ name: 'Teal', parts: 2 })
  })
  it('names the field that is wrong', async () => {
    const wrong = checked(schema, { name: 'Teal', parts: -1 })
    await expect(wrong).rejects.toMatchObject({
      code: 'Invalid',
      message: 'Parts cannot be below zero.',
      field: 'parts',
    })
    await expect(checked(schema, null)).rejects.toMatchObject({ code: 'Invalid' })
  })
  it('takes UUIDv7 as ids and nothing else', async () => {
    expect(idSchema.isValidSync('01930a2b-7c3d-7e4f-8a1b-2c3d4e5f6a7b')).toBe(true)
    for (const bad of ['', 'x', '01930a2b-7c3d-4e4f-8a1b-2c3d4e5f6a7b', "01930a2b-7c3d-7e4f-8a1b-2c3d4e5f6a7b'", null])
      expect(idSchema.isValidSync(bad)).toBe(false)
  })
})

describe('what goes out', () => {
  it('is a value, or one sentence with its code and field', async () => {
    expect(await answer(async () => 5)).toEqual({ ok: true, value: 5 })
    const invalid = await answer(async () => {
      throw new Invalid('Type a name.', 'name')
    })
    expect(invalid).toEqual({ ok: false, code: 'Invalid', message: 'Type a name.', field: 'name' })
    const conflict = await answer(async () => {
      throw new Conflict('Somebody was first.')
    })
    expect(conflict).toEqual({ ok: false, code: 'Conflict', message: 'Somebody was first.' })
  })
  it('never shows the unexpected, and logs it', async () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined)
    const said = await answer(async () => {
      throw new Error('relation "secret" does not exist')
    })
    expect(said).toMatchObject({ ok: false, code: 'Unexpected' })
    expect(JSON.stringify(said)).not.toMatch('secret')
    expect(log).toHaveBeenCalledTimes(1)
    log.mockRestore()
  })
  it('lets the framework’s own signals pass', async () => {
    const redirect = Object.assign(new Error('NEXT_REDIRECT'), { digest: 'NEXT_REDIRECT;push;/sign-in;307;' })
    await expect(
      answer(async () => {
        throw redirect
      }),
    ).rejects.toBe(redirect)
  })
})
