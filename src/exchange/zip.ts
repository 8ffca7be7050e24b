import { promisify } from 'node:util'
import { fromBuffer, type Entry, type ZipFile } from 'yauzl'

/** Entries a workbook may have, and what one of them may come to when it is inflated, in bytes. */
const MOST_ENTRIES = 500
const MOST_INFLATED = 64_000_000

/** An archive that is broken, or larger inside than any list of ours. */
export class BadZip extends Error {}

const open = promisify((bytes: Buffer, done: (error: Error | null, zip: ZipFile) => void) =>
  fromBuffer(bytes, { lazyEntries: true, validateEntrySizes: true, strictFileNames: true }, done),
)

/** The entries of an archive by their names; nothing is inflated yet. */
export interface Archive {
  readonly names: ReadonlySet<string>
  /** Inflates one entry piece by piece, and stops where it grows over the bound, whatever the archive says of its size. */
  read(name: string): AsyncIterable<Buffer>
}

/** Reads an archive's directory. @throws BadZip */
export async function openZip(bytes: Uint8Array): Promise<Archive> {
  const zip = await open(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength)).catch((error: Error) => {
    throw new BadZip(error.message)
  })
  if (zip.entryCount > MOST_ENTRIES) throw new BadZip('too many entries')
  const entries = new Map<string, Entry>()
  await new Promise<void>((resolve, reject) => {
    zip.on('error', (error: Error) => reject(new BadZip(error.message)))
    zip.on('end', resolve)
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry)
      zip.readEntry()
    })
    zip.readEntry()
  })
  const stream = promisify(
    zip.openReadStream.bind(zip) as (e: Entry, done: (error: Error | null, s: NodeJS.ReadableStream) => void) => void,
  )
  return {
    names: new Set(entries.keys()),
    async *read(name) {
      const entry = entries.get(name)
      if (!entry) throw new BadZip(`no ${name}`)
      if (entry.uncompressedSize > MOST_INFLATED) throw new BadZip(`${name} is too large`)
      let seen = 0
      try {
        for await (const piece of await stream(entry)) {
          seen += (piece as Buffer).length
          if (seen > MOST_INFLATED) throw new BadZip(`${name} is too large`)
          yield piece as Buffer
        }
      } catch (error) {
        throw error instanceof BadZip ? error : new BadZip((error as Error).message)
      }
    },
  }
}
