/** The ledger: the only code that writes movements. One function per thing that can happen to paint. */
export { buyContainer, buyTogether, type BuyContainer, type BuyTogether } from './purchase'
export {
  finishContainer,
  finishUndone,
  reopen,
  unseal,
  weighContainer,
  type FinishContainer,
  type WeighContainer,
} from './containers'
export { mixBottle, topUpBottle, useUndone, type MixBottle, type TopUpBottle } from './mix'
export { discard, takeOut, weighInBottle, type WeighInBottle } from './bottles'
export { pour, type PouredOnto } from './pour'
export { wasteRunOff } from './runOff'
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
export { makeSinks } from './sinks'
export { notUndone } from './notUndone'
export { undoMovement, type Follow, type Followers } from './undo'
export { refreshLook, refuseAdditive } from './colour'
export { fillKeep, refreshKeep } from './keep'
export { flagLot, type Source } from './lots'
export type { Booked } from './book'
export { journal, journalText, type JournalEntry, type JournalPage } from './journal'
export { contentByMaterial, recipeOfContent } from './recipeOf'
export type { RecipeSnapshot } from './recipeSnapshot'
export { pouredByMonth, type MonthPoured } from './pouredByMonth'
