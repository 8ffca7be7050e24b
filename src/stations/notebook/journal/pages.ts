/** Movements the journal begins with, and how many older ones are asked for at once: who looks back looks far. */
export const PAGE = 60
export const OLDER = 300
