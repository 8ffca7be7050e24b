import type { Tx } from '../base/withStudio'
import { book, type Booked, type Booking } from '../ledger/book'
import { refreshLook } from './colour'
import { refreshKeep } from './keep'

/**
 * Works out all that follows from what bottles now hold: colour, sheen, additives, and until when they keep.
 * @param keeps whether the last follows from the content alone
 * @throws Invalid where an additive has come into something that is to be free of it
 */
export async function settle(tx: Tx, vesselIds: readonly string[], keeps: boolean): Promise<void> {
  await refreshLook(tx, vesselIds)
  if (keeps) await refreshKeep(tx, vesselIds)
}

/** Books a movement that changes what is in bottles, and settles what follows. @throws as `book` does */
export const bookMix = (tx: Tx, booking: Omit<Booking, 'settle'>): Promise<Booked> => book(tx, { ...booking, settle })
