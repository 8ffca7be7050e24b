'use client'

import { useRouter } from 'next/navigation'

/** What a tap on a chart does: it opens what lies behind the mark, by its place among the marks, which are drawn before anything else. */
export function useOpens(marks: readonly { readonly href?: string | undefined }[]) {
  const router = useRouter()
  return (_: unknown, [at]: readonly { readonly index: number }[]) => {
    const href = at && marks[at.index]?.href
    if (href) router.push(href)
  }
}
