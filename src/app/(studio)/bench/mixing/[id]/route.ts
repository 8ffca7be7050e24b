import { NextResponse } from 'next/server'
import { NotFound } from '@/core/errors'
import { findMixing } from '@/db/mixings/mixings'
import { isId, withStudio } from '@/db/base/withStudio'
import { requireSession } from '@/session/current'
import { answer, checked } from '@/server/perform'
import { eventSchema } from '@/db/mixings/schema'
import { noteEvent } from '@/db/mixings/write'

type Context = { params: Promise<{ id: string }> }
const plain = { headers: { 'Cache-Control': 'private, no-store' } }

/** A mix in the making, as it stands. */
export async function GET(_: Request, { params }: Context) {
  const { id } = await params
  return NextResponse.json(
    await answer(async () => {
      const who = await requireSession()
      if (!isId(id)) throw new NotFound('mix')
      return withStudio(who, (tx) => findMixing(tx, id))
    }),
    plain,
  )
}

/** Adds what happened; answers the mix with it. */
export async function POST(request: Request, { params }: Context) {
  const { id } = await params
  return NextResponse.json(
    await answer(async () => {
      const who = await requireSession()
      if (!isId(id)) throw new NotFound('mix')
      const input = await checked(eventSchema, await request.json().catch(() => null))
      return withStudio(who, (tx) => noteEvent(tx, id, input))
    }),
    plain,
  )
}
