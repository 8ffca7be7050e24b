import type { Metadata } from 'next'
import { TechniqueShelf } from '@/stations/plan/techniques/TechniqueShelf'

export const metadata: Metadata = { title: 'Techniques' }

export default function TechniquesPage() {
  return <TechniqueShelf />
}
