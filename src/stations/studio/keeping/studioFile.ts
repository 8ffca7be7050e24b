import { createReadStream, createWriteStream } from 'node:fs'
import { mkdtemp, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { v7 as uuidv7 } from 'uuid'
import { FikaError } from '@/core/errors'
import { withStudio } from '@/db/base/withStudio'
import { bringInEverything } from '@/db/everything/bringIn'
import { ownersOnly } from '@/db/people/ownersOnly'
import { openStudio } from '@/db/people/members'
import type { Session } from '@/db/people/sessions'
import { openStudioArchive, writeStudioArchive } from '@/exchange/studioArchive'

/** One at a time: each holds a connection, and a file as large as the studio. */
let underWay = false

async function oneAtATime<T>(work: () => Promise<T>): Promise<T> {
  if (underWay)
    throw new FikaError('Busy', 'A studio is just being taken out or brought in. Wait a moment, then try again.')
  underWay = true
  try {
    return await work()
  } finally {
    underWay = false
  }
}

/** A folder of one's own for one file, and the way to be rid of both. */
async function passingFile(): Promise<{ path: string; gone: () => Promise<void> }> {
  const folder = await mkdtemp(join(tmpdir(), 'fika-studio-'))
  return { path: join(folder, 'studio.zip'), gone: () => rm(folder, { recursive: true, force: true }) }
}

/**
 * Everything of the studio as one file, as of one moment. An owner's.
 * @throws Forbidden; FikaError Busy
 */
export async function studioTakenOut(who: Session): Promise<Response> {
  ownersOnly(who)
  return oneAtATime(async () => {
    const { path, gone } = await passingFile()
    try {
      const manifest = await withStudio(who, (tx) => writeStudioArchive(tx, path), { oneMoment: true })
      const { size } = await stat(/* turbopackIgnore: true */ path)
      const file = createReadStream(/* turbopackIgnore: true */ path)
      file.once('close', () => void gone())
      const name = manifest.name.replace(/[^\p{L}\p{N} ]/gu, '').trim() || 'studio'
      return new Response(Readable.toWeb(file) as ReadableStream<Uint8Array>, {
        headers: {
          'Content-Type': 'application/zip',
          'Content-Length': String(size),
          'Content-Disposition': `attachment; filename="studio.zip"; filename*=UTF-8''${encodeURIComponent(`${name} ${manifest.takenAt.slice(0, 10)}.zip`)}`,
          'Cache-Control': 'private, no-store',
        },
      })
    } catch (error) {
      await gone()
      throw error
    }
  })
}

/**
 * Makes a studio of an archive that was sent, as its owner, and opens it.
 * @param body as it comes in @returns the studio's name
 * @throws Invalid, Conflict; FikaError Busy
 */
export async function studioBroughtIn(who: Session, body: ReadableStream<Uint8Array> | null): Promise<string> {
  return oneAtATime(async () => {
    const { path, gone } = await passingFile()
    try {
      await pipeline(
        body ? Readable.fromWeb(body as import('node:stream/web').ReadableStream) : Readable.from([]),
        createWriteStream(path, { mode: 0o600 }),
      )
      const archive = await openStudioArchive(path)
      try {
        const studioId = uuidv7()
        const name = await withStudio({ studioId, accountId: null }, (tx) =>
          bringInEverything(tx, who.accountId, archive.files),
        )
        await openStudio(who, { studioId })
        return name
      } finally {
        archive.close()
      }
    } finally {
      await gone()
    }
  })
}
