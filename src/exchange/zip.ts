import { promisify } from 'node:util'
import { fromBuffer, open as openFile, type Entry, type Options, type ZipFile } from 'yauzl'

/** How many entries an archive may have, and what one of them may come to when it is inflated, in bytes. */
export interface ZipLimits {
  readonly entries: number
  readonly inflated: number
}

/** Of a workbook. */
const OF_A_LIST: ZipLimits = { entries: 500, inflated: 64_000_000 }

/** An archive that is broken, or larger inside than any list of ours. */
export class BadZip extends Error {}

const HOW: Options = { lazyEntries: true, validateEntrySizes: true, strictFileNames: true, autoClose: false }

const open = promisify((from: Uint8Array | string, done: (error: Error | null, zip: ZipFile) => void) =>
  typeof from === 'string'
    ? openFile(from, HOW, done)
    : fromBuffer(Buffer.from(from.buffer, from.byteOffset, from.byteLength), HOW, done),
)

/** The entries of an archive by their names; nothing is inflated yet. */
export interface Archive {
  readonly names: ReadonlySet<string>
  /** Inflates one entry piece by piece, and stops where it grows over the bound, whatever the archive says of its size. */
  read(name: string): AsyncIterable<Buffer>
  /** Lets go of the file, where it is one. */
  close(): void
}

/** Reads an archive's directory. @param from its bytes, or the path of its file @throws BadZip */
export async function openZip(from: Uint8Array | string, limits: ZipLimits = OF_A_LIST): Promise<Archive> {
  const zip = await open(from).catch((error: Error) => {
    throw new BadZip(error.message)
  })
  if (zip.entryCount > limits.entries) {
    zip.close()
    throw new BadZip('too many entries')
  }
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
    close: () => zip.close(),
    names: new Set(entries.keys()),
    async *read(name) {
      const entry = entries.get(name)
      if (!entry) throw new BadZip(`no ${name}`)
      if (entry.uncompressedSize > limits.inflated) throw new BadZip(`${name} is too large`)
      let seen = 0
      try {
        for await (const piece of await stream(entry)) {
          seen += (piece as Buffer).length
          if (seen > limits.inflated) throw new BadZip(`${name} is too large`)
          yield piece as Buffer
        }
      } catch (error) {
        throw error instanceof BadZip ? error : new BadZip((error as Error).message)
      }
    },
  }
}
