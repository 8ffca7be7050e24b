import { offerRhythm, stockUntil } from './rhythm'

describe('the rhythm of offers', () => {
  const day = (n: number) => new Date(Date.UTC(2026, 0, 1) + n * 86_400_000)
  it('is the median gap, and the next falls after today', () => {
    expect(offerRhythm([day(0), day(90), day(170), day(262)], day(300))).toEqual({ everyDays: 90, nextAt: day(352) })
    expect(offerRhythm([day(100), day(0), day(50)], day(260))).toEqual({ everyDays: 50, nextAt: day(300) })
    expect(offerRhythm([day(0), day(90)], day(100))).toBeUndefined()
  })
  it('says how many containers last until then', () => {
    // 300 ml in 90 days; 60 days to go: 200 ml, 50 on hand, 150 to buy: two of 120.
    expect(stockUntil(day(60), day(0), 300_000, 90, 50_000, 120_000)).toEqual({ needUl: 150_000, containers: 2 })
    expect(stockUntil(day(60), day(0), 30_000, 90, 50_000, 120_000)).toEqual({ needUl: 0, containers: 0 })
  })
})
