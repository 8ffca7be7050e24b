import { withStudio } from '@/db/base/withStudio'
import { knownMaterials, writeImport } from '@/exchange/import'
import { heldOf } from '@/exchange/inThread'
import { importSchema } from '@/exchange/request'
import { formOf, told } from '@/server/route'

/** Imports a file that was opened before, in one transaction; tells its progress as lines of JSON. */
export const POST = (request: Request) =>
  told(importSchema, formOf(request), async ({ file, mapping, update }, who, tell) => {
    const bytes = new Uint8Array(await file.arrayBuffer())
    const known = await withStudio(who, knownMaterials)
    const held = await heldOf(bytes, mapping, known)
    return withStudio(who, (tx) => writeImport(tx, held, known, mapping, update, (done, of) => tell({ done, of })))
  })
