import { join } from 'node:path'
import pLimit from 'p-limit'
import { FikaError, Invalid, type ErrorCode } from '@/core/errors'

/** Work of one kind that is done in threads of its own, so that whoever else asks does not wait for it. */
export interface ThreadKind {
  /** What does it: a file below src, run as it stands. */
  readonly file: string
  /** Most a thread may hold on its heap, MB, and how long it may take, ms. */
  readonly mostMb: number
  readonly mostMs: number
  /** What is said when it took longer, or more. */
  readonly tooMuch: string
}

type Heard =
  | { readonly part: unknown }
  | { readonly done: unknown }
  | { readonly failed: { readonly code: ErrorCode; readonly message: string; readonly field?: string } }
  | { readonly broken: string }

/** Taken from the runtime and not imported: a bundler would take the thread's file for one of its own. */
const { Worker } = process.getBuiltinModule('node:worker_threads')
type Thread = InstanceType<typeof Worker>

/** Threads at once: with one a core, what is asked for meanwhile still gets its turn. */
const AT_ONCE = 2

const shared = globalThis as { fikaThreads?: Map<string, { idle: Thread[]; inTurn: ReturnType<typeof pLimit> }> }

function poolOf(kind: ThreadKind) {
  const pools = (shared.fikaThreads ??= new Map())
  const pool = pools.get(kind.file) ?? { idle: [], inTurn: pLimit(AT_ONCE) }
  pools.set(kind.file, pool)
  return pool
}

const refusalOf = ({ code, message, field }: { code: ErrorCode; message: string; field?: string }) =>
  code === 'Invalid' ? new Invalid(message, field) : new FikaError(code, message)

/** Starts a thread and waits until it listens: how long that takes is not the work's fault. */
async function begin({ file, mostMb }: ThreadKind): Promise<Thread> {
  const src = join(process.cwd(), 'src')
  const made = new Worker(join(src, 'server/threadEntry.mjs'), {
    workerData: { file: join(src, file) },
    execArgv: [],
    resourceLimits: { maxOldGenerationSizeMb: mostMb, maxYoungGenerationSizeMb: 32 },
    // Nothing secret is needed there.
    env: { NODE_ENV: process.env.NODE_ENV },
  })
  await new Promise((resolve, reject) => made.once('message', resolve).once('error', reject))
  made.unref()
  // One that breaks while it waits for work is found broken when it gets some.
  made.on('error', () => undefined)
  return made
}

function run<T>(thread: Thread, kind: ThreadKind, message: unknown, hear: (part: unknown) => void): Promise<T> {
  return new Promise((resolve, reject) => {
    const tooMuch = () => end(() => reject(new FikaError('TooLarge', kind.tooMuch)))
    const over = setTimeout(tooMuch, kind.mostMs)
    const onMessage = (heard: Heard) => {
      if ('part' in heard) hear(heard.part)
      else if ('done' in heard) end(() => resolve(heard.done as T))
      else if ('failed' in heard) end(() => reject(refusalOf(heard.failed)))
      else end(() => reject(new Error(heard.broken)))
    }
    const onError = (error: Error & { code?: string }) =>
      error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooMuch() : end(() => reject(error))
    const end = (say: () => void) => {
      clearTimeout(over)
      thread.off('message', onMessage).off('error', onError).off('exit', tooMuch)
      thread.unref()
      say()
    }
    thread.ref()
    thread.on('message', onMessage).on('error', onError).on('exit', tooMuch)
    thread.postMessage(message)
  })
}

/**
 * Does work in a thread: two of a kind at a time, the others wait their turn. A thread that failed is not used again.
 * @param hear gets what the thread hands out before it is done
 * @throws FikaError as the work does; TooLarge where it took too long or too much
 */
export function inThread<T>(
  kind: ThreadKind,
  message: unknown,
  hear: (part: never) => void = () => undefined,
): Promise<T> {
  const { idle, inTurn } = poolOf(kind)
  return inTurn(async () => {
    const thread = idle.pop() ?? (await begin(kind))
    try {
      const result = await run<T>(thread, kind, message, hear as (part: unknown) => void)
      idle.push(thread)
      return result
    } catch (error) {
      if (error instanceof FikaError && error.code !== 'TooLarge') idle.push(thread)
      else void thread.terminate()
      throw error
    }
  })
}
