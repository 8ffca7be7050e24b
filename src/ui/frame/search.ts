/** What Next hands a page as search parameters. */
export type Search = Promise<Record<string, string | string[] | undefined>>

/** Each parameter once: the first where the address repeats it, nothing where it is empty. */
export function firstValues(params: Record<string, string | string[] | undefined>): Record<string, string> {
  const entries = Object.entries(params).map(([k, v]) => [k, Array.isArray(v) ? v[0] : v] as const)
  return Object.fromEntries(entries.filter((e): e is [string, string] => Boolean(e[1])))
}
