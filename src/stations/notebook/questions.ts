/** Questions makers ask themselves, one a screen, in the order they are offered. */
export const QUESTIONS = [
  {
    key: 'faults',
    question: 'What causes this fault?',
    needs: 'pieces that were looked at, some of them with a fault',
  },
  { key: 'trials', question: 'What did this trial say?', needs: 'a trial of two things that differ in one' },
  { key: 'works', question: 'What works here?', needs: 'three rated pieces of one kind' },
  { key: 'amounts', question: 'How much paint does it really take?', needs: 'three pieces of one technique' },
  { key: 'cracks', question: 'How thick is too thick?', needs: 'dry pieces whose film is known' },
  { key: 'goes', question: 'Where does the paint go?', needs: 'a bought container or a mixed bottle' },
  {
    key: 'runs-out',
    question: 'What runs out, with plans counted?',
    needs: 'counted containers, or plans that are short',
  },
  { key: 'cost', question: 'What does a piece cost?', needs: 'a poured piece' },
  { key: 'buying', question: 'Which way to buy?', needs: 'paints with a price and a size' },
  { key: 'ratios', question: 'What do our ratios really come to?', needs: 'a bottle mixed by a ratio' },
  { key: 'colours', question: 'Which colours came out as computed?', needs: 'a formula that was painted out' },
  { key: 'next-time', question: 'What did we want to try next?', needs: 'a “next time” noted on a piece' },
  { key: 'journal', question: 'What moved?', needs: 'anything booked' },
] as const

export type QuestionKey = (typeof QUESTIONS)[number]['key']
export type Question = (typeof QUESTIONS)[number]

export const questionOf = (key: string): Question | undefined => QUESTIONS.find((q) => q.key === key)
