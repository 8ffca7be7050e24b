import { array, number, object, string } from 'yup'
import { calibrateReader, readerAddress, readerStatus, readSwatch } from '@/devices/reader/read'
import { ask } from '@/server/perform'
import { answered, bodyOf } from '@/server/route'

const schema = object({
  do: string()
    .oneOf(['read', 'calibrate', 'status'] as const)
    .required(),
  times: number().integer().min(1).max(20, 'Twenty readings of one swatch are the most.').default(5),
  place: array(number().min(0).max(1.2).required()).length(36).optional(),
})

/** Asks the colour reader on this machine: a swatch, its white tile, or how it stands. */
export async function POST(request: Request) {
  return answered(
    await ask(schema, bodyOf(request), (wish): Promise<unknown> => {
      const address = readerAddress()
      if (wish.do === 'read') return readSwatch(address, wish)
      return wish.do === 'calibrate' ? calibrateReader(address) : readerStatus(address)
    }),
  )
}
