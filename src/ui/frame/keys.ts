import { STATIONS } from './stationList'

/** What the keyboard does everywhere; the help sheet lists these. */
export const KEYS: readonly (readonly [string, string])[] = [
  [`1 – ${STATIONS.length}`, 'Go to a station, in the order of work'],
  ['/', 'Search on this screen'],
  ['t', 'Put what is focused on the tray, or go to the tray'],
  ['n', 'New here: paint, mix, plan'],
  ['?', 'Show this list'],
  ['Space', 'At a mix, a stopwatch or a stocktake: next'],
  ['z', 'There: take back the last step'],
  ['Esc', 'Close what is open'],
]
