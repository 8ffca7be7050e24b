/** A station: where it is, its name and picture, and whether it is dark for judging colour at the bench. */
export interface Station {
  readonly path: string
  readonly name: string
  readonly icon: string
  readonly dark?: true
}

/** The stations in the order of work; the number is the key that opens each. */
export const STATIONS: readonly Station[] = [
  { path: '/paints', name: 'Paints', icon: 'M3 4h18v16H3zM3 10h18M6 7h12v10l-3-1-3 2-3-2-3 1z' },
  { path: '/formulas', name: 'Formulas', icon: 'M3 6h7l-1 12H4zM14 6h7l-1 12h-5zM4 12h5M15 10h5' },
  { path: '/bench', name: 'Bench', dark: true, icon: 'M5 4h14l-2 16H7zM6 11h12M9 15h6' },
  { path: '/rack', name: 'Rack', icon: 'M10 2h4v4l3 3v12H7V9l3-3zM7 14h10' },
  { path: '/plan', name: 'Plan', icon: 'M3 5h18v14H3zM3 9h2M3 13h2M3 17h2M8 19v-2M12 19v-2M16 19v-2' },
  { path: '/pour', name: 'Pour', icon: 'M4 4l9-2 3 9-9 3zM16 11c3 1 4 4 4 9M3 21h18' },
  { path: '/wall', name: 'Wall', icon: 'M12 2l4 4M12 2L8 6M3 6h18v15H3zM6 9h12v9H6z' },
  { path: '/notebook', name: 'Notebook', icon: 'M6 3h14v18H6zM6 7H3M6 12H3M6 17H3M10 8h6M10 12h6M10 16h4' },
]

/** The station a page belongs to. */
export const stationOf = (path: string): Station | undefined => STATIONS.find((s) => path.startsWith(s.path))
