import { codeModules, modulesPath } from './codeModules'

/** Modules of white that a reader needs around a code: ISO/IEC 18004, 9.1 (four). */
const QUIET = 4

/** A text as a code on white paper. */
export function QrCode({ text, label, size = 200 }: { text: string; label: string; size?: number }) {
  const modules = codeModules(text)
  const side = modules.length + 2 * QUIET
  return (
    <svg width={size} height={size} viewBox={`${-QUIET} ${-QUIET} ${side} ${side}`} role="img" aria-label={label}>
      <rect x={-QUIET} y={-QUIET} width={side} height={side} fill="#fff" />
      <path d={modulesPath(modules)} fill="#000" shapeRendering="crispEdges" />
    </svg>
  )
}
