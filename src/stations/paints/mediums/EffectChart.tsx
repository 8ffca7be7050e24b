import { EFFECTS, type EffectProfile } from '@/core/mix/mediumEffects'

const ROW = 16
const NAME = 128

/** The ten effects as one small chart: a row each, three steps long; a second profile is drawn as an outline over it. */
export function EffectChart({ effects, over, label }: { effects: EffectProfile; over?: EffectProfile; label: string }) {
  const width = (v: number) => (v / 3) * 96
  return (
    <svg
      viewBox={`0 0 ${NAME + 104} ${EFFECTS.length * ROW + 4}`}
      width="100%"
      role="img"
      aria-label={`${label}: ${EFFECTS.map((e, i) => `${e} ${effects[i]!.toFixed(1).replace('.0', '')}`).join(', ')}`}
    >
      {[1, 2, 3].map((step) => (
        <path
          key={step}
          d={`M${NAME + width(step)} 2V${EFFECTS.length * ROW + 2}`}
          stroke="currentColor"
          strokeOpacity=".25"
          strokeDasharray="2 3"
        />
      ))}
      {EFFECTS.map((name, i) => (
        <g key={name} transform={`translate(0 ${i * ROW + 2})`}>
          <text x={NAME - 8} y={12} textAnchor="end" fontSize="11.5" fill="currentColor">
            {name}
          </text>
          <rect x={NAME} y={3} width={width(effects[i]!)} height={ROW - 6} fill="currentColor" fillOpacity=".82" />
          {over ? (
            <rect
              x={NAME}
              y={1}
              width={width(over[i]!)}
              height={ROW - 2}
              fill="none"
              stroke="currentColor"
              strokeWidth="1.2"
            />
          ) : null}
          {effects[i] === 0 && !over ? <path d={`M${NAME} 4v${ROW - 8}`} stroke="currentColor" /> : null}
        </g>
      ))}
    </svg>
  )
}
