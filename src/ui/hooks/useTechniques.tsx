'use client'

import { createContext, useContext, useMemo, type ReactNode } from 'react'
import type { Technique } from '@/core/technique/technique'
import { SHIPPED, TechniqueBook } from '@/core/technique/techniques'

const Book = createContext<TechniqueBook>(SHIPPED)

/** Gives the techniques of this studio to everything that chooses or names one. */
export function TechniquesHere({ own, children }: { own: readonly Technique[]; children: ReactNode }) {
  const book = useMemo(() => new TechniqueBook(own), [own])
  return <Book.Provider value={book}>{children}</Book.Provider>
}

/** Those that ship with Fika, and this studio's own. */
export const useTechniques = (): TechniqueBook => useContext(Book)
