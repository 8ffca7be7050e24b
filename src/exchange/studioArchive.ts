import { createWriteStream } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import Papa from 'papaparse'
import { ZipFile } from 'yazl'
import { Invalid } from '@/core/errors'
import type { Tx } from '@/db/base/withStudio'
import type { Files } from '@/db/everything/bringIn'
import { takeOutEverything, type Manifest } from '@/db/everything/takeOut'
import { BadZip, openZip } from './zip'

/** What an archive of a studio may come to inside: entries, and bytes of one of them. */
const LIMITS = { entries: 200_000, inflated: 500_000_000 } as const

/** What stands in an archive for whoever opens it without Fika. */
const READ_ME = `Everything of one studio, as Fika kept it.

csv/       every table as a list, for a spreadsheet
tables/    the same as JSON, a file a table; from these the studio can be made again
pictures/  photos, named by the row they belong to
fika.json  what this archive is, and the sum of each table

Volumes are in microlitres, masses in milligrams, lengths in millimetres, money in the smallest unit of the currency,
times in UTC. To bring it into Fika: Studio, Keeping, Bring a studio in.
`

/**
 * Writes everything of a studio into an archive. To be called in a transaction that sees one moment.
 * @param path of the file to write
 */
export async function writeStudioArchive(tx: Tx, path: string): Promise<Manifest> {
  const zip = new ZipFile()
  const written = pipeline(zip.outputStream, createWriteStream(path, { mode: 0o600 }))
  // What goes wrong with the file is told at the end, and must not go by unheard until then.
  written.catch(() => undefined)
  const add = (name: string, content: Buffer | string) =>
    // Pictures are packed already.
    zip.addBuffer(Buffer.from(content), name, { compress: !name.startsWith('pictures/') })
  add('READ ME.txt', READ_ME)
  const manifest = await takeOutEverything(
    tx,
    async (name, content) => add(name, content),
    async (name, columns, rows) => {
      const data = rows.map((row) => {
        const said = JSON.parse(row) as Record<string, unknown>
        return columns.map((c) => (typeof said[c] === 'object' && said[c] !== null ? JSON.stringify(said[c]) : said[c]))
      })
      add(`csv/${name}.csv`, Papa.unparse({ fields: [...columns], data }, { escapeFormulae: true, newline: '\r\n' }))
    },
  )
  add('fika.json', JSON.stringify(manifest, null, 1))
  zip.end()
  await written
  return manifest
}

/**
 * Opens an archive of a studio.
 * @returns its files by path, and the way to let go of it
 * @throws Invalid where it is no archive, or larger inside than it may be
 */
export async function openStudioArchive(path: string): Promise<{ files: Files; close: () => void }> {
  const refused = (error: unknown) => {
    if (!(error instanceof BadZip)) throw error
    return new Invalid('That is no archive of a studio, or it is not whole. Take it out again, then choose that file.')
  }
  const zip = await openZip(path, LIMITS).catch((error: unknown) => {
    throw refused(error)
  })
  return {
    close: () => zip.close(),
    files: async (name) => {
      try {
        const pieces: Buffer[] = []
        for await (const piece of zip.read(name)) pieces.push(piece)
        return Buffer.concat(pieces)
      } catch (error) {
        throw refused(error)
      }
    },
  }
}
