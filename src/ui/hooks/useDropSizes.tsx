'use client'

import { createContext, useContext, type ReactNode } from 'react'
import { START_DROPS, type DropSizes } from '@/core/quantity/dropSizes'

const Sizes = createContext<DropSizes>(START_DROPS)

/** Gives the drops of this studio's droppers to everything that counts or says drops. */
export function DropSizesHere({ sizes, children }: { sizes: DropSizes; children: ReactNode }) {
  return <Sizes.Provider value={sizes}>{children}</Sizes.Provider>
}

/** Volume of a drop of each liquid here, µl. */
export const useDropSizes = (): DropSizes => useContext(Sizes)
