/** What happens to mixes, and what follows from it: one function per thing that can happen to what is in a bottle. */
export { mixBottle, topUpBottle, useUndone, type MixBottle, type TopUpBottle } from './mix'
export { weighInBottle, type WeighInBottle } from './weighIn'
export { mayGoBack, notWhileBack, pourBack, type MayGoBack, type PourBack } from './pourBack'
export {
  mergeBottles,
  keepRunOff,
  reclaimRunOff,
  splitBottle,
  type MergeBottles,
  type ReclaimRunOff,
  type SplitBottle,
} from './transfer'
export { waterBottle, watered, type WaterBottle } from './water'
export { refreshLook, refuseAdditive } from './colour'
export { fillKeep, refreshKeep } from './keep'
export { contentByMaterial, recipeOfContent } from './recipeOf'
export { type RecipeSnapshot } from './recipeSnapshot'
export { settleBack } from './settleBack'
