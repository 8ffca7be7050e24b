import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser'
import { hexToLab, labToSrgb } from '@/core/colour/lab'
import { srgbToHex, type Triple } from '@/core/colour/srgb'
import { Invalid } from '@/core/errors'
import type { Palette, Swatch } from '@/exchange/gpl'

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
      '@Name': s.name,
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
        'cc:Description': name,
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

type Node = Readonly<Record<string, unknown>>
const asList = (v: unknown): Node[] => (v === undefined ? [] : Array.isArray(v) ? v : [v]) as Node[]

/** Reads swatches of a CxF3 file: CIELAB where there is one, else sRGB. @throws Invalid when it holds neither */
export function readCxf3(text: string): Palette {
  if (XMLValidator.validate(text) !== true)
    throw new Invalid('This file is not whole XML, so not CxF3. Export it again.', 'file')
  // Entities other than the five of XML are not expanded: a swatch needs none.
  const parsed = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    removeNSPrefix: true,
    parseTagValue: false,
  }).parse(text) as { CxF?: Node }
  const root = parsed.CxF
  if (!root) throw new Invalid('This XML is not CxF3: its outermost element must be CxF.', 'file')
  const resources = (root.Resources ?? {}) as Node
  const objects = asList((resources.ObjectCollection as Node | undefined)?.Object)
  const swatches = objects.map((o): Swatch => {
    const values = (o.ColorValues ?? {}) as Node
    const name = String(o['@Name'] ?? o['@Id'] ?? '').trim()
    const hex = fromLab(asList(values.ColorCIELab)[0]) ?? fromRgb(asList(values.ColorSRGB)[0])
    if (!hex)
      throw new Invalid(`“${name}” holds no CIELAB and no sRGB values. Export the swatches with CIELAB.`, 'file')
    return { name: name || hex, hex }
  })
  const description = (root.FileInformation as Node | undefined)?.Description
  return { name: typeof description === 'string' ? description : '', swatches }
}

function numbers(node: Node | undefined, keys: readonly string[]): number[] | undefined {
  const values = node && keys.map((k) => Number(node[k]))
  return values?.every(Number.isFinite) ? values : undefined
}
function fromLab(node: Node | undefined): string | undefined {
  const lab = numbers(node, ['L', 'A', 'B'])
  return lab && srgbToHex(labToSrgb(lab as Triple))
}
function fromRgb(node: Node | undefined): string | undefined {
  const rgb = numbers(node, ['R', 'G', 'B'])
  const max = Number(node?.['@MaxRange'] ?? 255)
  return rgb && srgbToHex(rgb.map((c) => c / max) as Triple)
}
