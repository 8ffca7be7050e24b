import { expose } from 'comlink'
import { FikaError } from '@/core/errors'
import { findOrder, type FoundOrder, type OrderTask } from '@/core/layering/cupOrder'

/** The order that was found, or one sentence why there is none. */
export type Ordered =
  { readonly ok: true; readonly value: FoundOrder } | { readonly ok: false; readonly message: string }

const worker = {
  order(task: OrderTask): Ordered {
    try {
      return { ok: true, value: findOrder(task) }
    } catch (error) {
      if (error instanceof FikaError) return { ok: false, message: error.message }
      throw error
    }
  },
}
export type CupOrderWorker = typeof worker

expose(worker)
