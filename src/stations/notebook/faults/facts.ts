import { traceFaults, type FaultsTraced } from '@/core/learning/tracedFaults'
import { pouredFacts } from '@/db/learning/pieces'
import { techniqueBook } from '@/db/techniques/read'
import type { Tx } from '@/db/base/withStudio'
import type { Sheet } from '../sheet'

export async function faultsFacts(tx: Tx, search: Readonly<Record<string, string>>): Promise<FaultsTraced> {
  const techniques = await techniqueBook(tx)
  return traceFaults(await pouredFacts(tx, techniques), techniques, search.fault)
}

export function faultsSheet({ faults }: FaultsTraced): Sheet {
  return {
    columns: [
      { name: 'Fault' },
      { name: 'What may cause it' },
      { name: 'How sure' },
      { name: 'Probability', isNumber: true },
      { name: 'With it, faulty', isNumber: true },
      { name: 'With it', isNumber: true },
      { name: 'Without it, faulty', isNumber: true },
      { name: 'Without it', isNumber: true },
    ],
    rows: faults.flatMap((f) =>
      f.causes.map((c) => ({
        key: `${f.key} ${c.keys.join(' ')}`,
        href: `/notebook/faults?fault=${f.key}`,
        cells: [
          f.name,
          c.names.join(', always with '),
          c.word,
          c.probability,
          c.withFaulty,
          c.withAll,
          c.withoutFaulty,
          c.withoutAll,
        ],
      })),
    ),
  }
}
