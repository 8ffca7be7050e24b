import type { LabelText } from '@/stations/rack/labels/layout'

/** What stands on the label of a bottle with a name and a recipe far too long. */
export const longLabel: LabelText = {
  name: 'Łódź teal, the very long name of a bottle that goes on and on',
  role: 'pour',
  code: '7KQ4-D',
  mixedOn: '3 Nov 2026',
  keepsUntil: '31 Jul 2027',
  recipe: 'x '.repeat(200),
  hex: '#136a78',
  url: 'http://127.0.0.1:4310/rack/01930000-0000-7000-8000-000000000001',
}
