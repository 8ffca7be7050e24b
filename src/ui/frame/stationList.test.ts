import { readFileSync } from 'node:fs'
import { KEYS } from './keys'
import { stationOf, STATIONS } from './stationList'

describe('the stations', () => {
  it('are as many as the keys and the README say', () => {
    expect(KEYS[0]![0]).toBe(`1 – ${STATIONS.length}`)
    const readme = readFileSync('README.md', 'utf8')
    expect(readme).toContain(`\`1\`–\`${STATIONS.length}\` go to the stations`)
    for (const { name } of STATIONS) expect(readme).toContain(name)
  })
  it('are found by the path of any page of theirs', () => {
    expect(stationOf('/bench/guide/x')).toMatchObject({ name: 'Bench', dark: true })
    expect(stationOf('/sign-in')).toBeUndefined()
    expect(new Set(STATIONS.map((s) => s.path)).size).toBe(STATIONS.length)
  })
})
