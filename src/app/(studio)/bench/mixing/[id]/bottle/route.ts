import { revalidatePath } from 'next/cache'
import { NextResponse } from 'next/server'
import { NotFound } from '@/core/errors'
import { isId, withStudio } from '@/db/base/withStudio'
import { requireSession } from '@/session/current'
import { answer, checked } from '@/server/perform'
import { bookMixingSchema } from '@/db/mixings/schema'
import { bookMixing } from '@/db/mixings/write'

/** Books a finished mix as a bottle; however often it is sent, one bottle is made. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const said = await answer(async () => {
    const who = await requireSession()
    if (!isId(id)) throw new NotFound('mix')
    const details = await checked(bookMixingSchema, await request.json().catch(() => null))
    return { id: await withStudio(who, (tx) => bookMixing(tx, id, details)) }
  })
  if (said.ok) revalidatePath('/', 'layout')
  return NextResponse.json(said)
}
