import encodeQR from 'qr'

const BORDER = 2

/** The modules of a code without their white border, which whatever it stands on gives. */
export const codeModules = (text: string): boolean[][] =>
  encodeQR(text, 'raw', { border: BORDER, ecc: 'medium' })
    .slice(BORDER, -BORDER)
    .map((row) => row.slice(BORDER, -BORDER))

/** The dark modules of a code as one path in units of modules, rows joined where they touch. */
export function modulesPath(modules: readonly (readonly boolean[])[]): string {
  let path = ''
  modules.forEach((row, y) => {
    for (let x = 0; x < row.length; x++) {
      if (!row[x]) continue
      const from = x
      while (row[x + 1]) x++
      path += `M${from} ${y}h${x - from + 1}v1h-${x - from + 1}z`
    }
  })
  return path
}
