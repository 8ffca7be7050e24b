import { bandOf, type Band } from '@/core/consistency/levelTime'
import { Mound } from '@/ui/pictures/Mound'
import styles from './consistency.module.css'

/** The studio's bands with a mound each; where the mix is now, and where it should be. */
export function BandScale({
  bands,
  wantedS,
  nowS,
}: {
  bands: readonly Band[]
  wantedS?: readonly [number, number] | undefined
  nowS?: number | null | undefined
}) {
  const here = nowS ? bandOf(nowS, bands) : undefined
  const typical = (i: number) => (bands[i - 1] ? (bands[i]!.fromS + bands[i - 1]!.fromS) / 2 : bands[i]!.fromS * 1.4)
  return (
    <ol className={styles.bands} aria-label="Bands of consistency">
      {bands.map((b, i) => {
        const upTo = bands[i - 1]?.fromS ?? Infinity
        const wanted = wantedS && wantedS[0] < upTo && wantedS[1] > b.fromS
        return (
          <li key={b.name} data-here={b === here ? '' : undefined} data-wanted={wanted ? '' : undefined}>
            <Mound levelTimeS={typical(i)} width={92} />
            <b>{b.name}</b>
            <small>
              {upTo === Infinity ? `over ${b.fromS} s` : b.fromS === 0 ? `under ${upTo} s` : `${b.fromS}–${upTo} s`}
            </small>
            <small className={styles.bandsMark}>
              {[b === here ? 'now' : '', wanted ? 'wanted' : ''].filter(Boolean).join(' · ')}
            </small>
          </li>
        )
      })}
    </ol>
  )
}
