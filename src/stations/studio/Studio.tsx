import type { Dropper } from '@/db/people/droppers'
import type { HouseWord } from '@/db/people/houseWords'
import type { StudioFacts } from '@/db/people/studio'
import { Droppers } from './Droppers'
import { HouseRules } from './HouseRules'
import { HouseWords } from './HouseWords'

/** The studio's own place: by which rules it works, and with which droppers. */
export function Studio({ studio, droppers, words }: { studio: StudioFacts; droppers: Dropper[]; words: HouseWord[] }) {
  return (
    <>
      <div className="head">
        <h1>
          Studio <span className="sub">by which rules this house works</span>
        </h1>
      </div>
      <div className="wide-left">
        <HouseRules studio={studio} />
        <div className="grid">
          <HouseWords words={words} zone={studio.zone} />
          <Droppers droppers={droppers} units={studio.units} />
        </div>
      </div>
    </>
  )
}
