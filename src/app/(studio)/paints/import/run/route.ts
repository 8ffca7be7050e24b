import { revalidatePath } from 'next/cache'
import { withStudio } from '@/db/base/withStudio'
import { requireSession } from '@/session/current'
import { answer } from '@/server/perform'
import { importFile, type Imported } from '@/exchange/import'
import { checkImport } from '@/exchange/request'

/** Imports a file that was opened before, in one transaction; tells its progress as lines of JSON. */
export async function POST(request: Request) {
  const site = request.headers.get('sec-fetch-site')
  if (site && site !== 'same-origin') return new Response('Only Fika’s own pages may import.', { status: 403 })
  const started = await answer(async () => ({
    who: await requireSession(),
    ...(await checkImport(await request.json().catch(() => null))),
  }))
  if (!started.ok)
    return new Response(`${JSON.stringify({ message: started.message })}\n`, {
      status: started.code === 'SignedOut' ? 401 : 400,
    })
  const { who, file, mapping, update } = started.value
  const encoder = new TextEncoder()
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const tell = (line: object) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`))
      const result = await answer(() =>
        withStudio(who, (tx): Promise<Imported> =>
          importFile(tx, file, mapping, update, (done, of) => tell({ done, of })),
        ),
      )
      if (result.ok) revalidatePath('/paints', 'layout')
      tell(result.ok ? { imported: result.value } : { message: result.message })
      controller.close()
    },
  })
  return new Response(stream, {
    headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
  })
}
