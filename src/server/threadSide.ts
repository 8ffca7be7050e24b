import { parentPort } from 'node:worker_threads'
import { FikaError, Invalid } from '@/core/errors'

/**
 * The thread's side of `inThread`: answers every message with what the work gives back, or with its refusal.
 * @param work gets the message and the way to hand out parts before it is done
 */
export function answerThread<M>(work: (message: M, part: (part: unknown) => void) => unknown): void {
  parentPort!.postMessage('ready')
  parentPort!.on('message', async (message: M) => {
    const say = (answer: object) => parentPort!.postMessage(answer)
    try {
      say({ done: await work(message, (part) => say({ part })) })
    } catch (error) {
      if (error instanceof FikaError)
        say({
          failed: {
            code: error.code,
            message: error.message,
            ...(error instanceof Invalid && error.field ? { field: error.field } : {}),
          },
        })
      else say({ broken: error instanceof Error ? (error.stack ?? error.message) : String(error) })
    }
  })
}
