import { Link } from '@/ui/frame/Link'
import { QUESTIONS, type QuestionKey } from './questions'
import styles from './notebook.module.css'

/** Every question with what it answers by now, or with what it still needs. */
export function QuestionList({ answers }: { answers: Readonly<Partial<Record<QuestionKey, string>>> }) {
  return (
    <>
      <div className="head">
        <h1>
          Notebook <span className="sub">what this studio knows by now</span>
        </h1>
      </div>
      <ul className={styles.questions}>
        {QUESTIONS.map((q) => (
          <li key={q.key}>
            <Link href={`/notebook/${q.key}`}>
              <b>{q.question}</b>
              <span className={answers[q.key] ? undefined : 'muted'}>{answers[q.key] ?? `Needs ${q.needs}.`}</span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  )
}
