import { useMemo } from 'react'
import { asDeepAs, depthText, MOST_TIMES } from '@/core/colour/strength'
import { driedInShift, driedInWords, type DriedPair } from '@/core/colour/driedIn'
import { CARRIER, hidingWords } from '@/core/colour/hidingWords'
import { opticsOf } from '@/core/colour/packOptics'
import { houseRatioOf, type HouseRules } from '@/core/mix/houseRules'
import type { MediumKind } from '@/core/paint/properties'
import { FLAKES } from '@/core/paint/sheenOfMix'
import { formatRatio } from '@/core/quantity/ratio'
import type { Used } from './deskDraft'

/** What becomes of a formula once it is carried: how it hides in a pour at the house's ratio, what the medium leaves in the dried film, and how unlike its paints are in strength. */
export function InThePour({
  used,
  rules,
  medium,
  dried,
}: {
  used: readonly Used[]
  rules: HouseRules
  medium: MediumKind | null
  dried: readonly DriedPair[]
}) {
  const most = [...used].sort((a, b) => b.parts - a.parts)[0]
  const ratio = houseRatioOf(most?.material, rules)
  const carrier = ratio.medium / ratio.paint
  // A film's scattering is searched for: not anew for every letter typed elsewhere.
  const hides = useMemo(
    () =>
      hidingWords([
        ...used.map((u) => ({ material: u.material, ul: u.ul })),
        { material: CARRIER, ul: carrier * used.reduce((sum, u) => sum + u.ul, 0) },
      ]),
    [used, carrier],
  )
  const veil = medium
    ? driedInWords(driedInShift(dried, medium, ratio.medium / (ratio.medium + ratio.paint)))
    : undefined
  const strength = strengthWords(used)
  return (
    <>
      {hides ? (
        <>
          <dt>Poured</dt>
          <dd>
            At {formatRatio([ratio.medium, ratio.paint])}, {ratio.from}: {hides[0]!.toLowerCase() + hides.slice(1)}
            {veil ? ` In ${medium} it dries ${veil}, as mixes painted out in it did here.` : ''}
          </dd>
        </>
      ) : null}
      {strength ? (
        <>
          <dt>Strength</dt>
          <dd>{strength}</dd>
        </>
      ) : null}
    </>
  )
}

/** The weakest paint of a mix against the strongest, in white; nothing where they are alike, or flakes take part. */
export function strengthWords(used: readonly Pick<Used, 'material'>[]): string | undefined {
  const coloured = used
    .map((u) => u.material)
    .filter((m) => m.hex && !FLAKES.includes(m.sheen!))
    .map((m) => ({ name: m.name, optics: opticsOf(m) }))
  const pairs = coloured.flatMap((strong) =>
    coloured.flatMap((weak) =>
      weak === strong ? [] : [{ weak, strong, times: asDeepAs(weak.optics, strong.optics) }],
    ),
  )
  const said = pairs.filter((p) => p.times !== undefined && p.times <= MOST_TIMES && p.times >= 1.5)
  const widest = said.sort((a, b) => b.times! - a.times!)[0]
  return widest
    ? `1 ml of ${widest.strong.name} colours white as deep as ${depthText(widest.times!)} of ${widest.weak.name}.`
    : undefined
}
