import { words } from '../../../../tests/support/words'
import { mixable } from '../../../../tests/support/mixable'
import type { DriedPair } from '@/core/colour/driedIn'
import { NO_RULES } from '@/core/mix/houseRules'
import type { MediumKind } from '@/core/paint/properties'
import { formulaView } from './deskDraft'
import { InThePour, strengthWords } from './InThePour'

describe('a formula once it is carried', () => {
  const weak = mixable('violet', { hex: '#6a4a9a', strength: 'weak', opacity: 'semi-transparent' })
  const strong = mixable('plum', { hex: '#563690', strength: 'very strong' })
  const gold = mixable('gold', { hex: '#c9a13a', sheen: 'metallic', strength: 'very strong' })
  const drawer = new Map([weak, strong, gold].map((m) => [m.id, m]))
  const used = (...amounts: [string, string][]) =>
    formulaView(
      amounts.map(([id, amount]) => ({ id, amount })),
      'parts',
      100_000,
      drawer,
    ).used
  const house = (medium: number, paint = 1) => ({ ...NO_RULES, byBody: { soft: { medium, paint } } })
  const say = (
    u: ReturnType<typeof used>,
    rules = NO_RULES as Parameters<typeof InThePour>[0]['rules'],
    more: { medium?: MediumKind; dried?: DriedPair[] } = {},
  ) => words(<InThePour used={u} rules={rules} medium={more.medium ?? null} dried={more.dried ?? []} />)
  it('says how it hides at the ratio of the house, and what more paint brings where it is washed out', () => {
    const violet = used(['violet', '1'])
    expect(say(violet, house(1, 5))).toMatch(/Poured At 1 : 5, house rule by body: in a usual pour it hides all/)
    expect(say(violet)).toMatch(/At 2 : 1, by body: in a usual pour it covers 0\.[89]/)
    expect(say(violet, house(12))).toMatch(/washed out by the medium\. \d+ ml more paint brings 0\.70\./)
    expect(say(used(['gold', '1']))).not.toContain('Poured')
  })
  it('says what the medium leaves in the dried film once mixes were painted out in it', () => {
    const veiled: DriedPair[] = [0.5, 0.6, 0.7, 0.8].map((share) => ({
      computed: [40, 20, -30],
      dried: [40 + 5 * share, 20, -30],
      medium: 'glue',
      mediumShare: share,
    }))
    const violet = used(['violet', '1'])
    expect(say(violet, NO_RULES, { medium: 'glue', dried: veiled })).toMatch(/In glue it dries \d\.\d lighter/)
    expect(say(violet, NO_RULES, { medium: 'gloss medium', dried: veiled })).not.toContain('it dries')
    expect(say(violet, NO_RULES, { dried: veiled })).not.toContain('it dries')
  })
  it('says how many ml of the weakest colour as deep as one of the strongest; flakes and likes are left out', () => {
    const said = strengthWords(used(['violet', '3'], ['plum', '1']))!
    expect(Number(/as deep as ([\d.]+) ml of violet/.exec(said)![1])).toBeGreaterThan(5)
    expect(said).toMatch(/^1 ml of plum/)
    expect(strengthWords(used(['violet', '1']))).toBeUndefined()
    expect(strengthWords(used(['violet', '1'], ['gold', '1']))).toBeUndefined()
    expect(strengthWords([{ material: weak }, { material: { ...weak, id: 'twin' } }])).toBeUndefined()
  })
})
