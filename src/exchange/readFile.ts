import { Invalid } from '@/core/errors'
import { decodeText } from './csv'
import { FORMATS } from './formats'
import { LIMITS, type ReadFile } from './table'

/** Bytes of a file that are looked at to tell what it is. */
const LOOKED_AT = 4096

/** Reads a file by what is in it, not by its name. @throws Invalid when it is nothing Fika reads */
export async function readFile(bytes: Uint8Array): Promise<ReadFile> {
  if (bytes.length === 0) throw new Invalid('This file is empty. Choose another.', 'file')
  if (bytes.length > LIMITS.bytes)
    throw new Invalid('This file is larger than 8 MB. Split it, and import the parts.', 'file')
  const head = bytes.subarray(0, LOOKED_AT)
  const isUtf16 = bytes[0] === 0xff || bytes[0] === 0xfe
  const start = decodeText(head)
    .replace(/^\uFEFF/, '')
    .trimStart()
  const format = FORMATS.find((f) => f.sniff?.(bytes, start)) ?? FORMATS.find((f) => f.read && !f.sniff)
  if (!format?.read || (format.isText && head.includes(0) && !isUtf16))
    throw new Invalid(`This is not a list Fika reads. Bring ${FORMATS.map((f) => f.name).join(', ')}.`, 'file')
  return format.read(bytes)
}
