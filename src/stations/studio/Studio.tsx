import type { HouseWord } from '@/db/people/houseWords'
import type { StudioFacts } from '@/db/people/studio'
import { HouseRules } from './HouseRules'
import { HouseWords } from './HouseWords'
import { StudioNav } from './StudioNav'

/** The studio's own place: by which rules it works. */
export function Studio({
  studio,
  words,
  decides,
}: {
  studio: StudioFacts
  words: HouseWord[]
  /** Whether whoever looks is an owner. */
  decides: boolean
}) {
  return (
    <>
      <div className="head">
        <h1>
          {studio.name} <span className="sub">by which rules this house works</span>
        </h1>
      </div>
      <StudioNav here="/studio" />
      <div className="wide-left">
        <HouseRules studio={studio} decides={decides} />
        <div className="grid">
          <HouseWords words={words} zone={studio.zone} />
        </div>
      </div>
    </>
  )
}
