'use server'

import { object } from 'yup'
import type { Answer } from '@/core/answer'
import { wishForBackup } from '@/db/everything/backups'
import { ownersOnly } from '@/db/people/ownersOnly'
import { ask } from '@/server/perform'

/** Has a back-up made now, by whoever started Fika. */
export async function backUpNowAction(): Promise<Answer<null>> {
  return ask(object(), {}, async (_, who) => {
    ownersOnly(who)
    await wishForBackup()
    return null
  })
}
