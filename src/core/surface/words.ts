import { formatSize } from '../quantity/size'
import { footprint, type Surface } from './shapes'

const cm = (mm: number) => `${Number((mm / 10).toFixed(1))} cm`

/** A surface in words: its size in both systems, or what it is and how large. */
export function surfaceWords(s: Surface): string {
  switch (s.shape) {
    case 'rectangle':
      return formatSize(s)
    case 'round':
      return `round, ${cm(s.diameterMm)} across`
    case 'ellipse':
      return `oval, ${formatSize(s)}`
    case 'polygon':
      return `${s.sides} corners, ${cm(s.acrossMm)} across`
    case 'tiles':
      return `${s.across} × ${s.down} tiles of ${formatSize(s, 'metric')}`
    case 'profile': {
      const height = Math.max(...s.points.map((p) => p.heightMm))
      return `vessel, ${cm(height)} high and ${cm(footprint(s).lengthMm)} wide`
    }
    case 'area':
      return `${Number((s.areaMm2 / 100).toFixed(0))} cm²`
  }
}
