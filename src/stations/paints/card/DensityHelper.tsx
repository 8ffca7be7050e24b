'use client'

import { attemptOr } from '@/ui/hooks/useAttempt'
import { Button, Input } from 'antd'
import { useState } from 'react'
import { parseAmount, type UnitSystem } from '@/core/quantity/parse'

/** Weigh once: a measured volume and what it weighs give the density. */
export function DensityHelper({ units, onFound }: { units: UnitSystem; onFound: (density: string) => void }) {
  const [volume, setVolume] = useState('')
  const [mass, setMass] = useState('')
  const [said, setSaid] = useState<string>()
  const find = () => {
    attemptOr(setSaid, () => {
      const density = parseAmount(mass, 'mass', units) / parseAmount(volume, 'volume', units)
      if (!(density >= 0.5 && density <= 6))
        return setSaid('That is no paint’s density. Tare the cup, and weigh again.')
      const text = density.toFixed(3)
      onFound(text)
      setSaid(`${text} g/ml`)
    })
  }
  return (
    <details className="helper">
      <summary>Weigh a known volume to find the density</summary>
      <div className="row wrap">
        <Input
          aria-label="Measured volume"
          placeholder={units === 'us' ? '1 fl oz' : '20 ml'}
          value={volume}
          onChange={(e) => setVolume(e.target.value)}
          className="w120"
        />
        <Input
          aria-label="What it weighs"
          placeholder="24.4 g, cup tared"
          value={mass}
          onChange={(e) => setMass(e.target.value)}
          className="w190"
        />
        <Button onClick={find}>Find it</Button>
        <span role="status">{said}</span>
      </div>
    </details>
  )
}
