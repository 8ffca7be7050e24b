/** The recipe as it was mixed; kept with the bottle, whatever becomes of the paints later. */
export interface RecipeSnapshot {
  readonly paintParts: number
  readonly paints: readonly { materialId: string; name: string; parts: number }[]
  readonly mediums: readonly { materialId: string; name: string; parts: number }[]
  readonly water: { materialId: string; name: string; parts: number } | null
  /** Additives, `parts` being drops for each 100 ml; bottles from before these were kept have none. */
  readonly drops?: readonly { materialId: string; name: string; parts: number }[]
}
