import { writeFileSync } from 'node:fs'
import encodeQR from 'qr'

/** Letters of light in a picture: paper, ink, and a table around the label. */
const [PAPER, INK, TABLE] = [235, 16, 120]

/**
 * A film of a label on a table, as a camera sees it: YUV4MPEG2, 640 × 480, grey, which Chromium plays as its camera.
 * @param path of the film @param text what the label's code says; none for an empty table
 */
export function writeCameraFilm(path: string, text: string | undefined): void {
  const [width, height] = [640, 480]
  const grey = Buffer.alloc(width * height, TABLE)
  if (text !== undefined) {
    const modules = encodeQR(text, 'raw', { border: 4, ecc: 'medium' })
    const side = Math.floor(360 / modules.length)
    const [left, top] = [(width - side * modules.length) >> 1, (height - side * modules.length) >> 1]
    for (let y = 0; y < modules.length * side; y++)
      for (let x = 0; x < modules.length * side; x++)
        grey[(top + y) * width + left + x] = modules[Math.floor(y / side)]![Math.floor(x / side)] ? INK : PAPER
  }
  const frame = Buffer.concat([Buffer.from('FRAME\n'), grey, Buffer.alloc((width * height) / 2, 128)])
  writeFileSync(path, Buffer.concat([Buffer.from(`YUV4MPEG2 W${width} H${height} F10:1 Ip A1:1 C420\n`), frame, frame]))
}
