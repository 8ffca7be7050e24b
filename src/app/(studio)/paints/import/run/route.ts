import { revalidatePath } from 'next/cache'
import { importFile } from '@/exchange/import'
import { fileOf, importSchema } from '@/exchange/request'
import { bodyOf, told } from '@/server/route'

/** Imports a file that was opened before, in one transaction; tells its progress as lines of JSON. */
export async function POST(request: Request) {
  const site = request.headers.get('sec-fetch-site')
  if (site && site !== 'same-origin') return new Response('Only Fika’s own pages may import.', { status: 403 })
  return told(
    importSchema,
    await bodyOf(request),
    (tx, sent, tell) => {
      const { file, mapping } = fileOf(sent)
      return importFile(tx, file, mapping, sent.update, (done, of) => tell({ done, of }))
    },
    () => revalidatePath('/paints', 'layout'),
  )
}
