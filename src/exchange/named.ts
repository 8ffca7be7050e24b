import { v7 as uuidv7 } from 'uuid'

interface Named<V> {
  readonly name: string
  readonly versions: readonly V[]
}

/**
 * What of named things in a file comes in: of one that is not here all versions, of one whose name is here the newest.
 * A name that the file has twice counts once.
 * @param here those in use in the studio
 */
export function* toBring<V, F extends Named<V>, H extends { readonly id: string; readonly name: string }>(
  list: readonly (F & Named<V>)[],
  here: readonly H[],
): Generator<{ item: F; id: string; known: H | undefined; versions: readonly V[] }> {
  const key = (name: string) => name.trim().toLowerCase()
  const byName = new Map(here.map((h) => [key(h.name), h]))
  const done = new Set<string>()
  for (const item of list) {
    const known = byName.get(key(item.name))
    if (done.has(key(item.name))) continue
    done.add(key(item.name))
    yield { item, id: known?.id ?? uuidv7(), known, versions: known ? item.versions.slice(-1) : item.versions }
  }
}
