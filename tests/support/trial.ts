/** Whether what is done is taken back at its end: the whole transaction runs, and then it never was. */
export const trial = { on: false }

class TakenBack extends Error {
  constructor(readonly value: unknown) {
    super('taken back')
  }
}

/** What stands in for `@/db/base/withStudio`: the real one, and while a trial is on, one that takes everything back. */
export function trialStudio(): typeof import('@/db/base/withStudio') {
  const real = jest.requireActual<typeof import('@/db/base/withStudio')>('@/db/base/withStudio')
  const trying: typeof real.withStudio = async (who, work, way) => {
    if (!trial.on) return real.withStudio(who, work, way)
    try {
      return await real.withStudio(who, async (tx) => {
        throw new TakenBack(await work(tx))
      })
    } catch (error) {
      if (error instanceof TakenBack) return error.value as never
      throw error
    }
  }
  return { ...real, withStudio: trying }
}
