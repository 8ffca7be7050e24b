import { withStudio } from '@/db/base/withStudio'
import { knownMaterials, writeImport } from '@/exchange/import'
import { headOf, heldOf } from '@/exchange/inThread'
import { importSchema } from '@/exchange/request'
import { formOf, told } from '@/server/route'

/** Imports a file that was opened before, in one transaction; tells its progress as lines of JSON. */
export const POST = (request: Request) =>
  told(importSchema, formOf(request), async ({ file, mapping, update }, who, tell) => {
    const bytes = new Uint8Array(await file.arrayBuffer())
    const { kind, headings } = await headOf(bytes)
    const known = await withStudio(who, knownMaterials)
    const held = await heldOf(bytes, mapping, known)
    const kept = kind === 'table' ? { headings, mapping } : undefined
    const imported = await withStudio(who, (tx) =>
      writeImport(tx, held, known, kept, update, (done, of) => tell({ done, of })),
    )
    return imported
  })
