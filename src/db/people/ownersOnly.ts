import { Forbidden } from '@/core/errors'
import { OWNER_DECIDES } from '@/core/people/roles'
import type { Tx } from '../base/withStudio'

/** @throws Forbidden where whoever acts is no owner; the database says so too, in its own words */
export function ownersOnly(tx: Pick<Tx, 'role'>): void {
  if (tx.role !== 'owner' && tx.role !== 'studio') throw new Forbidden(OWNER_DECIDES)
}
