import { Invalid } from '@/core/errors'
import { answerThread } from '@/server/threadSide'

/** A thread that does what a test asks of it. */
answerThread<string>(async (what, part) => {
  if (what === 'forever') for (;;);
  if (what === 'everything') {
    const held: number[][] = []
    for (;;) held.push(Array.from({ length: 100_000 }, (_, i) => i * 1.5))
  }
  if (what === 'refuse') throw new Invalid('Not this one.', 'file')
  if (what === 'break') throw new TypeError('a bug')
  if (what === 'leave') process.exit(3)
  part('half')
  return what
})
