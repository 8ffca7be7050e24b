import { SaxesParser } from 'saxes'

/** Deepest nesting read: no list or swatch file needs a tenth of it. */
const DEEPEST = 60

/** What a reader hears of an XML text, in its order. Names are without their prefix. */
export interface Heard {
  open?(name: string, attributes: Readonly<Record<string, string>>): void
  text?(text: string): void
  close?(name: string): void
}

const local = (name: string) => name.slice(name.indexOf(':') + 1)

/** XML that is not whole, or stranger than any file of ours. */
export class BadXml extends Error {}

/**
 * Reads XML as a stream, in one pass. Entities other than the five of XML are refused, so that none can grow; a text
 * is not held as a tree.
 * @returns what takes the next piece, and what says that all has come
 * @throws BadXml from either
 */
export function xmlReader(heard: Heard): { write(text: string): void; end(): void } {
  const parser = new SaxesParser({ position: false, xmlns: false })
  let depth = 0
  parser.on('error', (error) => {
    throw new BadXml(error.message)
  })
  parser.on('opentag', ({ name, attributes }) => {
    depth += 1
    if (depth > DEEPEST) throw new BadXml('nested too deep')
    heard.open?.(local(name), attributes as Record<string, string>)
  })
  parser.on('text', (text) => heard.text?.(text))
  parser.on('cdata', (text) => heard.text?.(text))
  parser.on('closetag', ({ name }) => {
    depth -= 1
    heard.close?.(local(name))
  })
  return {
    write: (text) => void parser.write(text),
    end: () => void parser.close(),
  }
}

/** Reads a whole text. @throws BadXml */
export function readXml(text: string, heard: Heard): void {
  const reader = xmlReader(heard)
  reader.write(text)
  reader.end()
}
