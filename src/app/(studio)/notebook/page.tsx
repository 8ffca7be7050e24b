import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { QuestionList } from '@/stations/notebook/QuestionList'
import { shortAnswers } from '@/stations/notebook/shortAnswers'

export const metadata: Metadata = { title: 'Notebook' }

export default async function NotebookPage() {
  return <QuestionList answers={await inStudio((tx) => shortAnswers(tx, new Date()))} />
}
