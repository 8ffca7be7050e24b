'use client'

import { Button, ColorPicker, Select } from 'antd'
import { CHOSEN_FATES, FATE_WORDS } from '@/core/piece/fates'
import { FAULTS } from '@/core/piece/faults'
import { SearchBox } from '@/ui/frame/SearchBox'
import { useAddressFilter } from '@/ui/hooks/useAddressFilter'
import { showsMore, WALL_SIZES, wallFilterSchema, type WallFilter } from './wallFilter'

/** What of the wall can be chosen from. */
export interface WallChoices {
  readonly techniques: readonly { readonly key: string; readonly name: string }[]
  readonly bottles: readonly { readonly id: string; readonly label: string }[]
  readonly paints: readonly { readonly id: string; readonly name: string }[]
}

const any = (words: string) => ({ value: '', label: words })

/** Search of the wall: words, colour, and everything else a piece can be found by. */
export function WallFilters({ filter, choices }: { filter: WallFilter; choices: WallChoices }) {
  const { q, type, go: goTo, shown } = useAddressFilter(filter, wallFilterSchema.getDefault())
  // Another search begins on its first page.
  const go = (change: Partial<WallFilter>) => goTo({ ...change, from: 0 })
  return (
    <div className="tools" role="search">
      <SearchBox value={q} onType={type} label="Search the wall" placeholder="Search titles, looks, words" />
      <span className="row flush">
        <ColorPicker
          value={shown.colour ? `#${shown.colour}` : '#ffffff'}
          disabledAlpha
          format="hex"
          onChangeComplete={(c) => go({ colour: c.toHexString().slice(1, 7) })}
        >
          <Button aria-label="Find by colour">
            <span
              aria-hidden="true"
              style={{
                width: 22,
                height: 22,
                border: '1px solid currentcolor',
                background: shown.colour ? `#${shown.colour}` : 'none',
              }}
            />
            {shown.colour ? 'this colour' : 'any colour'}
          </Button>
        </ColorPicker>
        {shown.colour ? (
          <button type="button" className="plain" onClick={() => go({ colour: '' })}>
            any
          </button>
        ) : null}
      </span>
      <Select
        aria-label="Technique"
        className="w190"
        value={shown.technique}
        onChange={(technique: string) => go({ technique })}
        options={[any('any technique'), ...choices.techniques.map((t) => ({ value: t.key, label: t.name }))]}
      />
      <Select
        aria-label="What became of it"
        className="w150"
        value={shown.fate}
        onChange={(fate: string) => go({ fate })}
        options={[any('any fate'), ...CHOSEN_FATES.map((f) => ({ value: f, label: FATE_WORDS[f] }))]}
      />
      {showsMore(shown) ? (
        <MoreFilters shown={shown} go={go} choices={choices} />
      ) : (
        <Button onClick={() => go({ more: '1' })}>More</Button>
      )}
    </div>
  )
}

/** The rest of what a piece can be found by, shown once it is asked for. */
function MoreFilters({
  shown,
  go,
  choices,
}: {
  shown: WallFilter
  go: (change: Partial<WallFilter>) => void
  choices: WallChoices
}) {
  return (
    <>
      <Select
        aria-label="Bottle"
        className="w190"
        showSearch={{ optionFilterProp: 'label' }}
        value={shown.bottle}
        onChange={(bottle: string) => go({ bottle })}
        options={[any('any bottle'), ...choices.bottles.map((b) => ({ value: b.id, label: b.label }))]}
      />
      <Select
        aria-label="Paint"
        className="w190"
        showSearch={{ optionFilterProp: 'label' }}
        value={shown.paint}
        onChange={(paint: string) => go({ paint })}
        options={[any('any paint'), ...choices.paints.map((p) => ({ value: p.id, label: p.name }))]}
      />
      <Select
        aria-label="Fault"
        className="w190"
        value={shown.fault}
        onChange={(fault: string) => go({ fault })}
        options={[any('any fault or none'), ...FAULTS.map((f) => ({ value: f.key, label: f.name }))]}
      />
      <Select
        aria-label="Rating"
        className="w150"
        value={shown.rating}
        onChange={(rating: string) => go({ rating })}
        options={[
          any('any rating'),
          ...[5, 4, 3, 2, 1].map((r) => ({ value: String(r), label: r === 5 ? '●●●●●' : `${'●'.repeat(r)} and more` })),
        ]}
      />
      <Select
        aria-label="Size"
        className="w190"
        value={shown.size}
        onChange={(size: string) => go({ size })}
        options={[
          any('any size'),
          ...Object.entries(WALL_SIZES).map(([value, { words }]) => ({ value, label: words })),
        ]}
      />
    </>
  )
}
