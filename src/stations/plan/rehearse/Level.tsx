import { REACH_DEG } from './reach'

/** A round spirit level: the bubble stands opposite to where it runs. */
export function Level({ x, y }: { x: number; y: number }) {
  const [bx, by] = [(-x / REACH_DEG) * 30, (-y / REACH_DEG) * 30]
  const deg = Math.hypot(x, y)
  return (
    <svg width="96" height="96" viewBox="-50 -50 100 100" role="img" aria-label={`Leans by ${deg.toFixed(0)} degrees`}>
      <circle r="46" fill="#ececec" stroke="#1c1c1c" strokeWidth="3" />
      <circle r="17" fill="none" stroke="#1c1c1c" strokeWidth="1.5" />
      <path d="M-46 0H-36M36 0H46M0 -46V-36M0 36V46" stroke="#1c1c1c" strokeWidth="1.5" />
      <circle cx={bx} cy={by} r="13" fill="#fff" stroke="#1c1c1c" strokeWidth="2" />
    </svg>
  )
}
