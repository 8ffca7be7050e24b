import { isZone, knownZone } from './zone'

describe('time zones', () => {
  it.each(['UTC', 'Europe/Oslo', 'America/Argentina/Ushuaia', 'Etc/GMT+5'])('%s is one', (zone) => {
    expect(isZone(zone)).toBe(true)
    expect(knownZone(zone)).toBe(zone)
  })
  it.each(['Etc/Unknown', 'Middle/Earth', '', '../etc/passwd', 'UTC\u0000'])(
    '%j is none, and UTC is shown in its place',
    (zone) => {
      expect(isZone(zone)).toBe(false)
      expect(knownZone(zone)).toBe('UTC')
    },
  )
})
