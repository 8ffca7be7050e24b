import { XMLBuilder } from 'fast-xml-parser'
import { hexToLab, labToSrgb } from '@/core/colour/lab'
import { srgbToHex, type Triple } from '@/core/colour/srgb'
import { Invalid } from '@/core/errors'
import type { Palette, Swatch } from './gpl'
import { writable } from './guard'
import { refuseRow } from './headings'
import { BadXml, readXml } from './xml'

/** Namespace of CxF3-core (ISO 17972-1). */
const NAMESPACE = 'http://colorexchangeformat.com/CxF3-core'
const SPEC = 'D65_2deg'

/**
 * Writes CxF3 (ISO 17972-1): one object a swatch, its CIELAB under D65 and the 2° observer and its sRGB.
 * @param at when it was written
 */
export function writeCxf3({ name, swatches }: Palette, at: Date): string {
  const object = (s: Swatch, i: number) => {
    const [l, a, b] = hexToLab(s.hex)
    const [r, g, bl] = [1, 3, 5].map((k) => parseInt(s.hex.slice(k, k + 2), 16))
    return {
      '@ObjectType': 'Standard',
      '@Name': writable(s.name),
      '@Id': `c${i + 1}`,
      'cc:CreationDate': at.toISOString(),
      'cc:ColorValues': {
        'cc:ColorCIELab': {
          '@ColorSpecification': SPEC,
          'cc:L': l.toFixed(4),
          'cc:A': a.toFixed(4),
          'cc:B': b.toFixed(4),
        },
        'cc:ColorSRGB': { '@ColorSpecification': SPEC, '@MaxRange': 255, 'cc:R': r, 'cc:G': g, 'cc:B': bl },
      },
    }
  }
  const xml = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true }).build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    'cc:CxF': {
      '@xmlns:cc': NAMESPACE,
      'cc:FileInformation': {
        'cc:Creator': 'Fika',
        'cc:CreationDate': at.toISOString(),
        'cc:Description': writable(name),
      },
      'cc:Resources': {
        'cc:ObjectCollection': { 'cc:Object': swatches.map(object) },
        'cc:ColorSpecificationCollection': {
          'cc:ColorSpecification': {
            '@Id': SPEC,
            'cc:TristimulusSpec': {
              'cc:Illuminant': 'D65',
              'cc:Observer': '2_Degree',
              'cc:Method': 'E308_Table5',
            },
          },
        },
      },
    },
  })
  return xml as string
}

/** What is heard of one object before it is closed. */
interface Found {
  name: string
  readonly lab: Map<string, number>
  readonly rgb: Map<string, number>
  max: number
}

const three = (found: ReadonlyMap<string, number>, keys: readonly string[]): Triple | undefined => {
  const values = keys.map((k) => found.get(k) ?? NaN)
  return values.every(Number.isFinite) ? (values as unknown as Triple) : undefined
}

function hexOf({ lab, rgb, max }: Found): string | undefined {
  const fromLab = three(lab, ['L', 'A', 'B'])
  if (fromLab) return srgbToHex(labToSrgb(fromLab))
  const fromRgb = three(rgb, ['R', 'G', 'B'])
  return fromRgb && srgbToHex(fromRgb.map((c) => c / max) as unknown as Triple)
}

/** Reads swatches of a CxF3 file: CIELAB where there is one, else sRGB. @throws Invalid when it holds neither */
export function readCxf3(text: string): Palette {
  const swatches: Swatch[] = []
  const path: string[] = []
  let name = ''
  let found: Found | undefined
  let said = ''
  const take = ({ name, ...values }: Found) => {
    const hex = hexOf({ name, ...values })
    if (!hex)
      throw new Invalid(`“${name}” holds no CIELAB and no sRGB values. Export the swatches with CIELAB.`, 'file')
    swatches.push({ name: name || hex, hex })
    refuseRow(swatches.length)
  }
  try {
    readXml(text, {
      open: (element, a) => {
        if (path.length === 0 && element !== 'CxF')
          throw new Invalid('This XML is not CxF3: its outermost element must be CxF.', 'file')
        path.push(element)
        said = ''
        if (element === 'Object')
          found = { name: (a.Name ?? a.Id ?? '').trim(), lab: new Map(), rgb: new Map(), max: 255 }
        else if (element === 'ColorSRGB' && found) found.max = Number(a.MaxRange ?? 255)
      },
      text: (t) => (said += t),
      close: (element) => {
        path.pop()
        const inside = path.at(-1)
        // Of several measurements of one object the first counts.
        const into = inside === 'ColorCIELab' ? found?.lab : inside === 'ColorSRGB' ? found?.rgb : undefined
        if (into && !into.has(element)) into.set(element, Number(said))
        else if (element === 'Description' && inside === 'FileInformation') name = said
        else if (element === 'Object' && found) {
          take(found)
          found = undefined
        }
        said = ''
      },
    })
  } catch (error) {
    if (error instanceof BadXml) throw new Invalid('This file is not whole XML, so not CxF3. Export it again.', 'file')
    throw error
  }
  return { name, swatches }
}
