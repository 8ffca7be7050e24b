import { Link } from '@/ui/frame/Link'
import type { ReactNode } from 'react'
import { EmptyState } from '@/ui/frame/Notice'
import type { Question } from './questions'
import { cellText, type Sheet } from './sheet'
import styles from './notebook.module.css'

/**
 * One question a screen: the picture first, words under it, the numbers on demand and as a file.
 * @param search what narrows the question, as it stands in the address
 */
export function QuestionFrame({
  question,
  sheet,
  search = '',
  tools,
  children,
}: {
  question: Question
  sheet: Sheet
  search?: string
  tools?: ReactNode
  children: ReactNode
}) {
  return (
    <>
      <div className="head">
        <h1>{question.question}</h1>
        {tools}
        <Link className="go second" href="/notebook">
          All questions
        </Link>
      </div>
      {sheet.rows.length === 0 ? (
        <EmptyState title="Not enough yet">
          This screen needs {question.needs}. It answers by itself as soon as there is something to answer from.
        </EmptyState>
      ) : (
        <div className="grid">
          {children}
          <details className={`panel ${styles.numbers}`}>
            <summary>The numbers, {sheet.rows.length === 1 ? 'one row' : `${sheet.rows.length} rows`}</summary>
            <SheetTable sheet={sheet} />
            <a className="go second" href={`/notebook/${question.key}/numbers${search}`}>
              As CSV
            </a>
          </details>
        </div>
      )}
    </>
  )
}

function SheetTable({ sheet }: { sheet: Sheet }) {
  return (
    <div className={styles.scroll}>
      <table className="sheet">
        <thead>
          <tr>
            {sheet.columns.map((c) => (
              <th key={c.name} className={c.isNumber ? 'num' : undefined}>
                {c.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sheet.rows.map((r) => (
            <tr key={r.key}>
              {r.cells.map((cell, i) => (
                <td key={sheet.columns[i]!.name} className={sheet.columns[i]!.isNumber ? 'num' : undefined}>
                  {i === 0 && r.href ? <Link href={r.href}>{cellText(cell)}</Link> : cellText(cell)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
