import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { inStudio } from '@/session/current'
import { answerOf } from '@/stations/notebook/answers'
import { QuestionFrame } from '@/stations/notebook/QuestionFrame'
import { questionOf } from '@/stations/notebook/questions'
import { firstValues, type Search } from '@/ui/frame/search'

type Params = Promise<{ question: string }>

export async function generateMetadata({ params }: { params: Params }): Promise<Metadata> {
  return { title: questionOf((await params).question)?.question ?? 'Notebook' }
}

export default async function QuestionPage({ params, searchParams }: { params: Params; searchParams: Search }) {
  const { question: key } = await params
  const [question, answer] = [questionOf(key), answerOf(key)]
  if (!question || !answer) notFound()
  const search = firstValues(await searchParams)
  const { sheet, show } = await inStudio((tx) => answer(tx, search, new Date()))
  const asked = new URLSearchParams(search).toString()
  return (
    <QuestionFrame question={question} sheet={sheet} search={asked && `?${asked}`}>
      {sheet.rows.length ? show() : null}
    </QuestionFrame>
  )
}
