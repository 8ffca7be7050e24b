import type { MaterialKind, MediumKind } from '../paint/properties'

/** What a mix is carried by before anybody chooses: a conditioner, else the first medium that does not stand ready in a bottle. */
export const usualMedium = <
  M extends { readonly kind: MaterialKind; readonly mediumKind: MediumKind | null; readonly inBottle?: boolean },
>(
  materials: readonly M[],
): M | undefined =>
  materials.find((m) => m.kind === 'medium' && m.mediumKind === 'conditioner') ??
  materials.find((m) => m.kind === 'medium' && !m.inBottle)
